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
  /** Side of the part that the footprint shows. */
  side: "FACE" | "BACK";
  setSide: (side: "FACE" | "BACK") => void;
  /** How many times heights are drawn larger in the cut; as the field allows when 0. */
  heights: number;
  setHeights: (times: number) => void;
}

const Context = createContext<Pointing>({
  lit: {},
  light: () => {},
  open: "",
  openStep: () => {},
  side: "FACE",
  setSide: () => {},
  heights: 0,
  setHeights: () => {},
});

export function LitProvider({ children, fixed }: { children: ReactNode; fixed?: Lit }) {
  const [state, light] = useState<Lit>({});
  const [open, openStep] = useState("");
  const [side, setSide] = useState<"FACE" | "BACK">("FACE");
  const [heights, setHeights] = useState(0);
  const value = useMemo(
    () => ({ lit: fixed ?? state, light, open, openStep, side, setSide, heights, setHeights }),
    [fixed, state, open, side, heights],
  );
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
  DULLED: "coats-kept",
  PUTTY: "putty",
  FIBRE: "fibre",
  MESH: "cloth",
  DISH: "face",
  ADHESIVE: "face",
  RING_180: "face",
  CLOTH: "cloth",
  PATCH: "patch",
  GROOVE: "sealant",
  BEAD: "bead",
  TEXTURE: "texture",
  COLOUR: "colour",
  PIT: "resin",
  SHIELD: "shield",
  LEVEL: "clear",
  CHANNEL: "stem",
  UNIT: "unit",
  BUFF: "cement",
};

/** What a zone lights: itself, and the layer that ends with it. */
export const litByZone = (kind: ZoneKind): Lit => ({ zone: kind, layer: ZONE_LAYER[kind] });

/** What a layer lights: itself, and the zone it ends in. */
export const litByLayer = (layer: string): Lit => ({
  layer,
  zone: (Object.keys(ZONE_LAYER) as ZoneKind[]).find((k) => ZONE_LAYER[k] === layer),
});
