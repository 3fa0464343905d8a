import { Activity, type ReactNode, useEffect, useState } from "react";

/**
 * What was shown once stays built behind what is shown, with what was typed in it: it is there at once when it is turned to again. Until then its
 * keys, its questions to the server and its clocks are asleep.
 *
 * @param early builds it before it is shown, while nothing else is to be done
 */
export function Kept({ shown, early = false, children }: { shown: boolean; early?: boolean; children: ReactNode }) {
  const [met, setMet] = useState(false);
  if ((shown || early) && !met) setMet(true);
  return met && <Activity mode={shown ? "visible" : "hidden"}>{children}</Activity>;
}

/** Whether {@code there} and the browser has had nothing else to do since. */
export function useIdle(there: boolean): boolean {
  const [idle, setIdle] = useState(false);
  useEffect(() => {
    if (!there) return;
    const then = () => setIdle(true);
    // Not every browser says when it is idle.
    if (!("requestIdleCallback" in window)) {
      const timer = setTimeout(then, 1_000);
      return () => clearTimeout(timer);
    }
    const asked = requestIdleCallback(then);
    return () => cancelIdleCallback(asked);
  }, [there]);
  return idle;
}
