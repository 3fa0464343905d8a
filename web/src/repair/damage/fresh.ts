import type { Api } from "../../api/client";

export type DamageDraft = Api["DamageDraft"];
export type Kind = NonNullable<DamageDraft["kind"]>;

/** What the fields of every kind of damage work with. */
export interface FieldsProps {
  d: DamageDraft;
  frozen: boolean;
  /** What the server said of one field. */
  at: (field: string) => string | undefined;
  set: (next: Partial<DamageDraft>) => void;
}

type Sized = Pick<Api["PartDraft"], "widthMm" | "heightMm">;

/** Where damage lies, mm: its middle, and the corners of a line. */
const spots = (d: DamageDraft): [number, number][] => {
  const xy = d.trace ?? [];
  const corners: [number, number][] = [];
  for (let i = 0; i + 1 < xy.length; i += 2) corners.push([xy[i] ?? 0, xy[i + 1] ?? 0]);
  return d.xMm !== undefined && d.yMm !== undefined ? [...corners, [d.xMm, d.yMm]] : corners;
};

/** A place for new damage: the middle of the part, or where most room is beside the damage there is already. */
export function freePlace(part: Sized, there: readonly DamageDraft[]): [number, number] {
  const width = part.widthMm ?? 600;
  const height = part.heightMm ?? 400;
  const taken = there.flatMap(spots);
  let best: [number, number] = [Math.round(width / 2), Math.round(height / 2)];
  if (taken.length === 0) return best;
  let room = -1;
  for (let i = 1; i < 8; i++) {
    for (let k = 1; k < 8; k++) {
      const [x, y] = [Math.round((width * i) / 8), Math.round((height * k) / 8)];
      const nearest = Math.min(...taken.map(([a, b]) => Math.hypot(a - x, b - y)));
      if (nearest > room) [room, best] = [nearest, [x, y]];
    }
  }
  return best;
}

/** New damage where there is room on the part, ready to be dragged and typed over. */
export function fresh(kind: Kind, part: Sized, there: readonly DamageDraft[] = []): DamageDraft {
  const [x, y] = freePlace(part, there);
  const reach = Math.max(5, Math.round(Math.min(part.widthMm ?? 600, 200) / 4));
  const place = { kind, xMm: x, yMm: y };
  switch (kind) {
    case "DENT":
      return { ...place, angleDeg: 0, profile: "BOWL" };
    case "CRACK":
    case "HAIRLINE":
    case "SCRATCH":
    case "SEAM":
      return { kind, trace: [x - reach, y, x + reach, y] };
    case "CHIP":
      return { ...place, chip: {} };
    case "INJURY":
      return { ...place, angleDeg: 0, injury: { place: "CROWN" } };
    case "RUN":
      return { ...place, angleDeg: 90, film: {} };
    default:
      return { ...place, angleDeg: 0 };
  }
}

/** How long a traced line is, mm. */
export function traceLength(xy: readonly number[]): number {
  let sum = 0;
  for (let i = 2; i + 1 < xy.length; i += 2) {
    sum += Math.hypot((xy[i] ?? 0) - (xy[i - 2] ?? 0), (xy[i + 1] ?? 0) - (xy[i - 1] ?? 0));
  }
  return sum;
}

/** The line with one corner more: in the middle of its longest stretch, where a bend is easiest pulled out. */
export function withCorner(xy: readonly number[]): number[] {
  let at = 2;
  let longest = 0;
  for (let i = 2; i + 1 < xy.length; i += 2) {
    const l = Math.hypot((xy[i] ?? 0) - (xy[i - 2] ?? 0), (xy[i + 1] ?? 0) - (xy[i - 1] ?? 0));
    if (l > longest) [longest, at] = [l, i];
  }
  const mid = (k: number) => Math.round(((xy[at + k] ?? 0) + (xy[at - 2 + k] ?? 0)) / 2);
  return [...xy.slice(0, at), mid(0), mid(1), ...xy.slice(at)];
}
