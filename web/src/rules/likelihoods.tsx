import { msg } from "../messages/messages";
import { useCatalogue } from "../api/queries";
import { Table, has } from "./rule-table";
import { Skeleton } from "../shell/skeleton";

/** How often a part of each family gives each reading. */
export function Likelihoods({ find }: { find: string }) {
  const catalogue = useCatalogue().data;
  if (!catalogue) return <Skeleton />;
  const families = Object.keys(catalogue.tests[0]?.readings[0]?.likelihood ?? {});
  return (
    <Table
      heads={[
        msg("Test"),
        msg("Reading"),
        ...families.map((f) => catalogue.families.find((x) => x.family === f)?.meaning.name ?? f),
        msg("Source"),
      ]}
      rows={catalogue.tests
        .filter((t) => has(find, t.id, t.title, t.how))
        .flatMap((t) =>
          t.readings.map((r, i) => [
            i === 0 ? (
              <span key="t" className="hd">
                {t.title}
              </span>
            ) : (
              ""
            ),
            r.label,
            ...families.map((f) => (
              <span key={f} className="n font-semibold">
                {Math.round((r.likelihood[f as keyof typeof r.likelihood] ?? 0) * 100)}
                {"\u202f"}%
              </span>
            )),
            catalogue.testsShown,
          ]),
        )}
    />
  );
}
