import { figures, locale, msg } from "../messages/messages";
import { now } from "../api/clock";
import { dated } from "./dated";
import type { System } from "./system";

export type { System };

export const MM_PER_INCH = 25.4;
const CM2_PER_IN2 = 6.4516;

/** Thin space between value and unit at which no line breaks. */
export const THIN = "\u202f";

export const toInch = (mm: number) => mm / MM_PER_INCH;
export const fromInch = (inch: number) => inch * MM_PER_INCH;
export const toFahrenheit = (c: number) => (c * 9) / 5 + 32;
export const fromFahrenheit = (f: number) => ((f - 32) * 5) / 9;

/** How fine a length is shown in mm; inches have the fractions of a bench. */
export type Fineness = "length" | "depth";

/** What lies in the coats is read to a hundredth: 0.15 mm is not 0.1. */
const places = (mm: number, fineness: Fineness) => (fineness === "length" ? 0 : Math.abs(mm) < 1 ? 2 : 1);

const trimmed = (v: number, places: number) => {
  const s = v.toFixed(places);
  return figures(s.includes(".") ? s.replace(/\.?0+$/, "") : s);
};

/** The number alone, as it would be typed. */
export function lengthNumber(mm: number, system: System): string {
  return system === "metric" ? trimmed(mm, 2) : trimmed(toInch(mm), 3);
}

/**
 * A length in inches as a bench rule has it: 32nds of an inch, 64ths under half an inch, thousandths below a 64th. A maximum is rounded down,
 * a minimum up, anything else to the nearest.
 */
export function lengthInches(mm: number, bound?: "most" | "least"): string {
  if (mm < 0) return `-${lengthInches(-mm, bound === "most" ? "least" : bound === "least" ? "most" : undefined)}`;
  const whole = (v: number) =>
    bound === "most" ? Math.floor(v + 1e-9) : bound === "least" ? Math.ceil(v - 1e-9) : Math.round(v);
  const inch = toInch(mm);
  if (inch < 1 / 64 - 1e-12) return trimmed(whole(inch * 1000) / 1000, 3);
  const parts = inch < 0.5 ? 64 : 32;
  let [over, under] = [whole(inch * parts), parts];
  while (over % 2 === 0 && under > 1) [over, under] = [over / 2, under / 2];
  const inches = Math.floor(over / under);
  const rest = over % under === 0 ? "" : `${over % under}/${under}`;
  return [inches > 0 || rest === "" ? String(inches) : "", rest].filter(Boolean).join("\u00a0");
}

export function length(mm: number, system: System, fineness: Fineness = "length"): string {
  return system === "metric" ? `${trimmed(mm, places(mm, fineness))}${THIN}mm` : `${lengthInches(mm)}${THIN}in`;
}

export function temperature(c: number, system: System, places = 0): string {
  return system === "metric" ? `${trimmed(c, places)}${THIN}°C` : `${trimmed(toFahrenheit(c), places)}${THIN}°F`;
}

export const toSquareInch = (cm2: number) => cm2 / CM2_PER_IN2;

/** An area in square inches to a tenth: a maximum is rounded down, a minimum up, anything else to the nearest. */
export function areaInches(cm2: number, bound?: "most" | "least"): string {
  const tenths = toSquareInch(cm2) * 10;
  const whole =
    bound === "most" ? Math.floor(tenths + 1e-9) : bound === "least" ? Math.ceil(tenths - 1e-9) : Math.round(tenths);
  return trimmed(whole / 10, 1);
}

/** A value in its stored unit as the shop's system has it; lengths as fine as a depth gauge reads. */
export function amountOf(value: number, unit: string, system: System, withUnit = true): string {
  const minus = (s: string) => s.replace("-", "−");
  const text =
    unit === "mm"
      ? length(value, system, "depth")
      : unit === "°C"
        ? temperature(value, system)
        : unit === "°"
          ? `${figures(String(value))}°`
          : `${figures(String(value))}${THIN}${unit}`;
  return minus(withUnit ? text : (text.split(THIN)[0] ?? text));
}

export const grams = (g: number) => `${trimmed(g, 1)}${THIN}g`;
export const millilitres = (ml: number) => `${trimmed(ml, ml < 10 ? 1 : 0)}${THIN}mL`;
export const percent = (p: number) => `${trimmed(p, 1)}${THIN}%`;
export const micrometres = (um: number) => `${trimmed(um, um < 10 ? 1 : 0)}${THIN}µm`;

/** Deadlines round down, earliest times round up. */
export type Rounding = "down" | "up";

/** A stretch of time as on a clock face: 3:48 under ten minutes, else 26 min or 1 h 06. */
export function stretch(seconds: number, rounding: Rounding): string {
  const round = rounding === "down" ? Math.floor : Math.ceil;
  const s = Math.max(0, round(seconds));
  if (s < 600) {
    return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, "0")}`;
  }
  return minutes(s / 60, rounding);
}

/** A planned stretch in minutes or hours. */
export function minutes(min: number, rounding: Rounding = "up"): string {
  const whole = rounding === "down" ? Math.floor(min + 1e-9) : Math.ceil(min - 1e-9);
  if (whole < 60) {
    return `${whole}${THIN}min`;
  }
  return `${Math.floor(whole / 60)}${THIN}h${THIN}${String(whole % 60).padStart(2, "0")}`;
}

/** Time of day in the shop's zone; earliest times round up to the minute, deadlines down. */
export function timeOfDay(instant: string | number, zone: string, rounding: Rounding = "down"): string {
  const ms = typeof instant === "number" ? instant : Date.parse(instant);
  const whole = (rounding === "up" ? Math.ceil : Math.floor)(ms / 60000) * 60000;
  return dated(locale, { hour: "2-digit", minute: "2-digit", timeZone: zone }).format(whole);
}

const DAY_MS = 24 * 3600_000;
const dayOf = (ms: number, zone: string) => dated("en-CA", { timeZone: zone }).format(ms);

/** Time of day, with the day where it is another than {@code now}'s in the shop's zone: 14:25, Fri 07:56. */
export function moment(instant: string | number, now: number, zone: string, rounding: Rounding = "down"): string {
  const ms = typeof instant === "number" ? instant : Date.parse(instant);
  if (dayOf(ms, zone) === dayOf(now, zone)) return timeOfDay(ms, zone, rounding);
  if (Math.abs(ms - now) > 6 * DAY_MS) return dayAndTime(ms, zone, now);
  const weekday = dated(locale, { weekday: "short", timeZone: zone }).format(ms);
  return `${weekday} ${timeOfDay(ms, zone, rounding)}`;
}

/** A day and its time; with the year where it is not this one. */
export function dayAndTime(instant: string | number, zone: string, today = now()): string {
  const ms = typeof instant === "number" ? instant : Date.parse(instant);
  const year = (at: number) => dated("en-GB", { year: "numeric", timeZone: zone }).format(at);
  return dated(locale, {
    ...(year(ms) === year(today) ? { weekday: "short" } : { year: "numeric" }),
    day: "numeric",
    month: "short",
    hour: "2-digit",
    minute: "2-digit",
    timeZone: zone,
  }).format(ms);
}

export type Parsed = { ok: true; value: number } | { ok: false; message: string };

const NUMBER = String.raw`[-+−]?(?:\d+(?:[.,]\d*)?|[.,]\d+)`;
const FRACTION = String.raw`(?:(\d+)\s+)?(\d+)\s*/\s*(\d+)`;

function number(text: string): number {
  return Number(text.replace("−", "-").replace(",", "."));
}

/** A number, a fraction or a whole with a fraction: 38, 1.5, 1 1/2, 1/2. */
function amount(text: string): number | undefined {
  const t = text.trim();
  if (new RegExp(`^${NUMBER}$`).test(t)) {
    return number(t);
  }
  const f = new RegExp(`^${FRACTION}$`).exec(t);
  if (f && Number(f[3]) !== 0) {
    return Number(f[1] ?? 0) + Number(f[2]) / Number(f[3]);
  }
  return undefined;
}

/** Takes a length as typed, in mm whatever the unit: "38", "38mm", "3.8 cm", "1 1/2 in", `1.5"`. */
export function parseLength(text: string, system: System): Parsed {
  const t = text.trim().toLowerCase();
  const m = /^(.*?)\s*(mm|cm|m|in|inch|inches|"|″|”)?$/.exec(t);
  const value = amount(m?.[1] ?? "");
  if (value === undefined) {
    return {
      ok: false,
      message: msg("“{text}” is not a length: type a number, such as {example}.", {
        text: text.trim(),
        example: system === "metric" ? msg("38 or 1 1/2 in") : msg("1 1/2 or 38 mm"),
      }),
    };
  }
  const unit = m?.[2] ?? (system === "metric" ? "mm" : "in");
  const factor = unit === "mm" ? 1 : unit === "cm" ? 10 : unit === "m" ? 1000 : MM_PER_INCH;
  // 4.75 in is 120.65 mm, not what binary makes of it.
  return { ok: true, value: Math.round(value * factor * 1e9) / 1e9 };
}

/** Takes an area as typed, in cm² whatever the unit: "800", "124 in²", "124 sq in", "0.08 m2". */
export function parseArea(text: string, system: System): Parsed {
  const t = text.trim().toLowerCase();
  const m = /^(.*?)\s*(cm²|cm2|m²|m2|in²|in2|sq in)?$/.exec(t);
  const value = amount(m?.[1] ?? "");
  if (value === undefined) {
    return {
      ok: false,
      message: msg("“{text}” is not an area: type a number, such as 800 cm² or 124 in².", { text: text.trim() }),
    };
  }
  const unit = m?.[2] ?? (system === "metric" ? "cm²" : "in²");
  const factor = unit.startsWith("cm") ? 1 : unit.startsWith("m") ? 10_000 : CM2_PER_IN2;
  return { ok: true, value: Math.round(value * factor * 1e6) / 1e6 };
}

/** Takes a temperature as typed, in °C: "21", "21 C", "180F", "70 °F". */
export function parseTemperature(text: string, system: System): Parsed {
  const m = /^(.*?)\s*(?:°\s*)?(c|f)?$/.exec(text.trim().toLowerCase());
  const value = amount(m?.[1] ?? "");
  if (value === undefined) {
    return {
      ok: false,
      message: msg("“{text}” is not a temperature: type a number, such as 21 or 70 F.", { text: text.trim() }),
    };
  }
  const unit = m?.[2] ?? (system === "metric" ? "c" : "f");
  return { ok: true, value: unit === "f" ? fromFahrenheit(value) : value };
}

/** Takes a plain number in `unit`; the unit may be typed too. */
export function parsePlain(text: string, unit: string): Parsed {
  const t = text
    .trim()
    .toLowerCase()
    .replace(new RegExp(`\\s*${unit.toLowerCase()}$`), "");
  const value = amount(t);
  return value === undefined
    ? {
        ok: false,
        message: unit
          ? msg("“{text}” is not a number in {unit}: type one, such as 42.", { text: text.trim(), unit })
          : msg("“{text}” is not a number in digits: type one, such as 42.", { text: text.trim() }),
      }
    : { ok: true, value };
}
