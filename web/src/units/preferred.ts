import type { System } from "./units";

/** What this screen prefers; kept in the browser. */
export interface Preferred {
  system: System;
  theme: "day" | "night";
  sound: boolean;
  /** Work times are spoken besides. */
  voice: boolean;
}

const KEY = "vanemend.preferences";

/** What was preferred last here. */
export function preferred(): Preferred {
  const fallback = { system: "metric", theme: "day", sound: true, voice: false } as const;
  try {
    return { ...fallback, ...(JSON.parse(localStorage.getItem(KEY) ?? "{}") as object) };
  } catch {
    return fallback;
  }
}

export const prefer = (next: Preferred) => localStorage.setItem(KEY, JSON.stringify(next));
