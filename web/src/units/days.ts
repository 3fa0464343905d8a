import { dated } from "./dated";
import type { System } from "./units";

/** A day as it is kept: 2026-11-30. */
export type Day = string;

const DAY_MS = 86_400_000;
const MONTHS = ["jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec"];
const WEEK = ["sun", "mon", "tue", "wed", "thu", "fri", "sat"];

const at = (day: Day) => Date.parse(`${day}T00:00:00Z`);
const plus = (day: Day, days: number) => new Date(at(day) + days * DAY_MS).toISOString().slice(0, 10);

/** The day, if there is such a day; two figures are a year of this century. */
function made(year: number, month: number, day: number): Day | undefined {
  const y = year < 100 ? 2000 + year : year;
  const ms = Date.UTC(y, month - 1, day);
  const d = new Date(ms);
  const real = d.getUTCFullYear() === y && d.getUTCMonth() === month - 1 && d.getUTCDate() === day;
  return real && y >= 1900 && y < 10_000 ? d.toISOString().slice(0, 10) : undefined;
}

/** Without a year the next such day, today itself among them. */
const next = (month: number, day: number, today: Day): Day | undefined => {
  const year = Number(today.slice(0, 4));
  const here = made(year, month, day);
  return here && here >= today ? here : made(year + 1, month, day);
};

/**
 * Takes a day as it is typed: 30 Nov 2026, 30.11.26, 2026-11-30, 30 11, Fri, tomorrow, +14. Of two figures the first is the day, but in a shop of inches
 * the month. undefined where it is none.
 */
export function parseDay(text: string, today: Day, system: System): Day | undefined {
  const t = text.trim().toLowerCase();
  if (t === "today") return today;
  if (t === "tomorrow") return plus(today, 1);
  const later = /^\+\s*(\d{1,4})(?:\s*days?)?$/.exec(t);
  if (later) return plus(today, Number(later[1]));
  const weekday = WEEK.findIndex(
    (w) => t.length >= 2 && t.length <= 9 && t.startsWith(w.slice(0, Math.min(3, t.length))),
  );
  if (weekday >= 0 && /^[a-z]+$/.test(t)) return plus(today, (weekday - new Date(at(today)).getUTCDay() + 7) % 7);
  const parts = t.replace(/^(?:sun|mon|tue|wed|thu|fri|sat)[a-z]*[\s,]+/, "").match(/\d+|[a-z]+/g) ?? [];
  if (parts.length < 2 || parts.length > 3 || !/^[\d\sa-z.,/-]+$/.test(t)) return undefined;
  const [a = "", b = "", c] = parts;
  if (/^\d{4}$/.test(a)) return c === undefined ? undefined : made(Number(a), Number(b), Number(c));
  const named = (w: string) => (w.length >= 3 ? MONTHS.indexOf(w.slice(0, 3)) + 1 : 0);
  const swapped = named(a) > 0 || (system === "inch" && named(b) === 0);
  const [dayWord, monthWord] = swapped ? [b, a] : [a, b];
  const month = named(monthWord) || Number(monthWord);
  const day = Number(dayWord);
  if (!Number.isInteger(month) || !Number.isInteger(day)) return undefined;
  return c === undefined
    ? next(month, day, today)
    : /^\d{2}(\d{2})?$/.test(c)
      ? made(Number(c), month, day)
      : undefined;
}

/** A day in full, in the shop's order: Mon 30 Nov 2026; Mon Nov 30, 2026. */
export function sayDay(day: Day, system: System): string {
  return dated(system === "inch" ? "en-US" : "en-GB", {
    weekday: "short",
    day: "numeric",
    month: "short",
    year: "numeric",
    timeZone: "UTC",
  })
    .format(at(day))
    .replace(/^(\w+),/, "$1");
}

/** A day as it would be typed: 30 Nov 2026; Nov 30 2026. */
export const typedDay = (day: Day, system: System) => sayDay(day, system).replace(/^\w+ /, "").replace(",", "");

/** Takes a time of day: 16:30, 1630, 16, 4.30 pm. undefined where it is none. */
export function parseTime(text: string): string | undefined {
  const m = /^(\d{1,2})(?:[:.h ]?(\d{2}))?\s*(am|pm)?$/.exec(text.trim().toLowerCase());
  if (!m) return undefined;
  const [, h = "", min = "0", half] = m;
  let hour = Number(h);
  if (half && (hour < 1 || hour > 12)) return undefined;
  if (half) hour = (hour % 12) + (half === "pm" ? 12 : 0);
  return hour < 24 && Number(min) < 60 ? `${String(hour).padStart(2, "0")}:${min.padStart(2, "0")}` : undefined;
}

function local(ms: number, zone: string): string {
  return dated("sv-SE", {
    timeZone: zone,
    year: "numeric",
    month: "2-digit",
    day: "2-digit",
    hour: "2-digit",
    minute: "2-digit",
    second: "2-digit",
  })
    .format(ms)
    .replace(" ", "T");
}

/** The day and the time of day in {@code zone}. */
export function inZone(instant: string | number, zone: string): { day: Day; time: string } {
  const t = local(typeof instant === "number" ? instant : Date.parse(instant), zone);
  return { day: t.slice(0, 10), time: t.slice(11, 16) };
}

/** The instant at which clocks in {@code zone} show it; an hour that a clock skips is the one after, one that it shows twice the first. */
export function instantIn(day: Day, time: string, zone: string): string {
  const wanted = Date.parse(`${day}T${time}:00Z`);
  const offset = (ms: number) => Date.parse(`${local(ms, zone)}Z`) - ms;
  const ways = [wanted - offset(wanted - DAY_MS), wanted - offset(wanted + DAY_MS)];
  const found = ways.find((ms) => Date.parse(`${local(ms, zone)}Z`) === wanted);
  return new Date(found ?? ways[0] ?? wanted).toISOString();
}
