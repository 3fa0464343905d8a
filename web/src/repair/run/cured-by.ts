import { msg } from "../../messages/messages";
import type { Api } from "../../api/client";

/** What a wait is for, and what is said where it does not come. */
export const CURED_BY = {
  cure: {
    word: msg("cure"),
    never: msg("this mix does not cure"),
    passed: msg("this dose does not cure: it stands in the record"),
  },
  light: {
    word: msg("light"),
    never: msg("not in this light"),
    passed: msg("the light is not in: it stands in the record"),
  },
} as const;
/** By what the wait of a step ends. */
export const curedBy = (step: Api["Step"]) => CURED_BY[step.asks.includes("UV") ? "light" : "cure"];
