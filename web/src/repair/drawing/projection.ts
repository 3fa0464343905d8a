import type { Api } from "../../api/client";

export type ZoneKind = Api["DrawnZone"]["kind"];
type Drawing = Api["Drawing"];

/** How mm on the part become px on the screen; one x scale serves footprint and section. */
export interface Projection {
  perMm: number;
  /** Part's x and y, mm, at the left and lower end of the view. */
  x0: number;
  y0: number;
  x1: number;
  y1: number;
  /** Px of the drawing field's left and top. */
  left: number;
  top: number;
  width: number;
  height: number;
}

export const px = (p: Projection, xMm: number) => p.left + (xMm - p.x0) * p.perMm;
export const py = (p: Projection, yMm: number) => p.top + p.height - (yMm - p.y0) * p.perMm;

const MARGIN_MM = 24;

/** The widest zone that is worked on; cleaning reaches further than anybody needs to see. */
function widest(zones: readonly Api["DrawnZone"][]): Api["DrawnZone"] | undefined {
  const worked = zones.filter((z) => z.kind !== "CLEAN" && z.kind !== "BACK_CLEAN");
  return [...worked].sort((a, b) => b.areaMm2 - a.areaMm2)[0] ?? zones.at(-1);
}

/** Fits a zone, the widest sanded one unless told otherwise, and a little of what lies around it, into a field. */
export function fit(
  drawing: Drawing,
  field: { left: number; top: number; width: number; height: number },
  zone: ZoneKind = "FINE_320",
): Projection {
  const outer = drawing.zones.find((z) => z.kind === zone) ?? widest(drawing.zones);
  let [x0, x1, y0, y1] = [0, drawing.widthMm, 0, drawing.heightMm];
  // A part with several sites is looked at as a whole: all that is worked on.
  const seen = drawing.section ? [outer] : drawing.zones.filter((z) => z.kind !== "CLEAN" && z.kind !== "BACK_CLEAN");
  const xy = seen.flatMap((z) => z?.rings.flatMap((r) => r.xy) ?? []);
  if (xy.length > 0) {
    const xs = xy.filter((_, i) => i % 2 === 0);
    const ys = xy.filter((_, i) => i % 2 === 1);
    [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  }
  return fitBox({ x0, y0, x1, y1 }, MARGIN_MM, field);
}

/** Fits a box of the part and {@code margin} mm around it into a field. */
export function fitBox(
  box: { x0: number; y0: number; x1: number; y1: number },
  margin: number,
  field: { left: number; top: number; width: number; height: number },
): Projection {
  const [x0, x1, y0, y1] = [box.x0 - margin, box.x1 + margin, box.y0 - margin, box.y1 + margin];
  const perMm = Math.max(0.01, Math.min(field.width / (x1 - x0), field.height / (y1 - y0)));
  // What the field has to spare is shared out on both sides.
  const spareX = field.width / perMm - (x1 - x0);
  const spareY = field.height / perMm - (y1 - y0);
  return {
    ...field,
    perMm,
    x0: x0 - spareX / 2,
    x1: x1 + spareX / 2,
    y0: y0 - spareY / 2,
    y1: y1 + spareY / 2,
  };
}

/** Path of rings, holes wound in by even-odd. */
export function ringsPath(p: Projection, rings: readonly Api["Ring"][]): string {
  return rings
    .map((r) => {
      let d = "";
      for (let i = 0; i + 1 < r.xy.length; i += 2) {
        d += `${i === 0 ? "M" : "L"}${px(p, r.xy[i] ?? 0).toFixed(1)} ${py(p, r.xy[i + 1] ?? 0).toFixed(1)}`;
      }
      return `${d}Z`;
    })
    .join("");
}

/** Where the level line at `yMm` runs inside rings: from, to, in mm, left to right. */
export function crossings(rings: readonly Api["Ring"][], yMm: number): [number, number][] {
  const xs: number[] = [];
  for (const { xy } of rings) {
    const n = xy.length / 2;
    for (let i = 0; i < n; i++) {
      const j = (i + 1) % n;
      const [ax, ay, bx, by] = [xy[2 * i] ?? 0, xy[2 * i + 1] ?? 0, xy[2 * j] ?? 0, xy[2 * j + 1] ?? 0];
      if (ay > yMm !== by > yMm) {
        xs.push(ax + ((yMm - ay) / (by - ay)) * (bx - ax));
      }
    }
  }
  xs.sort((a, b) => a - b);
  const out: [number, number][] = [];
  for (let i = 0; i + 1 < xs.length; i += 2) out.push([xs[i] ?? 0, xs[i + 1] ?? 0]);
  return out;
}

/**
 * Points of a zone that no zone inside it covers, each as far right as can be at its height, those nearest to height `wantY` first: where a level
 * leader can end. They keep to the field in view, given by `right`, and to heights from `from` to `to`.
 */
export function anchors(
  zone: readonly Api["Ring"][],
  inner: readonly Api["Ring"][],
  wantY: number,
  view = { right: Infinity, from: -Infinity, to: Infinity },
): { x: number; y: number }[] {
  const ys = zone.flatMap((r) => r.xy.filter((_, i) => i % 2 === 1));
  if (ys.length === 0) return [];
  const [low, high] = [Math.max(view.from, Math.min(...ys)), Math.min(view.to, Math.max(...ys))];
  const out: { x: number; y: number }[] = [];
  for (let k = 1; k < LEVELS; k++) {
    const y = low + ((high - low) * k) / LEVELS;
    const last = crossings(zone, y).findLast(([a]) => a < view.right);
    if (!last) continue;
    const right = [last[0], Math.min(last[1], view.right)] as const;
    const inside = crossings(inner, y).filter(([, b]) => b > right[0]);
    const from = inside.at(-1)?.[1] ?? right[0];
    const wide = right[1] - from;
    if (wide < 0.8) continue;
    out.push({ x: inside.length > 0 ? from + wide / 2 : right[1] - Math.min(wide / 2, 14), y });
  }
  return out.sort((a, b) => Math.abs(a.y - wantY) - Math.abs(b.y - wantY));
}

/** Heights at which a zone is looked through. */
const LEVELS = 60;

/** Middle of a plate {@code wide} px across that belongs at {@code x}: moved just so far that none of it lies past the field's side. */
export function plateAt(p: Projection, x: number, wide: number): number {
  const [from, to] = [p.left + wide / 2 + 2, p.left + p.width - wide / 2 - 2];
  // What lies past the side itself is not pulled into sight, and a field narrower than its plate has no better place.
  return x < p.left || x > p.left + p.width || from > to ? x : Math.min(to, Math.max(from, x));
}
