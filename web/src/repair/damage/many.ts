import type { DamageDraft } from "./fresh";
import type { Spot } from "./shape";

/** Many dings of one size, put down one after the other. */
export interface Stamp {
  /** Class of size: how far across each is at most, mm. */
  acrossMm: number;
  /** Depth of each, mm; may be typed later, ding by ding. */
  depthMm: number | undefined;
  /** How many lie in a field that is drawn. */
  inField: number;
}

/** The classes of size by which dings are counted, mm: common practice. */
export const CLASSES = [10, 20, 40] as const;

export const FIRST: Stamp = { acrossMm: 20, depthMm: undefined, inField: 4 };

/** A ding of {@code stamp} at {@code spot}, whole on a part that is {@code widthMm} by {@code heightMm}. */
export function stamped(spot: Spot, stamp: Stamp, widthMm: number, heightMm: number): DamageDraft {
  const half = stamp.acrossMm / 2;
  const on = (v: number, most: number) => Math.round(Math.min(Math.max(v, half), Math.max(half, most - half)));
  return {
    kind: "DENT",
    xMm: on(spot.x, widthMm),
    yMm: on(spot.y, heightMm),
    lengthMm: stamp.acrossMm,
    widthMm: stamp.acrossMm,
    angleDeg: 0,
    depthMm: stamp.depthMm,
    profile: "BOWL",
  };
}

/** How far from {@code spot} the next free places are looked for, in turn: eight ways, nearest first. */
const AROUND = [0, 1.2, 2.4, 3.6].flatMap((r) =>
  Array.from({ length: r === 0 ? 1 : 8 }, (_, k) => ({
    x: r * Math.cos((k * Math.PI) / 4),
    y: r * Math.sin((k * Math.PI) / 4),
  })),
);

/** Dings of {@code stamp} at {@code spots}, none on another or on what is there, as near to its spot as there is room. */
export function together(
  spots: readonly Spot[],
  stamp: Stamp,
  there: readonly DamageDraft[],
  widthMm: number,
  heightMm: number,
): DamageDraft[] {
  const out: DamageDraft[] = [];
  const meets = (a: DamageDraft) =>
    [...there, ...out].some(
      (b) =>
        b.xMm !== undefined &&
        b.yMm !== undefined &&
        Math.hypot((a.xMm ?? 0) - b.xMm, (a.yMm ?? 0) - b.yMm) <
          stamp.acrossMm / 2 + Math.max(b.lengthMm ?? 0, b.widthMm ?? 0) / 2,
    );
  for (const spot of spots) {
    const tries = AROUND.map((to) =>
      stamped({ x: spot.x + to.x * stamp.acrossMm, y: spot.y + to.y * stamp.acrossMm }, stamp, widthMm, heightMm),
    );
    const free = tries.find((d) => !meets(d)) ?? tries[0];
    if (free) out.push(free);
  }
  return out;
}

/** {@code count} spots spread evenly over the field between two corners: as many rows as make the gaps nearest to square. */
export function spread(a: Spot, b: Spot, count: number): Spot[] {
  const [x0, y0] = [Math.min(a.x, b.x), Math.min(a.y, b.y)];
  const [w, h] = [Math.abs(a.x - b.x), Math.abs(a.y - b.y)];
  const rows = Math.min(count, Math.max(1, Math.round(Math.sqrt((count * h) / Math.max(w, 1)))));
  const out: Spot[] = [];
  for (let row = 0; row < rows; row++) {
    // What does not divide evenly goes one more into the first rows.
    const inRow = Math.floor(count / rows) + (row < count % rows ? 1 : 0);
    for (let k = 0; k < inRow; k++) {
      out.push({ x: x0 + (w * (k + 0.5)) / inRow, y: y0 + (h * (row + 0.5)) / rows });
    }
  }
  return out;
}
