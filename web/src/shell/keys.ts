import { msg } from "../messages/messages";
import { useLayoutEffect, useRef } from "react";

/** True while a key goes into a field; keys of the screen then keep out of the way. */
export function typing(e: KeyboardEvent): boolean {
  const t = e.target;
  return t instanceof HTMLElement && (t.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(t.tagName));
}

/** True while a dialog is open: it has the keys. */
export const dialogOpen = () => document.querySelector('[role="dialog"]') !== null;

/** The key map, as `?` shows it. */
export const KEYS: readonly { keys: string; does: string }[] = [
  { keys: "1 – 8", does: msg("stations of the repair") },
  { keys: "j  k", does: msg("next, previous step") },
  { keys: "Space", does: msg("Run: cream meets filler, the clock starts") },
  { keys: "Enter", does: msg("Run: done; at a gate the good answer") },
  { keys: "PageDown", does: msg("Run: foot pedal, done and next") },
  { keys: "n", does: msg("Run: the other answer at a gate") },
  { keys: ".", does: msg("Run: note") },
  { keys: "r", does: msg("Run: reading") },
  { keys: "u", does: msg("undo last") },
  { keys: "/", does: msg("find") },
  { keys: "b", does: msg("to the bench") },
  { keys: "n", does: msg("new repair") },
  { keys: "?", does: msg("this sheet") },
];

/**
 * Keys of a screen. They work on what is shown from the moment it is shown: a key pressed as the screen changes never acts on what stood
 * there before.
 */
export function useKeys(onKey: (e: KeyboardEvent) => void): void {
  const latest = useRef(onKey);
  useLayoutEffect(() => {
    latest.current = onKey;
  });
  useLayoutEffect(() => {
    // A dialog that Escape has just put away has answered it.
    const handle = (e: KeyboardEvent) => {
      if (!e.defaultPrevented) latest.current(e);
    };
    window.addEventListener("keydown", handle);
    return () => window.removeEventListener("keydown", handle);
  }, []);
}
