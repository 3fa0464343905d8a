import { useSyncExternalStore } from "react";

/**
 * The server's time on this screen. The tablet's own clock may be wrong by hours; only its running is trusted, so that stretches of
 * time stay right.
 */
const KEY = "vanemend.clock-offset";
let offset = typeof localStorage === "undefined" ? 0 : Number(localStorage.getItem(KEY)) || 0;

/** Takes the server's time from an answer. */
export function correct(serverNow: string): void {
  const ms = Date.parse(serverNow);
  if (Number.isFinite(ms)) {
    offset = ms - Date.now();
    localStorage.setItem(KEY, String(Math.round(offset)));
  }
}

/** Now, in ms, by the server's clock. */
export const now = () => Date.now() + offset;

const TICK_MS = 250;
const MINUTE_MS = 60_000;
const listeners = new Set<() => void>();
let timer: number | undefined;
let shown = now();

function subscribe(listener: () => void) {
  listeners.add(listener);
  if (listeners.size === 1) {
    timer = window.setInterval(() => {
      shown = now();
      listeners.forEach((l) => l());
    }, TICK_MS);
  }
  return () => {
    listeners.delete(listener);
    if (listeners.size === 0) window.clearInterval(timer);
  };
}

/** The minute that has begun, in ms: for what is shown to the minute, and drawn anew only with it. */
export function useMinute(): number {
  return useSyncExternalStore(subscribe, () => Math.floor(now() / MINUTE_MS) * MINUTE_MS);
}

/** Now, ticking four times a second. */
export function useNow(): number {
  return useSyncExternalStore(subscribe, () => {
    if (Math.abs(now() - shown) > 2 * TICK_MS) shown = now();
    return shown;
  });
}
