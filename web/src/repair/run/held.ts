import { msg, within } from "../../messages/messages";
import type { Api } from "../../api/client";
import { stretch } from "../../units/units";
import { stopping } from "./judge";

/** What the pedal and Enter find in the step in hand. */
export interface Blind {
  state: Pick<Api["RunState"], "stops" | "mixes" | "readings">;
  /** What must hold before the mix in hand goes live. */
  musts: readonly Api["Must"][];
  current: Api["RunStep"];
  /** The mix in hand is not live yet. */
  mixing: boolean;
  /** Seconds that its wait still has. */
  early: number;
  /** The wait does not end by waiting. */
  never: boolean;
  /** The house wants something that is missing. */
  lacking: boolean;
}

/** Readings that are part of the gate's good answer and are missing. */
export const unread = (state: Pick<Api["RunState"], "readings">, current: Api["RunStep"]) =>
  (current.step.gate?.reads ?? []).filter(
    (q) => !state.readings.some((r) => r.step === current.id && r.quantity === q),
  );

/** Why nothing may be done blind here, in words; undefined where it is safe. */
export function heldBy({ state, musts, current, mixing, early, never, lacking }: Blind): string | undefined {
  const stop = state.stops[0];
  if (stop) return msg("a stop stands: {title}", { title: within(stop.title) });
  const { gate } = current.step;
  if (unread(state, current).length > 0) return msg("it asks for a reading first");
  if (gate?.branches.some((b) => stopping(b.weight))) return msg("look, and say it by hand");
  if (early > 0) return msg("{early} too early", { early: stretch(early, "up") });
  if (never) return msg("this wait does not end by waiting");
  if (lacking) return msg("the house wants something first");
  if (mixing) {
    const mix = state.mixes.findLast((m) => m.step === current.id);
    if (mix?.percent === undefined) return msg("weigh filler and cream first");
  }
  if (musts.some((m) => !m.holds)) return msg("not all holds before it goes live");
  return undefined;
}
