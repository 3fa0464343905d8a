import { useSyncExternalStore } from "react";
import type { Api } from "../api/client";
import type { Ask } from "../repair/run/asks";

export type Shown = Api["Shown"];
type Kind = Shown["kind"];
type Measured = Api["ShownFigure"]["measured"];

/** Which device answers what a step asks, by what it measures. */
const ANSWERS: Partial<Record<Ask, { kind: Kind; measured: Measured }>> = {
  FILLER_G: { kind: "SCALE", measured: "MASS_G" },
  CREAM_G: { kind: "SCALE", measured: "MASS_G" },
  USED_G: { kind: "SCALE", measured: "MASS_G" },
  SURFACE_C: { kind: "SURFACE", measured: "SURFACE_C" },
  AIR_C: { kind: "AIR", measured: "AIR_C" },
  RH_PERCENT: { kind: "AIR", measured: "RH_PERCENT" },
  FILM_UM: { kind: "FILM", measured: "FILM_UM" },
  UV: { kind: "UV", measured: "UV" },
  INJURY_MM: { kind: "TYRE", measured: "INJURY_MM" },
  ANGLE_DEG: { kind: "TYRE", measured: "ANGLE_DEG" },
};

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
export const useDevices = (): Live => useSyncExternalStore(subscribe, () => state);

/** A figure that a device has for what is asked, with how it stands. */
export interface LiveFigure {
  shown: Shown;
  value: number | undefined;
  heard: boolean;
}

/** What a device has for {@code ask}; undefined where none answers it. */
export function figureFor(ask: Ask, { shown, heard }: Live): LiveFigure | undefined {
  const by = ANSWERS[ask];
  const device = by && shown.find((s) => s.kind === by.kind);
  if (!by || !device) return undefined;
  return { shown: device, value: device.figures.find((f) => f.measured === by.measured)?.value, heard };
}
