import { useEffect } from "react";
import { useBench } from "../api/queries";
import { isDeadline } from "../marks/clock-rule";
import { useOutbox } from "../repair/run/outbox";

/** Lets the browser keep the application, so that it opens with no server. Not every page may: without TLS beyond loopback it is not asked. */
export function keepApplication(): void {
  if (!("serviceWorker" in navigator) || import.meta.env.DEV) return;
  navigator.serviceWorker
    .register("/sw.js")
    .catch((e: unknown) => console.warn("the application cannot be kept here", e));
}

/**
 * Takes a new version of the application when one waits and the moment is quiet: no mix is live anywhere on the bench, and nothing waits to be
 * sent. Called where no step is in hand.
 */
export function useNewVersion(): void {
  const live = useBench().data?.live ?? [];
  const quiet = useOutbox().pending.length === 0 && !live.some((l) => l.clocks.some(isDeadline));
  useEffect(() => {
    if (!quiet || !("serviceWorker" in navigator)) return;
    let told = false;
    const take = async () => {
      const kept = await navigator.serviceWorker.getRegistration();
      await kept?.update().catch(() => undefined);
      if (!kept?.waiting || told) return;
      told = true;
      navigator.serviceWorker.addEventListener("controllerchange", () => window.location.reload(), { once: true });
      kept.waiting.postMessage("take over");
    };
    const timer = setInterval(() => void take(), 60_000);
    void take();
    return () => clearInterval(timer);
  }, [quiet]);
}
