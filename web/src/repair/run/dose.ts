const SCALE_STEP_G = 0.1;

/** Cream for filler that was really weighed, to the step of the scale and never below it: grams × percent / 100. */
export function creamFor(fillerG: number, percent: number): number {
  return Math.max(SCALE_STEP_G, Math.round((fillerG * percent) / 100 / SCALE_STEP_G) / Math.round(1 / SCALE_STEP_G));
}

/** The window outside which a dose never cures, % of filler (common practice; the rule book says the same of both). */
const CURES_FROM = 1;
const CURES_TO = 4;
/** The window inside which the label's clock holds, % of filler (common practice). */
const HONEST_FROM = 1.5;
const HONEST_TO = 3;

/** Whether the label's clock holds for this dose. */
export const honest = (percent: number) => percent >= HONEST_FROM && percent <= HONEST_TO;

/** Whether filler and cream of this dose never reach full cure. */
export const neverCures = (percent: number) => percent < CURES_FROM || percent > CURES_TO;

/** Dose that was really given, % of filler. */
export const percentOf = (fillerG: number, creamG: number) => (creamG / fillerG) * 100;
