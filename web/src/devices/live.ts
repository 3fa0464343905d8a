import { useSyncExternalStore } from "react";
import type { Api } from "../api/client";
import { useCatalogue } from "../api/queries";
import type { Ask } from "../repair/run/asks";
import { usePreferences } from "../shell/preferences";
import { inUnits } from "../units/text";

export type Shown = Api["Shown"];

/** What a device measures that answers what is asked, and which device. */
export type Answer = Api["MeasuredView"];

/** What answers {@code ask}, as the catalogue has it; undefined where it is typed. */
export function useAnswer(ask: Ask): Answer | undefined {
  const catalogue = useCatalogue().data;
  const measured = catalogue?.quantities.find((q) => q.quantity === ask)?.measured;
  return catalogue?.measured.find((m) => m.measured === measured);
}

interface Live {
  shown: readonly Shown[];
  /** False where the devices themselves are out of reach. */
  heard: boolean;
}

let state: Live = { shown: [], heard: false };
let source: EventSource | undefined;
const listeners = new Set<() => void>();

function change(next: Partial<Live>) {
  state = { ...state, ...next };
  listeners.forEach((l) => l());
}

function subscribe(listener: () => void) {
  listeners.add(listener);
  if (!source) {
    source = new EventSource("/api/devices/stream");
    source.addEventListener("shown", (e: MessageEvent<string>) =>
      change({ shown: JSON.parse(e.data) as Shown[], heard: true }),
    );
    source.onerror = () => change({ heard: false });
  }
  return () => {
    listeners.delete(listener);
    if (listeners.size === 0) {
      source?.close();
      source = undefined;
      state = { shown: [], heard: false };
    }
  };
}

/** What every device shows, live, for as long as somebody looks. */
export function useDevices(): Live {
  const { system } = usePreferences();
  return inUnits(
    useSyncExternalStore(subscribe, () => state),
    system,
  );
}

/** A figure that a device has for what is asked, with how it stands. */
export interface LiveFigure {
  shown: Shown;
  value: number | undefined;
  heard: boolean;
}

/** What a device has for what {@code by} measures; undefined where none does. */
export function figureFor(by: Answer | undefined, { shown, heard }: Live): LiveFigure | undefined {
  const device = by && shown.find((s) => s.kind === by.device);
  if (!by || !device) return undefined;
  return { shown: device, value: device.figures.find((f) => f.measured === by.measured)?.value, heard };
}
