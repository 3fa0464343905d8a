import { msg, within } from "../../messages/messages";
import { Eraser } from "lucide-react";
import { useState } from "react";
import type { Api } from "../../api/client";
import { now as serverNow } from "../../api/clock";
import { useRun, useZone } from "../../api/queries";
import { Line, Measure, type Quantity } from "../../shell/field";
import { usePreferences } from "../../shell/preferences";
import { SheetDialog } from "../../shell/sheet-dialog";
import { amountOf, dayAndTime, moment, type System } from "../../units/units";
import { type Ask, type Asked, useAsked } from "../run/asks";
import { type BenchEvent, outbox } from "../run/outbox";

/** Something that happened and may be put right: a reading by its figure, a clock or a step by how much earlier it was. */
interface Happened {
  event: string;
  at: string;
  said: string;
  quantity: Quantity;
  value: number;
  field: string;
  mayGo: boolean;
  /** A remark, which has no figure. */
  note: boolean;
}

function happenings(run: Api["RunView"], asked: (ask: Ask) => Asked, system: System): Happened[] {
  const title = (step: string) => run.state.steps.find((s) => s.id === step)?.step.title ?? "";
  const readings = run.state.readings.map((r): Happened => {
    const ask = asked(r.quantity);
    return {
      event: r.event,
      at: r.at,
      said: msg("{label} {value}, at {step}", {
        label: ask.label,
        value: amountOf(r.value, ask.unit, system),
        step: within(title(r.step)),
      }),
      quantity: ask.quantity,
      value: r.value,
      field: ask.label,
      mayGo: true,
      note: false,
    };
  });
  const minutes = { unit: "min" };
  const earlier = { quantity: minutes, value: 0, field: msg("How much earlier it was"), mayGo: false, note: false };
  const steps = run.state.steps.flatMap((s): Happened[] => [
    ...(s.clockEvent
      ? [
          {
            event: s.clockEvent,
            at: s.beganAt ?? "",
            said: msg("The clock of {title}", { title: within(s.step.title) }),
            ...earlier,
          },
        ]
      : []),
    ...(s.doneEvent && s.doneAt
      ? [{ event: s.doneEvent, at: s.doneAt, said: msg("{title}: done", { title: s.step.title }), ...earlier }]
      : []),
  ]);
  const notes = run.state.notes.map((n): Happened => ({
    event: n.event,
    at: n.at,
    said: msg("Note: {text}", { text: n.text }),
    ...earlier,
    mayGo: true,
    note: true,
  }));
  return [...readings, ...notes, ...steps].sort((a, b) => (a.at < b.at ? -1 : 1));
}

/** What was put right or taken back, and the way to do it: with a reason, nothing erased. */
export function PutRight({ id, record }: { id: number; record: Api["RepairRecord"] }) {
  const zone = useZone();
  const { system } = usePreferences();
  const run = useRun(id);
  const asked = useAsked();
  const [open, setOpen] = useState(false);
  const [picked, setPicked] = useState<Happened>();
  const [value, setValue] = useState<number>();
  const [why, setWhy] = useState("");
  const push = (e: Partial<BenchEvent> & Pick<BenchEvent, "kind">) => {
    outbox.push(id, {
      id: crypto.randomUUID(),
      at: new Date(serverNow()).toISOString(),
      target: picked?.event,
      text: why.trim(),
      ...e,
    });
    setPicked(undefined);
    setWhy("");
    setOpen(false);
  };
  const note = picked?.note ?? false;
  return (
    <section aria-label={msg("Put right")} className="mt-5">
      <div className="flex items-center gap-3">
        <h3 className="hd flex-1">{msg("Put right and taken back")}</h3>
        <SheetDialog
          title={msg("Put something right")}
          told={msg("What stood there stays in the record, with what it should have been and why.")}
          wide
          open={open}
          onOpenChange={(o) => {
            setOpen(o);
            if (!o) setPicked(undefined);
          }}
          trigger={
            <button type="button" className="btn no-print">
              <Eraser size={20} aria-hidden="true" /> {msg("Put right")}
            </button>
          }
        >
          {picked === undefined ? (
            <ul className="max-h-[60vh] overflow-y-auto" aria-label={msg("What happened")}>
              {(run.data ? happenings(run.data, asked, system) : []).map((h) => (
                <li key={h.event} className="border-b border-hair">
                  <button
                    type="button"
                    className="hover:bg-ground flex min-h-14 w-full items-center gap-4 px-2 text-left"
                    onClick={() => {
                      setPicked(h);
                      setValue(h.value);
                    }}
                  >
                    <span className="n min-w-14 font-semibold">
                      {moment(h.at, Date.parse(record.startedAt ?? record.frozen), zone)}
                    </span>
                    <span>{h.said}</span>
                  </button>
                </li>
              ))}
            </ul>
          ) : (
            <form
              className="flex flex-col gap-4"
              onSubmit={(e) => {
                e.preventDefault();
                if (why.trim() && value !== undefined && !note) push({ kind: "AMEND", value });
              }}
            >
              <p className="text-20 font-semibold">{picked.said}</p>
              {!note && (
                <Measure large label={picked.field} quantity={picked.quantity} value={value} onChange={setValue} />
              )}
              <Line label={msg("Why")} value={why} onChange={setWhy} />
              <div className="flex gap-2">
                <button type="button" className="btn" onClick={() => setPicked(undefined)}>
                  {msg("Something else")}
                </button>
                {picked.mayGo && (
                  <button
                    type="button"
                    className="btn"
                    disabled={why.trim() === ""}
                    onClick={() => push({ kind: "UNDO" })}
                  >
                    {msg("Take it back")}
                  </button>
                )}
                {!note && (
                  <button className="btn go" disabled={why.trim() === "" || value === undefined}>
                    {msg("Put it right")}
                  </button>
                )}
              </div>
            </form>
          )}
        </SheetDialog>
      </div>
      {record.amended.length + record.takenBack.length + record.uncounted.length === 0 && <p>{msg("Nothing.")}</p>}
      <ul>
        {record.amended.map((a) => (
          <li key={`${a.target}${a.at}`} className="border-b border-hair py-1.5">
            {a.said}. {a.by}, {dayAndTime(a.at, zone)}: “{a.reason}”
          </li>
        ))}
        {record.takenBack.map((t) => (
          <li key={`${t.target}${t.at}`} className="border-b border-hair py-1.5">
            {msg("Taken back: {said}. {by}, {at}", { said: t.said, by: t.by, at: dayAndTime(t.at, zone) })}
            {t.reason && `: “${t.reason}”`}
          </li>
        ))}
        {record.uncounted.map((u) => (
          <li key={u.event} className="border-b border-hair py-1.5">
            {msg("Not counted: {said}. {by}, {at}: {why}", {
              said: u.said,
              by: u.by,
              at: dayAndTime(u.at, zone),
              why: u.why,
            })}
          </li>
        ))}
      </ul>
    </section>
  );
}
