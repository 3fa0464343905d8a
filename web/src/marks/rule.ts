import { MM_PER_INCH, type System } from "../units/units";

/** A tick of a rule: where, how it is numbered, and how long it is drawn. */
export interface Tick {
  at: number;
  label?: string;
  size: "long" | "middle" | "short";
}

const METRIC = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000];
const INCH = [1 / 16, 1 / 8, 1 / 4, 1 / 2, 1, 2, 5, 10, 20, 50];
const MINUTES = [1 / 6, 0.5, 1, 2, 5, 10, 30, 60, 120, 360];
const TIGHTEST_PX = 5;
const NUMBER_PX = 46;

function pick(steps: number[], perUnit: number, px: number, multipleOf = 0): number {
  const fits = (s: number) =>
    s * perUnit >= px && (multipleOf === 0 || Math.abs(s / multipleOf - Math.round(s / multipleOf)) < 1e-9);
  return steps.find(fits) ?? (steps.at(-1) ?? 1) * 10;
}

function between(from: number, to: number, perUnit: number, steps: number[], show: (v: number) => string): Tick[] {
  const minor = pick(steps, perUnit, TIGHTEST_PX);
  const major = pick(steps, perUnit, NUMBER_PX, minor);
  const out: Tick[] = [];
  for (let i = Math.ceil(from / minor - 1e-6); i * minor <= to + 1e-6; i++) {
    const at = i * minor;
    const long = Math.abs(at / major - Math.round(at / major)) < 1e-6;
    const middle = Math.abs((2 * at) / major - Math.round((2 * at) / major)) < 1e-6;
    out.push({ at, label: long ? show(at) : undefined, size: long ? "long" : middle ? "middle" : "short" });
  }
  return out;
}

/** Ticks of a rule over lengths in mm, numbered in the shop's system; `perMm` is px for one mm. */
export function lengthTicks(from: number, to: number, perMm: number, system: System): Tick[] {
  if (system === "metric") {
    return between(from, to, perMm, METRIC, (v) => String(Math.round(v * 10) / 10));
  }
  return between(from / MM_PER_INCH, to / MM_PER_INCH, perMm * MM_PER_INCH, INCH, (v) =>
    String(Math.round(v * 100) / 100),
  ).map((t) => ({ ...t, at: t.at * MM_PER_INCH }));
}

/** Ticks of a rule over heights in mm with a fine scale, numbered in the shop's system. */
export function heightTicks(from: number, to: number, perMm: number, system: System): Tick[] {
  return system === "metric"
    ? between(from, to, perMm, [0.1, 0.2, 0.5, 1, 2, 5, 10], (v) => String(Math.round(v * 10) / 10))
    : between(from / MM_PER_INCH, to / MM_PER_INCH, perMm * MM_PER_INCH, [1 / 64, 1 / 32, 1 / 16, 1 / 8, 1 / 4], (v) =>
        String(Math.round(v * 1000) / 1000).replace(/^(-?)0\./, "$1."),
      ).map((t) => ({ ...t, at: t.at * MM_PER_INCH }));
}

/** Ticks of a rule over minutes; parts of a minute are told in seconds. */
export function minuteTicks(from: number, to: number, perMinute: number): Tick[] {
  return between(from, to, perMinute, MINUTES, (v) => {
    const seconds = Math.round(v * 60);
    const rest = seconds % 60;
    return rest === 0 ? String(seconds / 60) : `${Math.floor(seconds / 60)}:${String(rest).padStart(2, "0")}`;
  });
}
