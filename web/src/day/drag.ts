import type { Api } from "../api/client";
import { msg } from "../messages/messages";
import { firstName } from "../shell/first-name";
import { timeOfDay } from "../units/units";
import { type Block, ms } from "./day-book";

/** A block moved by less is a hand that shook. */
export const LEAST_MS = 5 * 60_000;

/** What is said of a repair's place by letting a block of it go. */
export interface Drop {
  repair: number;
  person: string | undefined;
  notBefore: string | undefined;
  first: boolean;
  wished: boolean;
}

/** To whole five minutes, as people say a time. */
const round = (at: number) => Math.ceil(at / LEAST_MS) * LEAST_MS;

/**
 * What a block means that is dragged by so many ms to the lane of {@code lane}: later is not before then, sooner is before all others, another's
 * lane is their hands. Without a {@code drop} it cannot be, or says nothing; {@code told} says what is so or why not.
 */
export function dragged(
  day: Api["DayView"],
  block: Block,
  by: number,
  lane: string | undefined,
): { drop?: Drop; told: string } {
  const job = day.jobs.find((j) => j.number === block.number);
  if (!job) return { told: "" };
  if (job.begun) return { told: msg("{name} is in hand: it stays.", { name: job.name }) };
  const to = day.people.find((p) => p.id === lane);
  if (!to) return { told: msg("Only hands take it up: drop it in somebody's lane.") };
  const person = to.id === block.person ? job.pin.by : to.id;
  const whose = to.id === block.person ? "" : firstName(to.name);
  if (Math.abs(by) < LEAST_MS && whose === "") return { told: "" };
  const begins = Math.min(
    ...day.blocks.filter((b) => b.number === block.number && b.work !== "WAIT").map((b) => ms(b.from)),
  );
  const later = by >= LEAST_MS;
  const notBefore = later
    ? new Date(round(begins + by)).toISOString()
    : by <= -LEAST_MS
      ? undefined
      : job.pin.notBefore;
  const first = later ? false : by <= -LEAST_MS ? true : job.pin.first;
  const words = [
    later && notBefore ? msg("not before {at}", { at: timeOfDay(notBefore, day.zone) }) : "",
    by <= -LEAST_MS ? msg("before all others") : "",
    whose === ""
      ? ""
      : to.role === "APPRENTICE"
        ? msg("by {name}, what an apprentice may of it", { name: whose })
        : msg("by {name}", { name: whose }),
  ].filter(Boolean);
  return {
    drop: { repair: job.repair, person, notBefore, first, wished: job.pin.wished },
    told: `${job.name}: ${words.join(", ")}`,
  };
}
