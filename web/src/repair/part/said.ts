import type { Api } from "../../api/client";
import { fresh } from "../damage/fresh";
import type { Draft } from "../draft-desk";
import { coatsOf } from "./coats";

type Damage = Api["SaidDamage"];

/** {@code draft} with what a line said put into it; what it did not say stays as it is. */
export function withSaid(draft: Draft, said: Api["Said"]): Draft {
  const was = draft.part ?? {};
  const material = said.material ?? was.made?.material ?? "METAL";
  const other = material !== (was.made?.material ?? "METAL");
  const made = {
    ...was.made,
    material,
    ...(said.mark && { mark: said.mark }),
    ...(said.composite && { composite: said.composite }),
    // How thick it is stands with a sheet as its gauge, with a plastic or a composite as its wall.
    ...(said.gaugeMm !== undefined && material !== "METAL" && { thicknessMm: said.gaugeMm }),
  };
  const part: Api["PartDraft"] = {
    ...was,
    ...(other && { outline: undefined, face: [], back: [], coats: coatsOf(material) }),
    made,
    ...(said.name && { name: said.name }),
    ...(said.vehicle && { vehicle: said.vehicle }),
    ...(said.metal && { metal: said.metal }),
    ...(said.gaugeMm !== undefined && material === "METAL" && { gaugeMm: said.gaugeMm }),
    ...(said.outline && { outline: said.outline }),
  };
  const damages = said.damages.reduce((all, d) => [...all, sized(fresh(d.kind, part, all), d)], draft.damages ?? []);
  return { ...draft, part, damages };
}

/** New damage as large as it was said to be. */
function sized(d: Api["DamageDraft"], said: Damage): Api["DamageDraft"] {
  const { lengthMm, widthMm, depthMm } = said;
  const [x1 = 0, y = 0, x2 = 0] = d.trace ?? [];
  const middle = (x1 + x2) / 2;
  return {
    ...d,
    ...(d.trace && lengthMm !== undefined
      ? { trace: [Math.max(0, middle - lengthMm / 2), y, Math.max(0, middle - lengthMm / 2) + lengthMm, y] }
      : {}),
    ...(!d.trace && lengthMm !== undefined && { lengthMm }),
    ...(!d.trace && widthMm !== undefined && { widthMm }),
    ...(depthMm !== undefined && { depthMm }),
    ...(said.through && d.kind === "CRACK" && { through: "THROUGH" as const }),
  };
}
