import { msg } from "../../messages/messages";
import { told } from "../../messages/told";
import type { Api } from "../../api/client";
import { useCatalogue } from "../../api/queries";
import type { Quantity } from "../../shell/field";
import { usePreferences } from "../../shell/preferences";
import { amountOf } from "../../units/units";

export type Ask = Api["Step"]["asks"][number];

/** A quantity that is read at the bench, as this screen says it. */
export interface Asked {
  label: string;
  quantity: Quantity;
  unit: string;
  from: number;
  to: number;
  /** What is believed, in words. */
  told: string;
}

const FIELD: Record<Exclude<Api["QuantityView"]["sort"], "PLAIN">, Quantity> = {
  DEPTH: "depth",
  TEMPERATURE: "temperature",
};

/** Before the catalogue is there nothing is refused here; the server refuses all the same. */
const UNKNOWN: Asked = {
  label: "",
  quantity: { unit: "" },
  unit: "",
  from: Number.NEGATIVE_INFINITY,
  to: Number.POSITIVE_INFINITY,
  told: "",
};

/** Words, unit and limits of what can be read, as the catalogue has them. */
export function useAsked(): (ask: Ask) => Asked {
  const { system } = usePreferences();
  const quantities = useCatalogue().data?.quantities ?? [];
  return (ask) => {
    const q = quantities.find((x) => x.quantity === ask);
    if (!q) return UNKNOWN;
    const quantity = q.sort === "PLAIN" ? { unit: q.unit } : FIELD[q.sort];
    const range = msg("{min} to {max}", {
      min: amountOf(q.min, q.unit, system, false),
      max: amountOf(q.max, q.unit, system),
    });
    return { label: told(q.word), quantity, unit: q.unit, from: q.min, to: q.max, told: range };
  };
}
