import { msg } from "../../messages/messages";
import { ShieldAlert } from "lucide-react";
import type { Api } from "../../api/client";
import { useCatalogue } from "../../api/queries";
import { useIdentified } from "./identify";
import { Skeleton } from "../../shell/skeleton";

type Test = Api["TestDraft"];

const CAUTION: Record<string, string> = {
  dust: msg("Extraction on, P2 or N95 mask."),
  solvent: msg("Gloves, goggles, moving air; rag into a lidded bin."),
};

/** No mark: tests at the bench, the most telling next one first; each can be skipped or taken back. */
export function BenchTests({
  tests,
  frozen,
  onChange,
}: {
  tests: readonly Test[];
  frozen: boolean;
  onChange: (tests: Test[]) => void;
}) {
  const catalogue = useCatalogue().data;
  const belief = useIdentified("", tests).data?.belief;
  if (!catalogue || !belief) return <Skeleton lines={3} />;
  const next = belief.next[0];
  const proposed = catalogue.tests.find((t) => t.id === next?.test);
  const put = (test: string, reading?: string) =>
    onChange([...tests.filter((t) => t.test !== test), { test, reading }]);
  return (
    <section aria-label={msg("Bench tests")} className="flex flex-col gap-3">
      <BeliefBars belief={belief} />
      {proposed && !belief.known && !frozen && (
        <div className="firm p-3">
          <p className="lab">{msg("Tells most next")}</p>
          <TestBlock test={proposed} onRead={(r) => put(proposed.id, r)} />
        </div>
      )}
      {tests.length > 0 && (
        <ul aria-label={msg("Tests done")}>
          {tests.map((t) => {
            const test = catalogue.tests.find((c) => c.id === t.test);
            const reading = test?.readings.find((r) => r.id === t.reading);
            return (
              <li key={t.test} className="flex items-center gap-2 border-b border-hair py-1">
                <span className="min-w-0 flex-1">
                  <span className="hd block">{test?.title}</span>
                  <span className="lab block">{reading?.label ?? msg("skipped")}</span>
                </span>
                {!frozen && (
                  <button
                    type="button"
                    className="btn"
                    onClick={() => onChange(tests.filter((x) => x.test !== t.test))}
                  >
                    {msg("Take back")}
                  </button>
                )}
              </li>
            );
          })}
        </ul>
      )}
      {!frozen && belief.next.length > 0 && (
        <details>
          <summary className="hd flex min-h-14 cursor-pointer items-center">{msg("All other tests")}</summary>
          <div className="flex flex-col gap-3">
            {belief.next
              .filter((n) => belief.known || n.test !== proposed?.id)
              .map((n) => {
                const test = catalogue.tests.find((t) => t.id === n.test);
                return test && <TestBlock key={n.test} test={test} onRead={(r) => put(test.id, r)} />;
              })}
          </div>
        </details>
      )}
      <p className="lab">{msg("Likelihoods: {testsShown}.", { testsShown: catalogue.testsShown })}</p>
    </section>
  );
}

function TestBlock({ test, onRead }: { test: Api["BenchTest"]; onRead: (reading?: string) => void }) {
  return (
    <div>
      <h3 className="hd">{test.title}</h3>
      <p>{test.how}</p>
      {test.caution && (
        <p className="mt-1 flex gap-2 font-bold">
          <ShieldAlert className="text-oxide shrink-0" size={20} aria-label={msg("Caution")} />
          {CAUTION[test.caution]}
        </p>
      )}
      <div className="mt-2 grid gap-1">
        {test.readings.map((r) => (
          <button key={r.id} type="button" className="btn" onClick={() => onRead(r.id)}>
            {r.label}
          </button>
        ))}
        <button type="button" className="min-h-14 underline" onClick={() => onRead(undefined)}>
          {msg("Skip this test")}
        </button>
      </div>
    </div>
  );
}

/** Belief as rules of one length; the post marks what is enough to plan on. */
function BeliefBars({ belief }: { belief: Api["Belief"] }) {
  return (
    <div>
      <p className={`hd ${belief.known ? "" : "text-oxide-text"}`}>
        {belief.known ? msg("Settled: {word}", { word: belief.families[0]?.word ?? "" }) : msg("Too thin to plan on")}
      </p>
      <ul aria-label={msg("Belief")}>
        {belief.families.map((f) => (
          <li key={f.family} className="mt-1.5">
            <span className="flex justify-between gap-2">
              <span className="min-w-0">{f.word}</span>
              <span className="n font-semibold">
                {Math.round(f.share * 100)}
                {"\u202f"}%
              </span>
            </span>
            <svg className="block h-3.5 w-full" viewBox="0 0 100 14" preserveAspectRatio="none" aria-hidden="true">
              <path d="M0 13H100" stroke="var(--tick)" strokeWidth="1" />
              <rect width={f.share * 100} y="3" height="10" fill="var(--ink)" />
              <path
                d={`M${belief.enough * 100} 0V14`}
                stroke="var(--oxide)"
                strokeWidth="3"
                vectorEffect="non-scaling-stroke"
              />
            </svg>
          </li>
        ))}
      </ul>
      <p className="lab mt-1">
        {msg("The post stands at {enough} %, enough to plan on.", { enough: Math.round(belief.enough * 100) })}
      </p>
    </div>
  );
}
