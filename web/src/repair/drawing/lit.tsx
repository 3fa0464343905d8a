import { createContext, type ReactNode, useContext, useMemo, useState } from "react";
import type { Api } from "../../api/client";
import type { ZoneKind } from "./projection";

/** What is pointed at: a zone, a layer, a step; the drawings and the lists light it together. */
export interface Lit {
  zone?: ZoneKind;
  layer?: string;
  step?: string;
}

const Context = createContext<{ lit: Lit; light: (lit: Lit) => void }>({ lit: {}, light: () => {} });

export function LitProvider({ children, fixed }: { children: ReactNode; fixed?: Lit }) {
  const [state, light] = useState<Lit>({});
  const value = useMemo(() => ({ lit: fixed ?? state, light }), [fixed, state]);
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
