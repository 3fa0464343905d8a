import type { Api } from "../../api/client";
import type { Quantity } from "../../shell/field";

export type Ask = Api["Step"]["asks"][number];

interface Said {
  label: string;
  quantity: Quantity;
  from: number;
  to: number;
  told: string;
}

const plain = (label: string, unit: string, from: number, to: number): Said => ({
  label,
  quantity: { unit },
  from,
  to,
  told: `${from} to ${to}\u202f${unit}`,
});

/** What can be read at the bench, with what is believed. */
export const ASKS: Record<Ask, Said> = {
  SURFACE_C: {
    label: "Surface",
    quantity: "temperature",
    from: -20,
    to: 120,
    told: "−20 to 120\u202f°C (−4 to 248\u202f°F)",
  },
  AIR_C: { label: "Air", quantity: "temperature", from: -20, to: 60, told: "−20 to 60\u202f°C (−4 to 140\u202f°F)" },
  DEPTH_MM: { label: "Depth left", quantity: "depth", from: 0, to: 25, told: "0 to 25\u202fmm (0 to 1\u202fin)" },
  INJURY_MM: {
    label: "Injury across",
    quantity: "depth",
    from: 0.5,
    to: 60,
    told: "0.5 to 60\u202fmm (0.02 to 2.4\u202fin)",
  },
  FILLER_G: plain("Filler weighed", "g", 1, 3000),
  CREAM_G: plain("Cream weighed", "g", 0.1, 150),
  RH_PERCENT: plain("Humidity", "%", 0, 100),
  FILM_UM: plain("Clear left beside the run", "µm", 0, 2000),
  UV: plain("UV at the resin", "mW/cm²", 0, 500),
  ANGLE_DEG: plain("Angle from square", "°", 0, 80),
  USED_ML: plain("Really used", "mL", 0, 5000),
  USED_G: plain("Really used", "g", 0, 5000),
};
