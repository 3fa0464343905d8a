import { useSyncExternalStore } from "react";

/**
 * The server's time on this screen. The tablet's own clock may be wrong by hours; only its running is trusted, so that stretches of
 * time stay right.
 */
const KEY = "vanemend.clock-offset";
let offset = typeof localStorage === "undefined" ? 0 : Number(localStorage.getItem(KEY)) || 0;

/** So far a clock that was ahead stands still until time has caught up with it; one that was further ahead is set back. */
const STANDS_MS = 60_000;
let latest = 0;

/**
 * Takes the server's time from an answer to what was asked at {@code asked} and is here at {@code heard}, both in ms by this tablet. The server
 * read its clock at some moment between the two: an offset that is possible is kept, another is moved as little as that asks for. A slow
 * answer so never sets the clock back, and what was done after something else stays after it.
 */
export function correct(serverNow: string, asked: number, heard = Date.now()): void {
  const ms = Date.parse(serverNow);
  if (!Number.isFinite(ms)) return;
  offset = Math.min(Math.max(offset, ms - heard), ms - Math.min(asked, heard));
  localStorage.setItem(KEY, String(Math.round(offset)));
}

/** Now, in ms, by the server's clock. */
export function now(): number {
  const ms = Date.now() + offset;
  if (ms > latest || latest - ms > STANDS_MS) latest = ms;
  return latest;
}

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
