import { useEffect } from "react";
import { outbox } from "./outbox";

const EVERY_MS = 1_500;
const PATIENCE_MS = 1_200;

/** Asks every moment whether the server is there, so that a technician in mid-step knows within three seconds that it is not. */
export function useServerWatch(): void {
  useEffect(() => {
    let stopped = false;
    let timer: ReturnType<typeof setTimeout>;
    const ask = async () => {
      const there = await fetch("/actuator/health/liveness", {
        cache: "no-store",
        signal: AbortSignal.timeout(PATIENCE_MS),
      }).then(
        (r) => r.ok,
        () => false,
      );
      if (stopped) return;
      outbox.reach(there);
      timer = setTimeout(() => void ask(), EVERY_MS);
    };
    void ask();
    return () => {
      stopped = true;
      clearTimeout(timer);
    };
  }, []);
}
