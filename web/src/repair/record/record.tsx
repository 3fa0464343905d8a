import { firstName } from "../../shell/first-name";
import { msg, within } from "../../messages/messages";
import { FileDown, OctagonX, Printer, TriangleAlert } from "lucide-react";
import { Link } from "react-router";
import type { Api } from "../../api/client";
import { useRecord, useZone } from "../../api/queries";
import { usePreferences } from "../../shell/preferences";
import { amount } from "../../units/amount";
import { dayAndTime, grams, minutes, moment, percent, temperature } from "../../units/units";
import { Assumed } from "../assumed-line";
import { DrawingPair } from "../drawing/drawing-pair";
import { VerdictMark } from "../verdict-mark";
import { HouseSaid } from "../steps/house-page";
import { ENDINGS } from "../run/cannot-go-on";
import { Film } from "./film";
import { Pictures } from "./pictures";
import { PutRight } from "./put-right";
import { ReadingsFile } from "./readings-file";
import { Signature } from "./signature";
import { Skeleton } from "../../shell/skeleton";

const span = (min: number) =>
  min < 10 ? `${Math.floor(min)}:${String(Math.floor((min * 60) % 60)).padStart(2, "0")}` : minutes(min, "down");

/** Station 8: planned against done. */
export default function RecordStation({ id, frozen }: { id: number; frozen: boolean }) {
  const record = useRecord(id, frozen);
  if (!frozen) {
    return (
      <div className="p-6">
        <h2 className="text-28 font-semibold">{msg("No record yet")}</h2>
        <p className="mt-2 text-20">{msg("The record begins with the work. Look at the steps, then begin the run.")}</p>
        <Link to={`/repairs/${id}/run`} className="btn go mt-4">
          {msg("To the run")}
        </Link>
      </div>
    );
  }
  if (record.isError) return <p className="p-6 text-20 font-bold text-oxide-text">{record.error.message}</p>;
  if (!record.data) return <Skeleton />;
  return <RecordSheet view={record.data} />;
}

const finished = (record: Api["RepairRecord"], zone: string) =>
  record.finishedAt
    ? dayAndTime(record.finishedAt, zone)
    : record.ended
      ? msg("ended {at}", { at: dayAndTime(record.ended.at, zone) })
      : msg("not yet");

/** Steps that were done, planned against taken. */
function Lines({ lines, begun }: { lines: Api["RepairRecord"]["lines"]; begun: number }) {
  const zone = useZone();
  return (
    <table className="folds w-full text-left">
      <thead>
        <tr className="lab firm-b">
          <th className="py-1 pr-3">{msg("Done")}</th>
          <th className="pr-3">{msg("Step")}</th>
          <th className="pr-3 text-right">{msg("Planned")}</th>
          <th className="pr-3 text-right">{msg("Taken")}</th>
          <th className="pr-3">{msg("Gate, readings, notes")}</th>
          <th>{msg("Hands")}</th>
        </tr>
      </thead>
      <tbody>
        {lines.map((l) => (
          <tr key={l.step} className="border-b border-hair align-top">
            <td data-label={msg("Done")} className="py-1.5 n pr-3 whitespace-nowrap">
              {moment(l.doneAt, begun, zone)}
            </td>
            <td data-label={msg("Step")} className="py-1.5 pr-3">
              {l.loop && <span className="firm lab mr-2 px-1">{l.loop}</span>}
              {l.title}
            </td>
            <td data-label={msg("Planned")} className="py-1.5 n pr-3 text-right whitespace-nowrap">
              {minutes(l.plannedMin)}
            </td>
            <td data-label={msg("Taken")} className="py-1.5 n pr-3 text-right whitespace-nowrap">
              {span(l.takenMin)}
            </td>
            <td data-label={msg("Gate, readings, notes")} className="py-1.5 pr-3">
              {[l.answer, ...l.remarks].filter(Boolean).join("; ")}
            </td>
            <td data-label={msg("Hands")} className="py-1.5 whitespace-nowrap">
              {firstName(l.by)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function RecordSheet({ view }: { view: Api["RecordView"] }) {
  const { id, frozen, record } = view;
  const zone = useZone();
  const { system } = usePreferences();
  const { workup } = frozen;
  const plan = workup.plan;
  const begun = Date.parse(record.startedAt ?? record.frozen);
  return (
    <div className="print-flow min-h-0 flex-1 overflow-y-auto">
      <article className="mx-auto max-w-[1120px] p-4 sm:px-6 sm:pb-6" aria-label={msg("Record")}>
        <header className="firm-b flex items-start gap-4 pb-3 max-sm:flex-col">
          <div className="min-w-0 flex-1">
            <h2 className="text-28 font-semibold">
              {msg("Record: {name}, {vehicle}", { name: workup.name, vehicle: workup.vehicle })}
            </h2>
            <p>
              {msg("{mark}. Plan frozen {frozen} by {by}, rule book {ruleBook}, shop air", {
                mark: workup.mark,
                frozen: dayAndTime(record.frozen, zone),
                by: frozen.by,
                ruleBook: record.ruleBook,
              })}{" "}
              {plan && temperature(plan.air.tempC, system)} {plan && percent(plan.air.rhPercent)}.
            </p>
          </div>
          <VerdictMark outcome={workup.verdict.outcome} />
          <div className="no-print flex flex-wrap gap-2">
            {(["pdf", "json", "csv"] as const).map((kind) => (
              <a key={kind} className="btn" href={`/api/repairs/${id}/record.${kind}`} download>
                <FileDown size={20} aria-hidden="true" /> {kind.toUpperCase()}
              </a>
            ))}
            <button type="button" className="btn" onClick={() => window.print()}>
              <Printer size={20} aria-hidden="true" /> {msg("Print")}
            </button>
          </div>
        </header>
        <Assumed part={frozen.draft.part} />
        <div className="grid grid-cols-2 divide-x divide-hair border-b border-hair sm:grid-cols-4">
          <Fact label={msg("Begun")} value={record.startedAt ? dayAndTime(record.startedAt, zone) : msg("not yet")} />
          <Fact label={msg("Finished")} value={finished(record, zone)} />
          <Fact
            label={msg("Taken, planned")}
            value={msg("{taken} of {planned}", {
              taken: minutes(record.takenMin, "down"),
              planned: minutes(record.plannedMin),
            })}
          />
          <Fact label={msg("Hands")} value={record.people.join(", ") || msg("none yet")} />
        </div>

        {record.ended && (
          <p className="firm keep mt-4 flex items-start gap-3 px-4 py-3">
            <OctagonX className="text-oxide mt-0.5 shrink-0" size={24} aria-hidden="true" />
            <span>
              <b>{msg("Ended before the last step: {how}.", { how: within(ENDINGS[record.ended.how]) })}</b>{" "}
              {record.ended.why} ({record.ended.by}, {dayAndTime(record.ended.at, zone)})
            </span>
          </p>
        )}
        <Signature view={view} />

        <h3 className="hd mt-5">{msg("Deviations")}</h3>
        {record.deviations.length === 0 ? (
          <p>{msg("None: done as planned.")}</p>
        ) : (
          <ul>
            {record.deviations.map((d, i) => (
              <li key={i} className="keep flex gap-3 border-b border-hair py-2">
                <TriangleAlert className="text-oxide mt-0.5 shrink-0" size={20} aria-hidden="true" />
                <span className="n min-w-14 shrink-0 font-semibold">{moment(d.at, begun, zone)}</span>
                <span>
                  <b>{d.text}.</b> {d.consequence}
                </span>
              </li>
            ))}
          </ul>
        )}

        <PutRight id={id} record={record} />

        <h3 className="hd mt-5">{msg("Mixes")}</h3>
        <table className="folds w-full text-left">
          <thead>
            <tr className="lab firm-b">
              <th className="py-1 pr-3">{msg("Material")}</th>
              <th className="pr-3">{msg("Lot")}</th>
              <th className="pr-3 text-right">{msg("Filler planned")}</th>
              <th className="pr-3 text-right">{msg("weighed")}</th>
              <th className="pr-3 text-right">{msg("Cream weighed")}</th>
              <th className="pr-3 text-right">{msg("Dose asked")}</th>
              <th className="text-right">{msg("given")}</th>
            </tr>
          </thead>
          <tbody>
            {record.doses.map((d) => (
              <tr key={d.step} className="border-b border-hair">
                <td data-label={msg("Material")} className="py-1.5 pr-3">
                  {d.title}
                </td>
                <td data-label={msg("Lot")} className="py-1.5 n pr-3">
                  {d.lot}
                </td>
                <td data-label={msg("Filler planned")} className="py-1.5 n pr-3 text-right">
                  {grams(d.plannedFillerG)}
                </td>
                <td data-label={msg("weighed")} className="py-1.5 n pr-3 text-right">
                  {d.fillerG === undefined ? msg("not typed") : grams(d.fillerG)}
                </td>
                <td data-label={msg("Cream weighed")} className="py-1.5 n pr-3 text-right">
                  {d.creamG === undefined ? msg("not typed") : grams(d.creamG)}
                </td>
                <td data-label={msg("Dose asked")} className="py-1.5 n pr-3 text-right">
                  {percent(d.askedPercent)}
                </td>
                <td data-label={msg("given")} className="py-1.5 n text-right font-semibold">
                  {d.percent === undefined ? msg("not known") : percent(d.percent)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>

        {record.former.map((f, i) => (
          <section key={f.left}>
            <h3 className="hd mt-5">
              {msg("Plan {i}, {title}, until {left}", { i: i + 1, title: f.title, left: moment(f.left, begun, zone) })}
            </h3>
            <p className="py-1">{msg("Left for another by {by}: {why}", { by: f.by, why: f.why })}</p>
            <Lines lines={f.lines} begun={begun} />
          </section>
        ))}
        <h3 className="hd mt-5">
          {record.former.length > 0
            ? msg("Plan {n}: steps, planned against done", { n: record.former.length + 1 })
            : msg("Steps, planned against done")}
        </h3>
        <Lines lines={record.lines} begun={begun} />

        {record.film && <Film film={record.film} drawing={workup.drawing} />}

        <ReadingsFile id={id} />
        <Pictures id={id} />

        <div className="keep mt-5 grid gap-6 sm:grid-cols-3">
          <div>
            <h3 className="hd">{msg("Taken from the shelf")}</h3>
            <ul>
              {record.used.map((u) => (
                <li key={u.itemId} className="flex justify-between gap-3 border-b border-hair py-1">
                  <span>{u.name}</span>
                  <span className="text-right">
                    <b className="n">{amount(Math.round(u.amount * 10) / 10, u.unit, system)}</b>
                    <span className="lab block">{u.read ? msg("as read") : msg("as planned")}</span>
                  </span>
                </li>
              ))}
            </ul>
          </div>
          <div>
            <h3 className="hd">{msg("Lots")}</h3>
            <ul>
              {record.lots.map((l) => (
                <li key={`${l.role}${l.name}`} className="flex justify-between gap-3 border-b border-hair py-1">
                  <span>
                    {l.role}: {l.name}
                  </span>
                  <span className="n font-semibold">{l.lot}</span>
                </li>
              ))}
            </ul>
          </div>
          <div>
            <h3 className="hd">{msg("Schools followed")}</h3>
            <ul>
              {record.schools.map((s) => (
                <li key={s.school} className="border-b border-hair py-1">
                  {s.question}: <b>{s.label}</b>
                </li>
              ))}
            </ul>
          </div>
        </div>
        {record.house.length > 0 && (
          <section aria-label={msg("The house’s own page")} className="keep mt-5">
            <h3 className="hd">{msg("The house’s own page")}</h3>
            <ul>
              {record.house.map((h) => (
                <li key={h.rule} className="border-b border-hair py-1">
                  <HouseSaid change={h} />
                </li>
              ))}
            </ul>
          </section>
        )}
        <div className="keep firm mt-5 h-[520px]">
          <DrawingPair drawing={workup.drawing} labels={226} />
        </div>
        {record.again.map((a) => (
          <p key={a.due} className="mt-4">
            <b>{msg("Look again {due}.", { due: dayAndTime(a.due, zone) })}</b> {a.what}{" "}
            <span className="lab">{a.shown}</span>
          </p>
        ))}
        <p className="mt-4">{record.closing}</p>
        <p className="lab mt-2">{msg("{events} bench events kept for this repair.", { events: record.events })}</p>
      </article>
    </div>
  );
}

function Fact({ label, value }: { label: string; value: string }) {
  return (
    <div className="px-3 py-2 max-sm:border-0 max-sm:px-0 sm:first:pl-0">
      <span className="lab block">{label}</span>
      <span className="n block font-semibold">{value}</span>
    </div>
  );
}
