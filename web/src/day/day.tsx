import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { Link, useSearchParams } from "react-router";
import { ask, type Api } from "../api/client";
import { useNow } from "../api/clock";
import { keys, useDay, useDayOdds } from "../api/queries";
import { locale, msg } from "../messages/messages";
import { firstName } from "../shell/first-name";
import { useMay, useMe } from "../shell/me";
import { Skeleton } from "../shell/skeleton";
import { useTitle } from "../shell/title";
import { dated } from "../units/dated";
import { minutes, moment, timeOfDay } from "../units/units";
import { beside, type Beside, type Done, inOneGo, ms, past, type Sheet, sheets, within } from "./day-book";
import { AwayDialog } from "./away-dialog";
import type { Drop } from "./drag";
import { CalendarDialog } from "./calendar-dialog";
import { HoursDialog } from "./hours-dialog";
import { JobSheet, pinned } from "./job-sheet";
import { Lanes } from "./lanes";
import { Moved } from "./moved";
import { WhatIfDialog } from "./what-if-dialog";

/** Who does what today and on the days after, in which order, and when each repair is ready in it. */
export default function DayPlace() {
  useTitle(msg("Day"));
  const asked = useDay();
  const now = useNow();
  const [date, setDate] = useState("");
  const [params, setParams] = useSearchParams();
  const touched = Number(params.get("repair")) || undefined;
  const setTouched = (repair: number | undefined) =>
    setParams(repair === undefined ? {} : { repair: String(repair) }, { replace: true });
  if (asked.isError && !asked.data)
    return <p className="p-6 text-20 font-bold text-oxide-text">{asked.error.message}</p>;
  if (!asked.data) return <Skeleton />;
  const day = asked.data;
  const all = sheets(day);
  const sheet = all.find((s) => s.date === date) ?? all[0];
  const planned = day.trouble === "" && sheet !== undefined;
  return (
    <div className="print-flow wall flex min-h-0 flex-1 flex-col overflow-y-auto">
      <div className="firm-b flex min-h-[58px] shrink-0 flex-wrap items-stretch">
        <h1
          className="flex flex-1 items-center px-4 text-28 font-semibold max-[699px]:basis-full max-[699px]:py-2"
          style={{ fontStretch: "88%" }}
        >
          {planned ? said(sheet.from, day.zone) : msg("Day")}
        </h1>
        {planned && day.last && (
          <Figure label={msg("All done in this order")} value={moment(day.last, now, day.zone, "up")} />
        )}
        {planned && day.firstComeLast && (
          <Figure label={msg("First come, first served")} value={moment(day.firstComeLast, now, day.zone, "up")} />
        )}
        {planned && (
          <Figure
            label={msg("Late, all promises")}
            value={
              day.lateMin === 0
                ? msg("none")
                : msg("{late}, first come {other}", {
                    late: minutes(day.lateMin),
                    other: minutes(day.firstComeLateMin),
                  })
            }
          />
        )}
        <Acts day={day} planned={planned} />
      </div>
      {day.trouble !== "" && <p className="firm-b bg-tape text-on-tape p-4 text-20 font-semibold">{day.trouble}</p>}
      {planned && touched !== undefined && day.jobs.every((j) => j.repair !== touched) && (
        <p role="status" className="firm-b p-4 text-18 font-semibold">
          {msg(
            "The repair that was asked for has no time on this day: it has no plan, is done, or waits until others are.",
          )}
        </p>
      )}
      {planned && <Moved day={day} now={now} />}
      {planned && day.solverGone && (
        <p className="firm-b no-print px-4 py-3 text-16">
          {msg(
            "Nothing looks for a better order any more: what did has ended. This order can be kept; start the server again.",
          )}
        </p>
      )}
      {planned && (
        <div className="firm-b no-print flex shrink-0 flex-wrap items-center">
          {all.length > 1 && (
            <div role="tablist" aria-label={msg("Days")} className="flex flex-wrap">
              {all.map((s) => (
                <button
                  key={s.date}
                  role="tab"
                  aria-selected={s === sheet}
                  className={`min-h-14 border-r border-hair px-4 text-16 ${s === sheet ? "bg-ground font-bold" : ""}`}
                  onClick={() => setDate(s.date)}
                >
                  {dated(locale, { weekday: "short", day: "numeric", month: "short", timeZone: day.zone }).format(
                    s.from,
                  )}
                </button>
              ))}
            </div>
          )}
          {day.bound && day.jobs.length > 0 && (
            <p className="px-4 py-2 text-16">
              {msg("No order of these repairs is done before {at}.", { at: moment(day.bound, now, day.zone) })}
            </p>
          )}
        </div>
      )}
      {planned && (
        <Placed day={day} sheet={sheet} now={now} touched={day.jobs.find((j) => j.repair === touched)?.number} />
      )}
      {planned && <ByHand day={day} sheet={sheet} />}
      {planned && <OnPaper day={day} sheet={sheet} now={now} />}
      {planned && day.jobs.length === 0 && (
        <p className="border-b border-hair p-4 text-20">{msg("Nothing runs and nothing is ready to begin.")}</p>
      )}
      <Jobs day={day} now={now} touched={touched} touch={setTouched} />
      <Not title={msg("Held by a stop")} some={day.held} told={(n) => n.why} />
      <Not title={msg("No time found")} some={day.left} told={(n) => n.why} />
      {planned && <HowSure day={day} />}
      {planned && (
        <p className="lab no-print p-4">
          {msg(
            "An order that can be kept, by planned minutes. An apprentice is given nothing that goes off, no glass and no tyre. Upright line: promised. Dashed line: wished for. Dark notch: ready. Pale: done, as it was said. Dashed box: an apprentice can stand beside what goes off.",
          )}
        </p>
      )}
    </div>
  );
}

/** Where the odds come from. */
function HowSure({ day }: { day: Api["DayView"] }) {
  const odds = useDayOdds(day).data;
  if (!odds || day.jobs.length === 0) return null;
  return (
    <p className="lab no-print px-4 pt-4">
      {msg(
        "Odds: this order {times} times over, with loops and minutes of hands as they may fall; stops are not counted. Loops from {gates, plural, one {# answer} other {# answers}} at gates of {runs, plural, one {# finished run} other {# finished runs}}, and from memory as far as those do not reach.",
        { times: odds.times, gates: odds.gates, runs: odds.runs },
      )}
    </p>
  );
}

/** The lanes, in which whoever may say so drags a block to another time or to other hands. */
function Placed(props: { day: Api["DayView"]; sheet: Sheet; now: number; touched: number | undefined }) {
  const may = useMay("DAY");
  const client = useQueryClient();
  const [refused, setRefused] = useState("");
  const drop = async ({ repair, ...body }: Drop) => {
    try {
      client.setQueryData(
        keys.day,
        await ask<Api["DayView"]>(`/api/day/repairs/${repair}/pin`, { method: "PUT", body }),
      );
      setRefused("");
    } catch (e) {
      setRefused(e instanceof Error ? e.message : String(e));
    }
  };
  return (
    <>
      <Lanes {...props} {...(may && { drop: (said: Drop) => void drop(said) })} />
      {refused && (
        <p role="alert" className="firm-b text-oxide-text p-3 font-bold">
          {refused}
        </p>
      )}
    </>
  );
}

const ACT = "btn px-3 border-y-0 border-r-0 max-[699px]:flex-1 max-[699px]:border-t";

/** What can be done with a day; where there is no room beside its figures, all of it stands under them. */
function Acts({ day, planned }: { day: Api["DayView"]; planned: boolean }) {
  const maySet = useMay("RULES");
  return (
    <div className="no-print flex min-h-[58px] max-[1099px]:basis-full max-[1099px]:border-t max-[1099px]:border-hair max-[699px]:flex-wrap">
      {planned && (
        <CalendarDialog day={day}>
          <button className={ACT}>{msg("Calendar")}</button>
        </CalendarDialog>
      )}
      {planned && day.jobs.length > 0 && (
        <WhatIfDialog day={day}>
          <button className={ACT}>{msg("What if")}</button>
        </WhatIfDialog>
      )}
      {planned && (
        <button className={ACT} onClick={() => window.print()}>
          {msg("Print")}
        </button>
      )}
      {maySet && (
        <HoursDialog day={day}>
          <button className={ACT}>{msg("Hours")}</button>
        </HoursDialog>
      )}
      {maySet && planned && (
        <AwayDialog day={day}>
          <button className={ACT}>
            {day.away.length > 0 ? msg("Not there: {n}", { n: day.away.length }) : msg("Not there")}
          </button>
        </AwayDialog>
      )}
    </div>
  );
}

const said = (at: number, zone: string) =>
  dated(locale, { weekday: "long", day: "numeric", month: "long", timeZone: zone }).format(at);

function Figure({ label, value }: { label: string; value: string }) {
  return (
    <div className="border-l border-hair px-3 py-2 max-[699px]:flex-1 max-[699px]:border-t">
      <span className="lab block">{label}</span>
      <span className="n block text-18 font-semibold">{value}</span>
    </div>
  );
}

/** What each pair of hands does, in words: heard beside the lanes; on a phone it is what is seen, one's own first. */
function ByHand({ day, sheet }: { day: Api["DayView"]; sheet: Sheet }) {
  const me = useMe();
  const people = [...day.people].sort((a, b) => Number(b.id === me?.id) - Number(a.id === me?.id));
  return (
    <div className="sr-only max-[699px]:not-sr-only no-print">
      {people.map((p) => (
        <section key={p.id} aria-label={p.name} className="border-b border-hair px-4 py-3">
          <h2 className="text-20 font-semibold">{firstName(p.name)}</h2>
          <ol>
            {within(
              day.blocks.filter((b) => b.person === p.id && b.work !== "WAIT"),
              sheet,
            ).map(({ block, from, to }) => (
              <li
                key={`${block.number}-${block.from}`}
                className="n flex gap-3 py-1.5 text-16 print:gap-2 print:py-0 print:text-[11px] print:leading-4"
              >
                <span className="shrink-0 font-semibold">
                  {timeOfDay(from, day.zone)}–{timeOfDay(to, day.zone)}
                </span>
                <span>
                  {block.number} {block.title}
                  {block.work === "LIVE" && `, ${msg("hands stay")}`}
                </span>
              </li>
            ))}
          </ol>
          <StandBeside day={day} some={beside(day, sheet).filter((b) => b.person === p.id)} />
          <Over some={past(day, sheet).done.filter((d) => d.person === p.id)} zone={day.zone} />
        </section>
      ))}
    </div>
  );
}

/** Whom an apprentice can stand beside, in words. */
function StandBeside({ day, some }: { day: Api["DayView"]; some: readonly Beside[] }) {
  if (some.length === 0) return null;
  const name = (id: string | undefined) => firstName(day.people.find((p) => p.id === id)?.name ?? "");
  return (
    <div className="pt-2">
      <h3 className="text-16 font-semibold">{msg("With hands free, to stand beside")}</h3>
      <ol>
        {some.map(({ block, from, to }) => (
          <li key={`${block.number}-${block.from}`} className="n flex gap-3 py-1 text-16">
            <span className="shrink-0 font-semibold">
              {timeOfDay(from, day.zone)}–{timeOfDay(to, day.zone)}
            </span>
            <span>
              {msg("{name} at {n}: {title}", { name: name(block.person), n: block.number, title: block.title })}
            </span>
          </li>
        ))}
      </ol>
    </div>
  );
}

/** What one did today already, in words. */
function Over({ some, zone }: { some: readonly Done[]; zone: string }) {
  if (some.length === 0) return null;
  return (
    <div className="pt-2">
      <h3 className="text-16 font-semibold">
        {msg("Done today: {time}", { time: minutes(some.reduce((sum, d) => sum + ms(d.to) - ms(d.from), 0) / 60_000) })}
      </h3>
      <ol>
        {some.map((d) => (
          <li key={`${d.repair}-${d.from}`} className="n flex gap-3 py-1 text-16">
            <span className="shrink-0 font-semibold">
              {timeOfDay(d.from, zone)}–{timeOfDay(d.to, zone)}
            </span>
            <span>{d.steps > 1 ? msg("{name}, {n} steps", { name: d.name, n: d.steps }) : d.name}</span>
          </li>
        ))}
      </ol>
    </div>
  );
}

/** The repairs by when they are ready; a touched one is edged in the lanes, and opens. */
function Jobs({
  day,
  now,
  touched,
  touch,
}: {
  day: Api["DayView"];
  now: number;
  touched: number | undefined;
  touch: (repair: number | undefined) => void;
}) {
  const odds = useDayOdds(day).data;
  // Whoever comes by a link to one repair sees it; who touches one has it before them.
  const [came] = useState(touched);
  const there = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (came !== undefined) there.current?.scrollIntoView?.({ block: "start" });
  }, [came]);
  if (day.jobs.length === 0) return null;
  return (
    <section aria-label={msg("Repairs of this plan")} className="no-print">
      {day.jobs.map((j) => {
        const its = odds?.repairs.find((o) => o.repair === j.repair);
        const over = j.promisedAt ? (ms(j.ready) - ms(j.promisedAt)) / 60_000 : 0;
        return (
          <div key={j.repair} ref={j.repair === came ? there : undefined}>
            <div className="flex min-h-16 items-stretch border-b border-hair max-[699px]:flex-wrap">
              <button
                aria-expanded={touched === j.repair}
                aria-label={msg("{n}: what holds {name}, and what may be promised", { n: j.number, name: j.name })}
                className={`n min-h-16 w-16 shrink-0 border-r border-hair text-20 font-bold ${touched === j.repair ? "bg-violet text-on-pine" : ""}`}
                onClick={() => touch(touched === j.repair ? undefined : j.repair)}
              >
                {j.number}
              </button>
              <Link
                to={`/repairs/${j.repair}/${j.begun ? "run" : "steps"}`}
                className="hover:bg-ground flex min-w-0 flex-1 flex-col justify-center px-4 py-2 max-[699px]:basis-[calc(100%-4rem)]"
              >
                <span className="text-18 font-semibold">{j.name}</span>
                <span className="lab">
                  {[
                    j.vehicle,
                    msg("{time} of hands", { time: minutes(j.handsMin) }),
                    pinned(j, day, (m) => moment(m, now, day.zone)),
                  ]
                    .filter(Boolean)
                    .join(", ")}
                </span>
              </Link>
              <div className="flex w-56 flex-col justify-center border-l border-hair px-4 max-[699px]:w-1/2 max-[699px]:border-l-0 max-[699px]:pb-2">
                <span className="lab">{msg("Ready")}</span>
                <span className="n text-18 font-semibold">{moment(j.ready, now, day.zone, "up")}</span>
                {its?.holds && (
                  <span className="lab n">
                    {msg("by {at} in {n} of 100", { at: moment(its.holds, now, day.zone, "up"), n: odds?.holds ?? 0 })}
                  </span>
                )}
              </div>
              <div className="flex w-56 flex-col justify-center border-l border-hair px-4 max-[699px]:w-1/2 max-[699px]:pb-2">
                <span className="lab">{j.pin.wished ? msg("Wished for") : msg("Promised")}</span>
                <span className={`n text-18 ${over > 0 ? "text-oxide-text font-bold" : ""}`}>
                  {j.promisedAt
                    ? over > 0
                      ? msg("{at}, {late} late", { at: moment(j.promisedAt, now, day.zone), late: minutes(over) })
                      : moment(j.promisedAt, now, day.zone)
                    : msg("nothing")}
                </span>
                {its?.inHundred !== undefined && (
                  <span className="lab n">{msg("kept in {n} of 100", { n: its.inHundred })}</span>
                )}
              </div>
            </div>
            {touched === j.repair && <JobSheet day={day} job={j} now={now} />}
          </div>
        );
      })}
    </section>
  );
}

/** The day as it hangs on the wall: what each pair of hands does, what the numbers stand for, and when each is ready. */
function OnPaper({ day, sheet, now }: { day: Api["DayView"]; sheet: Sheet; now: number }) {
  const both = (j: Api["DayJob"]) => ({
    at: moment(j.ready, now, day.zone, "up"),
    promised: j.promisedAt ? moment(j.promisedAt, now, day.zone) : "",
  });
  return (
    <div aria-hidden="true" className="hidden text-[10px] leading-[13px] print:block">
      <div className="grid auto-cols-fr grid-flow-col gap-3 border-b border-hair p-2">
        {day.people.map((p) => (
          <div key={p.id}>
            <b className="text-14">{p.name}</b>
            <ol>
              {inOneGo(
                within(
                  day.blocks.filter((b) => b.person === p.id && b.work !== "WAIT"),
                  sheet,
                ),
              ).map(({ block, from, to, more }) => (
                <li key={`${block.number}-${block.from}`} className="n flex gap-1.5">
                  <b className="shrink-0">
                    {timeOfDay(from, day.zone)}–{timeOfDay(to, day.zone)}
                  </b>
                  <span>
                    <b>{block.number}</b>{" "}
                    {more > 0 ? msg("{title} and {n} more", { title: block.title, n: more }) : block.title}
                  </span>
                </li>
              ))}
            </ol>
          </div>
        ))}
      </div>
      <ol className="columns-3 gap-3 p-2">
        {day.jobs.map((j) => (
          <li key={j.repair}>
            <b className="n">{j.number}</b> {[j.name, j.vehicle].filter(Boolean).join(", ")},{" "}
            {j.promisedAt
              ? j.pin.wished
                ? msg("ready {at}, wished for {promised}", both(j))
                : msg("ready {at}, promised {promised}", both(j))
              : msg("ready {at}", { at: moment(j.ready, now, day.zone, "up") })}
          </li>
        ))}
      </ol>
    </div>
  );
}

function Not({
  title,
  some,
  told,
}: {
  title: string;
  some: readonly Api["NotPlanned"][];
  told: (n: Api["NotPlanned"]) => string;
}) {
  if (some.length === 0) return null;
  return (
    <section aria-label={title}>
      <h2 className="firm-b px-4 py-3 text-20 font-semibold">{title}</h2>
      {some.map((n) => (
        <Link
          key={n.repair}
          to={`/repairs/${n.repair}/steps`}
          className="hover:bg-ground flex min-h-14 flex-wrap items-center gap-x-4 border-b border-hair px-4 py-2"
        >
          <span className="text-18 font-semibold">{n.name}</span>
          <span>{told(n)}</span>
        </Link>
      ))}
    </section>
  );
}
