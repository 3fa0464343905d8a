import { useEffect } from "react";

/** Keeps the screen from going dark while this is shown; where the browser cannot, or will not on a low battery, it goes dark as it always did. */
export function useAwake(): void {
  useEffect(() => {
    if (!("wakeLock" in navigator)) return;
    let held: WakeLockSentinel | undefined;
    let gone = false;
    const hold = () => {
      if (document.visibilityState !== "visible") return;
      navigator.wakeLock.request("screen").then(
        (lock) => (gone ? void lock.release() : void (held = lock)),
        () => undefined,
      );
    };
    hold();
    document.addEventListener("visibilitychange", hold);
    return () => {
      gone = true;
      document.removeEventListener("visibilitychange", hold);
      void held?.release();
    };
  }, []);
}
