import type { Api } from "../../api/client";

const SCALE_STEP_G = 0.1;

/** Cream for filler that was really weighed, to the step of the scale and never below it: grams × percent / 100. */
export function creamFor(fillerG: number, percent: number): number {
  return Math.max(SCALE_STEP_G, Math.round((fillerG * percent) / 100 / SCALE_STEP_G) / Math.round(1 / SCALE_STEP_G));
}

/** Whether the label's clock holds for this dose, by the window that was frozen with the plan. */
export const honest = (percent: number, w: Api["DoseWindow"]) => percent >= w.from && percent <= w.to;

/** Whether filler and cream of this dose never reach full cure. */
export const neverCures = (percent: number, w: Api["DoseWindow"]) => percent < w.curesFrom || percent > w.curesTo;

/** Dose that was really given, % of filler. */
export const percentOf = (fillerG: number, creamG: number) => (creamG / fillerG) * 100;
