import type { Api } from "../api/client";
import { dated } from "../units/dated";

export type Block = Api["DayBlock"];

/** A day of the shop, as it is drawn: from when its people come in, or now, until they leave or the last thing is done. */
export interface Sheet {
  /** 2026-11-24, by the shop's clock. */
  date: string;
  from: number;
  to: number;
  /** Hours between two stretches of work, when nobody is there. */
  breaks: { from: number; to: number }[];
}

export const ms = (instant: string) => Date.parse(instant);

export const dateOf = (at: number, zone: string) => dated("en-CA", { timeZone: zone }).format(at);

/** The days on which people work and something is planned, in order; the first of them stands for today where nothing is. */
export function sheets(day: Api["DayView"]): Sheet[] {
  const out: Sheet[] = [];
  for (const o of day.open) {
    const [from, to] = [ms(o.from), ms(o.to)];
    const date = dateOf(from, day.zone);
    const last = out.at(-1);
    if (last?.date === date) {
      last.breaks.push({ from: last.to, to: from });
      last.to = to;
    } else {
      out.push({ date, from, to, breaks: [] });
    }
  }
  const used = out.filter((s) => day.blocks.some((b) => ms(b.from) < s.to && ms(b.to) > s.from));
  return used.length > 0 ? used : out.slice(0, 1);
}

/** What of {@code blocks} falls into {@code sheet}, cut at its ends. */
export function within<T extends { from: string; to: string }>(blocks: readonly T[], sheet: Sheet) {
  return blocks
    .map((block) => ({ block, from: Math.max(sheet.from, ms(block.from)), to: Math.min(sheet.to, ms(block.to)) }))
    .filter((b) => b.to > b.from);
}

export type Done = Api["DoneView"];

/** Until when today's part that is over reaches, and what was done in it; nothing on other days. */
export function past(day: Api["DayView"], sheet: Sheet): { from: number; to: number; done: readonly Done[] } {
  const today = sheet.date === dateOf(ms(day.now), day.zone);
  const done = today ? day.done : [];
  return { from: Math.min(...done.map((d) => ms(d.from))), to: Math.min(ms(day.now), sheet.from), done };
}

/** Another's work that goes off, while an apprentice's own hands are free. */
export interface Beside {
  person: string;
  block: Block;
  from: number;
  to: number;
}

const meet = (a: { from: number; to: number }, b: { from: number; to: number }) => a.from < b.to && b.from < a.to;

/**
 * Whom each apprentice can stand beside, by the order that is planned: nothing of theirs, no break and no absence falls into it, and of two at
 * once it is the first. Whoever keeps hours of their own is left out: when they are free is not told here.
 */
export function beside(day: Api["DayView"], sheet: Sheet): Beside[] {
  const here = within(day.blocks, sheet).filter(({ block }) => block.work !== "WAIT" && block.person !== undefined);
  return day.people
    .filter((p) => p.role === "APPRENTICE" && day.own[p.id] === undefined)
    .flatMap((p) => {
      const away = day.away.filter((a) => a.who === p.id).map((a) => ({ from: ms(a.from), to: ms(a.to) }));
      const taken = [...here.filter(({ block }) => block.person === p.id), ...sheet.breaks, ...away];
      const out: Beside[] = [];
      for (const { block, from, to } of [...here].sort((a, b) => a.from - b.from)) {
        const live = block.work === "LIVE" && block.person !== p.id;
        if (live && ![...taken, ...out].some((t) => meet(t, { from, to }))) out.push({ person: p.id, block, from, to });
      }
      return out;
    });
}

/** What hands are at work of {@code some}, min: a break that falls into a block is none of it. */
export function workedMin(some: readonly { from: number; to: number }[], sheet: Sheet): number {
  const meets = (a: { from: number; to: number }, b: { from: number; to: number }) =>
    Math.max(0, Math.min(a.to, b.to) - Math.max(a.from, b.from));
  const resting = (s: { from: number; to: number }) => sheet.breaks.reduce((sum, b) => sum + meets(s, b), 0);
  return some.reduce((sum, s) => sum + s.to - s.from - resting(s), 0) / 60_000;
}

/** A block of the day, cut to what is shown. */
type Cut = ReturnType<typeof within<Block>>[number];

/** The blocks of one pair of hands, those of a repair that follow each other at once as one; {@code more} steps after its first. */
export function inOneGo(some: readonly Cut[]): (Cut & { more: number })[] {
  const out: (Cut & { more: number })[] = [];
  for (const b of [...some].sort((x, y) => x.from - y.from)) {
    const last = out.at(-1);
    const steps = Math.max(1, b.block.steps);
    if (last && last.block.number === b.block.number && last.to === b.from) {
      last.to = b.to;
      last.more += steps;
    } else {
      out.push({ ...b, more: steps - 1 });
    }
  }
  return out;
}

/** Rows for what would lie on each other: each in the first that is free. */
export function rows<T extends { from: number; to: number }>(some: readonly T[]): (T & { row: number })[] {
  const free: number[] = [];
  return [...some]
    .sort((a, b) => a.from - b.from)
    .map((b) => {
      const row = free.findIndex((until) => until <= b.from);
      const at = row < 0 ? free.length : row;
      free[at] = b.to;
      return { ...b, row: at };
    });
}
