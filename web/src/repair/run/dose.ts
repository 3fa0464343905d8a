const SCALE_STEP_G = 0.1;

/** Cream for filler that was really weighed, to the step of the scale and never below it: grams × percent / 100. */
export function creamFor(fillerG: number, percent: number): number {
  return Math.max(SCALE_STEP_G, Math.round((fillerG * percent) / 100 / SCALE_STEP_G) / Math.round(1 / SCALE_STEP_G));
}

/** Dose that was really given, % of filler. */
export const percentOf = (fillerG: number, creamG: number) => (creamG / fillerG) * 100;
