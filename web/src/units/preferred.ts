import type { System } from "./system";

/** What the screens can speak. */
export type Language = "en" | "de";

/** What this screen prefers; kept in the browser. */
export interface Preferred {
  system: System;
  /** The units were chosen on this screen; else they are the shop's. */
  ownSystem: boolean;
  theme: "day" | "night";
  language: Language;
  sound: boolean;
  /** Work times are spoken besides. */
  voice: boolean;
  /** Done, yes, no and note may be said. */
  listens: boolean;
  /** A run is read from two metres. */
  far: boolean;
}

const KEY = "vanemend.preferences";

/** What was preferred last here. */
export function preferred(): Preferred {
  const fallback = {
    system: "metric",
    ownSystem: false,
    theme: "day",
    language: "en",
    sound: true,
    voice: false,
    listens: false,
    far: false,
  } as const;
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? "{}") as Partial<Preferred>;
    // What a screen kept before shops had units of their own stays as it is.
    return { ...fallback, ownSystem: kept.system !== undefined, ...kept };
  } catch {
    return fallback;
  }
}

export const prefer = (next: Preferred) => localStorage.setItem(KEY, JSON.stringify(next));
