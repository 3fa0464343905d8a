import { useQueryClient } from "@tanstack/react-query";
import { ArrowDownUp } from "lucide-react";
import { useState } from "react";
import { ask, type Api } from "../api/client";
import { keys } from "../api/queries";
import { msg } from "../messages/messages";
import { firstName } from "../shell/first-name";
import { useMay } from "../shell/me";
import { minutes, moment, timeOfDay } from "../units/units";
import { ms } from "./day-book";

type Shift = Api["ShiftView"];

/** As many repairs as are told by name; of more it is told how many. */
const NAMED = 2;

/** What changed of the order, in a sentence each: who goes first now, what that keeps, and what it costs. */
export function told(moved: Api["MovedView"], when: (at: string) => string): string[] {
  const out: string[] = [];
  if (moved.turned) {
    const { first, then, person } = moved.turned;
    out.push(msg("{first} before {then} for {person}.", { first, then, person: firstName(person) }));
  }
  weightiest(moved.repairs).forEach((r) => out.push(one(r, when)));
  const more = moved.repairs.length - NAMED;
  if (more > 0) out.push(msg("{n, plural, one {# more moves.} other {# more move.}}", { n: more }));
  return out;
}

/** Whose promise is kept or missed by it; then who gains most and who loses most. */
function weightiest(repairs: readonly Shift[]): Shift[] {
  const misses = (r: Shift, at: string) => r.promisedAt !== undefined && ms(at) > ms(r.promisedAt);
  const turned = repairs.filter((r) => misses(r, r.before) !== misses(r, r.after));
  return [...new Set([...turned, ...repairs.slice(0, 1), ...repairs.slice(-1)])].slice(0, NAMED);
}

function one(r: Shift, when: (at: string) => string): string {
  const { name } = r;
  const by = minutes(Math.abs(ms(r.after) - ms(r.before)) / 60_000);
  const sooner = ms(r.after) < ms(r.before);
  if (!r.promisedAt)
    return sooner
      ? msg("{name} is ready {at}, {by} sooner.", { name, at: when(r.after), by })
      : msg("{name} is ready {at}, {by} later.", { name, at: when(r.after), by });
  const promised = when(r.promisedAt);
  const left = (ms(r.promisedAt) - ms(r.after)) / 60_000;
  const rest = minutes(Math.abs(left));
  if (sooner && left >= 0 && ms(r.before) > ms(r.promisedAt))
    return msg("{name} keeps {promised}.", { name, promised });
  if (sooner)
    return left >= 0
      ? msg("{name} is ready {by} sooner, {rest} before its {promised}.", { name, by, rest, promised })
      : msg("{name} is ready {by} sooner, still {rest} past its {promised}.", { name, by, rest, promised });
  return left >= 0
    ? msg("{name} is ready {by} later, {rest} before its {promised}.", { name, by, rest, promised })
    : msg("{name} is ready {by} later, {rest} past its {promised}.", { name, by, rest, promised });
}

/** The one line that says that another order stands than the one that was gone by, and takes it back. */
export function Moved({ day, now }: { day: Api["DayView"]; now: number }) {
  const may = useMay("DAY");
  const client = useQueryClient();
  const [refused, setRefused] = useState("");
  const { moved } = day;
  if (!moved) return null;
  const keepOff = async () => {
    try {
      client.setQueryData(keys.day, await ask<Api["DayView"]>("/api/day/moved/off", { method: "POST", body: {} }));
      setRefused("");
    } catch (e) {
      setRefused(e instanceof Error ? e.message : String(e));
    }
  };
  return (
    <section
      aria-label={msg("What was moved")}
      aria-live="polite"
      className="firm-b bg-ground no-print flex min-h-14 shrink-0 items-stretch max-[699px]:flex-wrap"
    >
      <p className="flex flex-1 items-center gap-3 px-4 py-2 text-16 max-[699px]:basis-full">
        <ArrowDownUp aria-hidden="true" className="shrink-0" size={22} />
        <span>
          <b className="n">{msg("Moved {at}", { at: timeOfDay(moved.at, day.zone) })}</b>{" "}
          {told(moved, (at) => moment(at, now, day.zone)).join(" ")}
          {refused && <span className="text-oxide-text block font-bold">{refused}</span>}
        </span>
      </p>
      {may && (
        <button
          className="btn border-y-0 border-r-0 max-[699px]:flex-1 max-[699px]:border-t max-[699px]:border-l-0"
          onClick={() => void keepOff()}
        >
          {msg("Keep it off")}
        </button>
      )}
    </section>
  );
}
