import { createContext, type ReactNode, useContext, useMemo, useState } from "react";
import type { Api } from "../../api/client";
import type { ZoneKind } from "./projection";

/** What is pointed at: a zone, a layer, a step; the drawings and the lists light it together. */
export interface Lit {
  zone?: ZoneKind;
  layer?: string;
  step?: string;
}

interface Pointing {
  lit: Lit;
  light: (lit: Lit) => void;
  /** Id of the step that stays open, also while the plan is computed anew or another sheet is looked at. */
  open: string;
  openStep: (id: string) => void;
}

const Context = createContext<Pointing>({ lit: {}, light: () => {}, open: "", openStep: () => {} });

export function LitProvider({ children, fixed }: { children: ReactNode; fixed?: Lit }) {
  const [state, light] = useState<Lit>({});
  const [open, openStep] = useState("");
  const value = useMemo(() => ({ lit: fixed ?? state, light, open, openStep }), [fixed, state, open]);
  return <Context value={value}>{children}</Context>;
}

export const useLit = () => useContext(Context);

/** What a step lights. */
export const litByStep = (step: Api["Step"]): Lit => ({
  step: step.id,
  zone: step.zone,
  layer: step.layer || undefined,
});

const ZONE_LAYER: Partial<Record<ZoneKind, string>> = {
  DAMAGE: "part",
  FILLER: "filler",
  OPENING: "coats-kept",
  FEATHER: "coats",
  PUTTY: "putty",
};

/** What a zone lights: itself, and the layer that ends with it. */
export const litByZone = (kind: ZoneKind): Lit => ({ zone: kind, layer: ZONE_LAYER[kind] });

/** What a layer lights: itself, and the zone it ends in. */
export const litByLayer = (layer: string): Lit => ({
  layer,
  zone: (Object.keys(ZONE_LAYER) as ZoneKind[]).find((k) => ZONE_LAYER[k] === layer),
});
