import { msg, within } from "../../messages/messages";
import { TriangleAlert } from "lucide-react";
import type { Api } from "../../api/client";
import { isDeadline } from "../../marks/clock-rule";
import {
  amountOf,
  grams,
  length,
  micrometres,
  minutes,
  moment,
  percent,
  stretch,
  type System,
} from "../../units/units";
import type { Ask } from "./asks";
import { curedBy } from "./cured-by";
import { depthMm } from "./rework";
import { gateTextOf } from "./run-step-id";

/** The one figure that matters in a step. */
export interface Figure {
  /** A deadline that bites within half a minute, or is over. */
  alarm?: boolean;
  /** It is not what it has to be. */
  off?: boolean;
  value: string;
  unit?: string;
  note: string;
}

const ALARM_S = 30;

/** Widest that a character of the figure is, of its height. */
const CHARACTER = 0.47;
const UNIT_SHARE = 0.4;
/** Characters from which on the note stands under the figure and not beside it. */
const LONG = 9;

/** A figure that is read from a metre away; a long one is smaller, and never wider than its place. */
export function BigFigure({ figure, far = false }: { figure: Figure; far?: boolean }) {
  const characters = figure.value.length + UNIT_SHARE * (figure.unit ? figure.unit.length + 1 : 0);
  // At two metres a figure of 30 mm is read at a glance.
  const height = far ? "clamp(96px, min(19vw, 27vh), 320px)" : "clamp(72px, min(13vw, 18vh), 150px)";
  return (
    <div className="pointer-events-none w-full" style={{ containerType: "inline-size" }}>
      <div
        className={`flex items-end gap-x-4 sm:gap-x-6 ${characters > LONG ? "flex-wrap gap-y-2" : ""} ${figure.alarm || figure.off ? "text-oxide-text" : ""}`}
      >
        {figure.alarm && (
          <TriangleAlert className="size-14 shrink-0 sm:size-24" strokeWidth={2.2} aria-label={msg("Alarm")} />
        )}
        <span
          className="n shrink-0 leading-[0.86] font-semibold whitespace-nowrap"
          style={{ fontSize: `min(${height}, ${100 / (CHARACTER * characters)}cqw)`, fontStretch: "82%" }}
          data-figure
        >
          {figure.value}
          {figure.unit && <span className="ml-2 text-[0.4em] font-medium">{figure.unit}</span>}
        </span>
        <span className="n min-w-0 max-w-80 text-20 leading-7 font-semibold sm:text-28 sm:leading-8">
          {figure.note}
        </span>
      </div>
    </div>
  );
}

const split = (text: string): { value: string; unit?: string } => {
  const [value = "", ...unit] = text.split("\u202f");
  return { value, unit: unit.join(" ") || undefined };
};

/** What was read at a step whose gate is about it: the lowest film, else what was read last. */
function readHere(state: Api["RunState"], current: Api["RunStep"], system: System): Figure | undefined {
  const reads = current.step.gate?.reads ?? [];
  const here = state.readings.filter((r) => r.step === current.id && reads.includes(r.quantity));
  const last = here.at(-1);
  if (!last) return undefined;
  if (last.quantity === "FILM_UM") {
    const film = here.map((r) => r.value);
    return {
      ...split(micrometres(Math.min(...film))),
      note: film.length === 1 ? msg("read") : msg("lowest of {n} readings", { n: film.length }),
    };
  }
  const watch = current.step.watches.find((w) => w.quantity === last.quantity && w.sense === "PLANNED");
  const unit = UNIT[last.quantity] ?? "";
  return {
    ...split(amountOf(last.value, unit, system)),
    note: watch ? msg("read; {limit} planned", { limit: amountOf(watch.limit, unit, system) }) : msg("read"),
  };
}

/** Units of what a gate takes a reading of. */
const UNIT: Partial<Record<Ask, string>> = { DEPTH_MM: "mm", INJURY_MM: "mm", ANGLE_DEG: "°", SURFACE_C: "°C" };

/** The one figure that matters in this step. */
export function figureOf(
  state: Api["RunState"],
  current: Api["RunStep"],
  live: Api["LiveClock"] | undefined,
  left: number | undefined,
  now: number,
  zone: string,
  system: System,
): Figure {
  const { step } = current;
  if (live && left === undefined) return { value: msg("never"), note: curedBy(step).never };
  if (live && left !== undefined && isDeadline(live)) {
    return left > 0
      ? { ...split(stretch(left, "down")), note: msg("left to have it all on the part"), alarm: left <= ALARM_S }
      : { value: msg("over"), note: msg("work time is gone: what is not on the part stays off"), alarm: true };
  }
  if (live && left !== undefined) {
    return left > 0
      ? {
          ...split(stretch(left, "up")),
          note: `${within(live.label)} ${moment(live.endsAt ?? "", now, zone, "up")}`,
        }
      : {
          value: msg("now"),
          note: msg("{label} {at}: ask for the sign", {
            label: within(live.label),
            at: moment(live.endsAt ?? "", now, zone, "up"),
          }),
        };
  }
  const mix = state.mixes.find((m) => m.step === current.id);
  if (step.kind === "MIX" && mix) {
    if (mix.fillerG === undefined) {
      const again = step.asks.includes("DEPTH_MM");
      const deep = depthMm(current.at, state);
      const note = !again
        ? msg("filler to weigh; a little over is fine")
        : deep === undefined
          ? msg("as the first time: read the depth, weigh less")
          : state.spots.some((s) => s.step === gateTextOf(current.at))
            ? msg("filler, for what was drawn")
            : deep > 0
              ? msg("filler, for {deep} of depth", { deep: length(deep, system, "depth") })
              : msg("filler, for a coat");
      return { ...split(grams(mix.fillerTargetG)), note };
    }
    if (mix.creamG === undefined)
      return {
        ...split(grams(mix.creamTargetG)),
        note: msg("cream, for the {filler} really weighed", { filler: grams(mix.fillerG) }),
      };
    return { ...split(percent(mix.percent ?? 0)), note: msg("cream, really weighed") };
  }
  const read = readHere(state, current, system);
  if (read) return read;
  if (step.paper)
    return {
      value: step.paper,
      unit: msg("grade"),
      note: msg("{tool}; about {time}", { tool: step.tool, time: minutes(step.activeMin) }),
    };
  if (step.figure) return { ...split(step.figure), note: msg("planned") };
  if (step.activeMin > 0) return { ...split(minutes(step.activeMin)), note: msg("hands on, about") };
  return { value: msg("by test"), note: msg("no clock: the sign decides") };
}
