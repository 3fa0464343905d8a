import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { ask, type Api } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { msg } from "../messages/messages";
import { Choice } from "../shell/field";
import { MomentField } from "../shell/day-field";
import { firstName } from "../shell/first-name";
import { useMay } from "../shell/me";
import { minutes, moment } from "../units/units";

type Told = Api["RepairDayView"];
type Job = Api["DayJob"];
type Held = Api["HeldView"];

/** What holds a repair, in the words of the trade, and what would free it. */
const HELD: Record<Held["kind"], { told: (by: string) => string; freed: string }> = {
  WORK: { told: () => msg("Hands are at it"), freed: "" },
  CURE: {
    told: () => msg("Cures and dries by itself"),
    freed: msg("sooner by a lamp or an oven, where the label allows it"),
  },
  HEAT: { told: () => msg("Under a lamp or in an oven"), freed: "" },
  NOT_BEFORE: { told: () => msg("Asked not to begin yet"), freed: msg("sooner if that is taken back") },
  CLOSED: { told: () => msg("Nobody who may do it is at work"), freed: msg("sooner by longer hours") },
  HANDS: {
    told: (by) => msg("Hands are at {repair}", { repair: by }),
    freed: msg("sooner by another pair of hands, or if this one goes first"),
  },
  THING: {
    told: (by) =>
      by === "" ? msg("The lamp or oven is out of order") : msg("The lamp or oven has {repair}", { repair: by }),
    freed: msg("sooner by one more of them"),
  },
  ORDER: { told: () => msg("Held back: too short before a break, or hands are kept for another"), freed: "" },
};

/** As many other repairs that have the hands as are told by name. */
const NAMED = 3;

interface Line {
  told: string;
  freed: string;
  minutes: number;
  work: boolean;
}

/** What holds it, the longest first; of many that have the hands the shorter ones are told together. */
export function lines(held: readonly Held[]): Line[] {
  const others = held.filter((h) => h.kind === "HANDS");
  const few = others.slice(NAMED);
  const together = few.length > 1 ? few : [];
  const out = held
    .filter((h) => !together.includes(h))
    .map((h) => ({
      told: HELD[h.kind].told(h.by),
      freed: h.kind === "HANDS" && h !== others[0] ? "" : HELD[h.kind].freed,
      minutes: h.minutes,
      work: h.kind === "WORK",
    }));
  if (together.length === 0) return out;
  const rest = {
    told: msg("Hands are at {n} others", { n: together.length }),
    freed: "",
    minutes: together.reduce((sum, h) => sum + h.minutes, 0),
    work: false,
  };
  return [...out, rest].sort((x, y) => y.minutes - x.minutes);
}

/** Why a repair is ready when it is, what may be promised of it, and what somebody says of its place. */
export function JobSheet({ day, job, now }: { day: Api["DayView"]; job: Job; now: number }) {
  return (
    <section
      aria-label={msg("{name} on this day", { name: job.name })}
      className="firm-b bg-ground grid grid-cols-3 gap-x-8 gap-y-6 px-4 py-4 max-[1099px]:grid-cols-1"
    >
      <Why day={day} job={job} />
      <CanIPromise day={day} job={job} now={now} />
      <Place key={job.repair} day={day} job={job} />
    </section>
  );
}

const useJob = (day: Api["DayView"], job: Job, by?: string) =>
  useQuery({
    queryKey: [...keys.day, "repair", job.repair, day.now, by],
    queryFn: () => ask<Told>(`/api/day/repairs/${job.repair}${by ? `?by=${encodeURIComponent(by)}` : ""}`),
    placeholderData: (had) => had,
  });

function Why({ day, job }: { day: Api["DayView"]; job: Job }) {
  const asked = useJob(day, job);
  const held = lines(asked.data?.held ?? []);
  const all = held.reduce((sum, h) => sum + h.minutes, 0);
  return (
    <div>
      <h3 className="text-18 font-semibold">{msg("What its time goes to")}</h3>
      {asked.isError && <p className="text-oxide-text font-bold">{asked.error.message}</p>}
      <ul>
        {held.map((h) => (
          <li key={h.told} className="border-b border-hair py-2">
            <span className="flex items-baseline justify-between gap-3">
              <span className="text-16">{h.told}</span>
              <span className="n text-16 shrink-0 font-semibold">{minutes(h.minutes)}</span>
            </span>
            {h.freed && <span className="lab block">{h.freed}</span>}
            <span className="mt-1 block h-1.5" aria-hidden="true">
              <span
                className={`block h-full ${h.work ? "bg-pine" : "bg-ink"}`}
                style={{ width: `${(100 * h.minutes) / all}%` }}
              />
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** A promise is told to the minute: the one in which it is ready for sure. */
const fullMinute = (at: string) => new Date(Math.ceil(Date.parse(at) / 60_000) * 60_000).toISOString();

function CanIPromise({ day, job, now }: { day: Api["DayView"]; job: Job; now: number }) {
  const may = useMay("PLAN");
  const [by, setBy] = useState<string>();
  const [said, setSaid] = useState("");
  const open = useJob(day, job).data;
  const told = useJob(day, job, by).data;
  const at = (m: string) => moment(m, now, day.zone, "up");
  // Until the answer to what was typed last is there, none is shown.
  const answered = by !== undefined && told?.asked && Date.parse(told.asked) === Date.parse(by) ? told : undefined;
  const holds = answered?.answer === "HOLDS" ? by : open?.holds && fullMinute(open.holds);
  const promise = async (when: string) => {
    try {
      const repair = await ask<Api["RepairView"]>(`/api/repairs/${job.repair}`);
      await ask(`/api/repairs/${job.repair}`, {
        method: "PUT",
        body: { ...repair.draft, promisedAt: when },
        version: repair.version,
      });
      setSaid("");
      await queryClient.invalidateQueries({ queryKey: keys.day });
      await queryClient.invalidateQueries({ queryKey: keys.repairs });
    } catch (e) {
      setSaid(e instanceof Error ? e.message : String(e));
    }
  };
  return (
    <div className="flex flex-col gap-3">
      <h3 className="text-18 font-semibold">{msg("Can I promise?")}</h3>
      {open?.holds && (
        <p className="text-16">
          <strong className="n text-28">{at(open.holds)}</strong>{" "}
          {msg("holds in {n} of 100, as loops and minutes fall.", { n: open.often })}
        </p>
      )}
      {open?.promise && (
        <p className="text-16">
          <strong className="n text-18">{at(open.promise)}</strong>{" "}
          {msg("is the soonest found by planned minutes that moves nobody's promise.")}
        </p>
      )}
      {open && <Falls told={open} />}
      {open?.soonest && (
        <p className="text-16">
          {open.soonest === open.promise
            ? msg("No order has it ready sooner, even with nothing else in the shop.")
            : msg("No order has it ready before {at}, even with nothing else in the shop.", { at: at(open.soonest) })}
        </p>
      )}
      <MomentField label={msg("Asked for")} value={by} onChange={setBy} />
      {answered && <Answer told={answered} at={at} />}
      {may && !job.begun && holds && (
        <button className="btn go min-h-14" onClick={() => void promise(holds)}>
          {msg("Promise {at}", { at: at(holds) })}
        </button>
      )}
      <a className="btn min-h-14 self-start" href={`/api/day/calendar?repair=${job.repair}`} download>
        {msg("Calendar file of this vehicle")}
      </a>
      {said && (
        <p role="alert" className="text-oxide-text font-bold">
          {said}
        </p>
      )}
    </div>
  );
}

function Answer({ told, at }: { told: Told; at: (m: string) => string }) {
  const words: Record<NonNullable<Told["answer"]>, string> = {
    HOLDS:
      (told.inHundred ?? 0) < told.often
        ? msg("By planned minutes it is ready by then, but that seldom holds.")
        : msg("Yes: it is ready by then, and nobody's promise moves."),
    PUSHES: msg("At the cost of others, in the best order found:"),
    NOT_FOUND: msg("No order was found that has it ready by then."),
    NEVER: msg("No: no order has it ready by then."),
  };
  return (
    <div role="status" className="firm bg-sheet px-3 py-2">
      <p className="text-16 font-bold">{told.answer && words[told.answer]}</p>
      {told.inHundred !== undefined && told.answer !== "NEVER" && (
        <p className="text-16">{msg("Ready by then in {n} of 100.", { n: told.inHundred })}</p>
      )}
      {told.answer === "PUSHES" && told.pushed.length === 0 && (
        <p className="text-16">{msg("what was promised nobody is ready later")}</p>
      )}
      <ul>
        {told.pushed.map((p) => (
          <li key={p.repair} className="text-16 py-1">
            {p.after
              ? msg("{name}, promised {promised}: ready {after} instead of {before}", {
                  name: p.name,
                  promised: p.promisedAt ? at(p.promisedAt) : msg("nothing"),
                  after: at(p.after),
                  before: at(p.before),
                })
              : msg("{name} would find no time", { name: p.name })}
          </li>
        ))}
      </ul>
      {told.answer === "PUSHES" && <Falls told={told} />}
    </div>
  );
}

/** Promises of others that are kept less often for its sake. */
function Falls({ told }: { told: Told }) {
  if (told.falls.length === 0) return null;
  return (
    <ul>
      {told.falls.map((f) => (
        <li key={f.name} className="text-16 py-1">
          {msg("{name}: kept in {after} of 100 instead of {before}", {
            name: f.name,
            after: f.after,
            before: f.before,
          })}
        </li>
      ))}
    </ul>
  );
}

const ANYBODY = "";

/** Whose hands, not before when, before all others: said once, and every plan keeps to it. */
function Place({ day, job }: { day: Api["DayView"]; job: Job }) {
  const may = useMay("DAY");
  const [person, setPerson] = useState(job.pin.by ?? ANYBODY);
  const [notBefore, setNotBefore] = useState(job.pin.notBefore);
  const [first, setFirst] = useState(job.pin.first ? ("FIRST" as const) : ("ORDER" as const));
  const [promise, setPromise] = useState(job.pin.wished ? ("WISHED" as const) : ("FIRM" as const));
  const [refused, setRefused] = useState("");
  const keep = async () => {
    try {
      const next = await ask<Api["DayView"]>(`/api/day/repairs/${job.repair}/pin`, {
        method: "PUT",
        body: { person, notBefore, first: first === "FIRST", wished: promise === "WISHED" },
      });
      queryClient.setQueryData(keys.day, next);
      setRefused("");
    } catch (e) {
      setRefused(e instanceof Error ? e.message : String(e));
    }
  };
  if (!may) return <div>{pinned(job, day, (m) => moment(m, Date.parse(day.now), day.zone))}</div>;
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        void keep();
      }}
    >
      <h3 className="text-18 font-semibold">{msg("Its place")}</h3>
      <Choice
        label={msg("Whose hands")}
        value={person}
        options={[
          { value: ANYBODY, label: msg("Any") },
          ...day.people.map((p) => ({ value: p.id, label: firstName(p.name) })),
        ]}
        onChange={setPerson}
        atLeast={96}
      />
      <Choice
        label={msg("When")}
        value={first}
        options={[
          { value: "ORDER", label: msg("As the order has it") },
          { value: "FIRST", label: msg("Before all others") },
        ]}
        onChange={setFirst}
      />
      {job.promisedAt && (
        <Choice
          label={msg("What was promised")}
          value={promise}
          options={[
            { value: "FIRM", label: msg("Firm") },
            { value: "WISHED", label: msg("A wish: gives way") },
          ]}
          onChange={setPromise}
        />
      )}
      {!job.begun && <MomentField label={msg("Not before")} value={notBefore} onChange={setNotBefore} />}
      <button className="btn min-h-14">{msg("Plan it so")}</button>
      {refused && (
        <p role="alert" className="text-oxide-text font-bold">
          {refused}
        </p>
      )}
    </form>
  );
}

/** What was said of a repair's place, in a few words; empty where nothing was. */
export function pinned(job: Job, day: Api["DayView"], at: (m: string) => string): string {
  const by = day.people.find((p) => p.id === job.pin.by);
  return [
    job.pin.first && msg("before all others"),
    by && msg("by {who}", { who: firstName(by.name) }),
    job.pin.notBefore && !job.begun && msg("not before {at}", { at: at(job.pin.notBefore) }),
  ]
    .filter(Boolean)
    .join(", ");
}
