import { useEffect, useLayoutEffect, useRef } from "react";
import { hearsHere, listen } from "./heard";
import { usePreferences } from "./preferences";

/** Keys of a screen that are said, where this screen listens and the browser can. */
export function useHeard(onKey: (key: string) => void): void {
  const { listens } = usePreferences();
  const latest = useRef(onKey);
  useLayoutEffect(() => {
    latest.current = onKey;
  });
  useEffect(() => {
    if (!listens) return;
    let stop: (() => void) | undefined;
    let gone = false;
    void hearsHere().then((can) => {
      if (can && !gone) stop = listen((key) => latest.current(key));
    });
    return () => {
      gone = true;
      stop?.();
    };
  }, [listens]);
}
