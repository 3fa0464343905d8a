import type { Api } from "../../api/client";

/** What a wait is for, and what is said where it does not come. */
export const CURED_BY = {
  cure: { word: "cure", never: "this mix does not cure", passed: "this dose does not cure: it stands in the record" },
  light: {
    word: "light",
    never: "not in this light",
    passed: "the light is not in: it stands in the record",
  },
} as const;
/** By what the wait of a step ends. */
export const curedBy = (step: Api["Step"]) => CURED_BY[step.asks.includes("UV") ? "light" : "cure"];
