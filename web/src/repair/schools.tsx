import { msg } from "../messages/messages";
import { useRules } from "../api/queries";
import { Head } from "./sheet";
import { turned } from "./turned";
import type { DraftOnScreen } from "./use-draft";

/** House rules that bear on a station, to be overridden for this repair alone. */
export function Schools({ on, station, frozen }: { on: DraftOnScreen; station: string; frozen: boolean }) {
  const rules = useRules().data;
  const planned = on.workup?.plan?.schools;
  const material = on.draft?.part?.made?.material ?? "METAL";
  const schools =
    rules?.schools.filter(
      ({ school: s }) =>
        (station !== "steps" || !planned || planned.some((p) => p.school === s.id)) &&
        s.stations.includes(station) &&
        (s.materials.length === 0 || s.materials.includes(material)),
    ) ?? [];
  if (schools.length === 0) return null;
  const own = on.draft?.houseRules ?? {};
  const set = (question: string, answer: string) =>
    on.change((d) => ({ ...d, houseRules: turned(d.houseRules, question, answer) }));
  return (
    <>
      <Head title={msg("Schools")}>{frozen ? msg("as frozen") : msg("this repair only")}</Head>
      <div className="flex flex-col gap-3 p-4">
        {schools.map(({ school, chosen }) => {
          const house = school.options.find((o) => o.id === chosen);
          const now = school.options.find((o) => o.id === (own[school.id] ?? chosen));
          return (
            <label key={school.id} className="lab flex flex-col">
              {school.question}
              <select
                className="no-print firm n h-14 w-full px-2 text-16 font-semibold"
                disabled={frozen}
                value={own[school.id] ?? ""}
                onChange={(e) => set(school.id, e.target.value)}
              >
                <option value="">
                  {msg("House:")} {house?.label}
                </option>
                {school.options
                  .filter((o) => o.planned)
                  .map((o) => (
                    <option key={o.id} value={o.id}>
                      {o.label}
                    </option>
                  ))}
              </select>
              <b className="text-ink hidden text-16 print:block">{now?.label}</b>
              <span className="text-ink mt-1 font-atk text-16 font-normal">{now?.told}</span>
            </label>
          );
        })}
      </div>
    </>
  );
}
