import type { Api } from "../../api/client";
import { figureFor, useAnswer, useDevices } from "../../devices/live";

export type Weight = "FILLER_G" | "CREAM_G";

/** What is on the scale now and was not taken yet, g; undefined while no scale is heard. */
export function useOnScale(ask: Weight): number | undefined {
  const live = figureFor(useAnswer(ask), useDevices());
  return live?.heard && !live.shown.said ? live.value : undefined;
}

/** Which of the two is weighed now. */
export const dueOf = (mix: Api["MixDone"]): Weight | undefined =>
  mix.fillerG === undefined ? "FILLER_G" : mix.creamG === undefined ? "CREAM_G" : undefined;
