import type { Api } from "../api/client";
import { fresh, type Kind } from "../repair/damage/fresh";
import type { Draft } from "../repair/draft-desk";
import { coatsOf } from "../repair/part/coats";

type Part = Api["PartDraft"];
type Assumed = NonNullable<Part["assumed"]>[number];
type Material = NonNullable<Api["SubstrateDraft"]["material"]>;
type KindView = Api["CatalogueView"]["damages"][number];

/** What was said and touched of a new repair. */
export interface Begun {
  said?: Api["Said"];
  /** The part that was touched; it goes before the one that was said. */
  typical?: Api["TypicalView"];
  /** How many of each kind of damage were touched, besides those that were said. */
  touched: Partial<Record<Kind, number>>;
  vehicle: string;
  /** A repair of before whose part is like this one. */
  like?: { vehicle: string; past: Api["PastView"] };
}

const FIGURES: readonly [Assumed, (p: Part) => unknown][] = [
  ["WIDTH", (p) => p.widthMm],
  ["HEIGHT", (p) => p.heightMm],
  ["OUTLINE", (p) => p.outline],
  ["GAUGE", (p) => p.gaugeMm],
  ["THICKNESS", (p) => p.made?.thicknessMm],
  ["COATS", (p) => (p.coats?.length ? p.coats : undefined)],
];

/**
 * The part of a repair of before for a new one. Nothing of what guards life is taken over: it is asked anew. On another vehicle nobody has looked at
 * the part at hand: what decides the method is asked, and every figure stands there as assumed.
 */
export function likeThat(part: Part, sameVehicle: boolean): Part {
  const bare = { ...part, answers: {}, face: [], back: [] };
  if (sameVehicle) return bare;
  const { material, thicknessMm, filmOver } = part.made ?? {};
  return {
    ...bare,
    metal: undefined,
    reach: undefined,
    made: { material, ...(thicknessMm !== undefined && { thicknessMm }), ...(filmOver && { filmOver }) },
    assumed: FIGURES.filter(([, of]) => of(part) !== undefined).map(([f]) => f),
  };
}

/** What a part is put down as for {@code kinds}: a run in the clear is mended inside the film, whatever lies beneath. */
function takes(part: Part, kinds: readonly Kind[], known: readonly KindView[]): Part {
  const material = part.made?.material;
  const on = (k: Kind) => known.find((v) => v.kind === k)?.materials ?? [];
  const [first] = kinds;
  // A pane and a tyre have no film over them.
  if (!first || !material || material === "GLASS" || material === "TYRE") return part;
  if (!kinds.every((k) => !on(k).includes(material) && on(k).includes("FILM"))) return part;
  return {
    ...part,
    made: { material: "FILM", ...over(part, material) },
    coats: coatsOf("FILM"),
    metal: undefined,
    gaugeMm: undefined,
    assumed: [...(part.assumed ?? []).filter((f) => f === "WIDTH" || f === "HEIGHT" || f === "OUTLINE"), "COATS"],
  };
}

function over(part: Part, material: Material): Pick<Api["SubstrateDraft"], "filmOver"> {
  if (material === "PLASTIC" || material === "COMPOSITE") return { filmOver: material };
  if (part.metal === undefined) return {};
  return { filmOver: part.metal === "ALUMINIUM" ? "ALUMINIUM" : "STEEL" };
}

/** A new repair of what was said and touched; damage lies where there is room, ready to be put right. */
export function begun(b: Begun, typicals: readonly Api["TypicalView"][], kinds: readonly KindView[]): Draft {
  const { said, like } = b;
  const typical = b.typical ?? (like ? undefined : typicals.find((t) => t.id === said?.typical));
  const usual: Part = typical?.draft ?? (like?.past.part ? likeThat(like.past.part, like.vehicle === b.vehicle) : {});
  const name = (b.typical ? undefined : said?.name) ?? usual.name;
  const part = { ...usual, ...(name && { name }), ...(b.vehicle && { vehicle: b.vehicle }) };
  const drafted = withSaid({ part, damages: [] }, said, b.typical !== undefined);
  const touched = Object.entries(b.touched).flatMap(([kind, n]) => Array.from({ length: n }, () => kind as Kind));
  const all = [...(drafted.damages ?? []).map((d) => d.kind ?? "DENT"), ...touched];
  const made = takes(drafted.part ?? {}, all, kinds);
  const damages = touched.reduce((some, kind) => [...some, fresh(kind, made, some)], drafted.damages ?? []);
  return { part: made, damages };
}

/** Damage that the part can have; all of it while nobody has said which part. What was touched stays, to be touched off again. */
export function offered(
  b: Begun,
  known: boolean,
  typicals: readonly Api["TypicalView"][],
  kinds: readonly KindView[],
): KindView[] {
  // A run makes a film of it; what else its own stuff can have stays there to touch.
  const own = begun({ ...b, touched: {} }, typicals, kinds).part?.made?.material ?? "METAL";
  // A run lies in the clear of any painted part.
  const painted = own !== "GLASS" && own !== "TYRE";
  return kinds.filter(
    (k) =>
      !known || k.materials.includes(own) || (painted && k.materials.includes("FILM")) || (b.touched[k.kind] ?? 0) > 0,
  );
}

/** {@code draft} with what a line said put into it; of a part that was touched otherwise the line's own material does not count. */
function withSaid(draft: Draft, said: Api["Said"] | undefined, otherPart: boolean): Draft {
  const was = draft.part ?? {};
  if (!said) return { ...draft, part: { ...was, made: { material: "METAL", ...was.made } } };
  const material = (otherPart ? undefined : said.material) ?? was.made?.material ?? "METAL";
  const other = material !== (was.made?.material ?? material);
  const metal = material === "METAL";
  const thick = material === "PLASTIC" || material === "COMPOSITE" ? said.thicknessMm : undefined;
  const gauge = metal ? said.thicknessMm : undefined;
  const part: Part = {
    ...was,
    ...(other || was.coats === undefined ? { coats: coatsOf(material) } : {}),
    ...(other && { outline: undefined, gaugeMm: undefined }),
    made: {
      ...(other ? {} : was.made),
      material,
      ...(material === "PLASTIC" && said.mark && { mark: said.mark }),
      ...(material === "COMPOSITE" && said.composite && { composite: said.composite }),
      ...(thick !== undefined && { thicknessMm: thick }),
    },
    ...(said.vehicle && !was.vehicle && { vehicle: said.vehicle }),
    ...(metal && said.metal && { metal: said.metal }),
    ...(gauge !== undefined && { gaugeMm: gauge }),
    assumed: (was.assumed ?? []).filter(
      (f) =>
        !(f === "GAUGE" && gauge !== undefined) &&
        !(f === "THICKNESS" && thick !== undefined) &&
        !(f === "OUTLINE" && other),
    ),
  };
  const damages = said.damages.reduce((all, d) => [...all, sized(fresh(d.kind, part, all), d)], draft.damages ?? []);
  return { ...draft, part, damages };
}

/** New damage as large as it was said to be. */
function sized(d: Api["DamageDraft"], said: Api["SaidDamage"]): Api["DamageDraft"] {
  const { lengthMm, widthMm, depthMm } = said;
  const [x1 = 0, y = 0, x2 = 0] = d.trace ?? [];
  const start = Math.max(0, (x1 + x2) / 2 - (lengthMm ?? 0) / 2);
  return {
    ...d,
    ...(d.trace && lengthMm !== undefined && { trace: [start, y, start + lengthMm, y] }),
    ...(!d.trace && lengthMm !== undefined && { lengthMm }),
    ...(!d.trace && widthMm !== undefined && { widthMm }),
    ...(depthMm !== undefined && { depthMm }),
    ...(said.through && d.kind === "CRACK" && { through: "THROUGH" as const }),
  };
}
