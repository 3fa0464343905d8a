import type { DamageDraft } from "./fresh";

/** A point of the part, mm from its lower left corner. */
export interface Spot {
  x: number;
  y: number;
}

/** How large damage is drawn whose size nobody has said yet, mm. */
const UNSAID_MM = 40;
const RIM = 32;

export const traced = (d: DamageDraft) => (d.trace ?? []).length >= 4;

/** Corners of the line that damage follows. */
export const cornersOf = (d: DamageDraft): Spot[] =>
  Array.from({ length: (d.trace ?? []).length / 2 }, (_, i) => ({
    x: d.trace?.[2 * i] ?? 0,
    y: d.trace?.[2 * i + 1] ?? 0,
  }));

const flat = (corners: readonly Spot[]) => corners.flatMap((c) => [tenth(c.x), tenth(c.y)]);
const tenth = (v: number) => Math.round(v * 10) / 10;
const rad = (deg: number) => (deg * Math.PI) / 180;

/** Bearing from {@code a} to {@code b}: degrees counter-clockwise from level, over −90 to 90. */
export function bearing(a: Spot, b: Spot): number {
  const deg = (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;
  return Math.round(deg > 90 ? deg - 180 : deg <= -90 ? deg + 180 : deg);
}

/** The line from its first corner on, {@code lengthMm} long at {@code deg} from level; it keeps to the side it ran to. */
export function straight(xy: readonly number[], lengthMm: number, deg: number): number[] {
  const [x1 = 0, y1 = 0, x2 = 0, y2 = 0] = xy;
  const [dx, dy] = [Math.cos(rad(deg)), Math.sin(rad(deg))];
  const back = (x2 - x1) * dx + (y2 - y1) * dy < 0 ? -1 : 1;
  return flat([
    { x: x1, y: y1 },
    { x: x1 + back * lengthMm * dx, y: y1 + back * lengthMm * dy },
  ]);
}

export interface Oval extends Spot {
  lengthMm: number;
  widthMm: number;
  deg: number;
  /** Whether its size was said. */
  said: boolean;
}

/** Damage that lies about a middle, as large as it is said to be. */
export function ovalOf(d: DamageDraft): Oval {
  const lengthMm = d.lengthMm ?? d.widthMm ?? d.chip?.spanMm ?? UNSAID_MM;
  return {
    x: d.xMm ?? 0,
    y: d.yMm ?? 0,
    lengthMm,
    widthMm: d.widthMm ?? lengthMm,
    deg: d.angleDeg ?? 0,
    said: d.lengthMm !== undefined,
  };
}

/** What damage covers, as a polygon; a line is as its corners. */
export function coverOf(d: DamageDraft): Spot[] {
  if (traced(d)) return cornersOf(d);
  const o = ovalOf(d);
  const [c, s] = [Math.cos(rad(o.deg)), Math.sin(rad(o.deg))];
  return Array.from({ length: RIM }, (_, i) => {
    const t = (2 * Math.PI * i) / RIM;
    const [a, b] = [(o.lengthMm / 2) * Math.cos(t), (o.widthMm / 2) * Math.sin(t)];
    return { x: o.x + a * c - b * s, y: o.y + a * s + b * c };
  });
}

const middleOf = (d: DamageDraft): Spot => {
  if (!traced(d)) return { x: d.xMm ?? 0, y: d.yMm ?? 0 };
  const c = cornersOf(d);
  return { x: c.reduce((s, p) => s + p.x, 0) / c.length, y: c.reduce((s, p) => s + p.y, 0) / c.length };
};

/** {@code d} with its middle at {@code to}; a line goes along as it is. */
export function movedTo(d: DamageDraft, to: Spot): Partial<DamageDraft> {
  if (!traced(d)) return { xMm: Math.round(to.x), yMm: Math.round(to.y) };
  const from = middleOf(d);
  return { trace: flat(cornersOf(d).map((c) => ({ x: c.x + to.x - from.x, y: c.y + to.y - from.y }))) };
}

/** {@code d} drawn from {@code from} to {@code to}: a line along it, anything else about its first point and as far out as its second. */
export function drawn(d: DamageDraft, from: Spot, to: Spot): Partial<DamageDraft> {
  if (traced(d)) return { trace: flat([from, to].map((s) => ({ x: Math.round(s.x), y: Math.round(s.y) }))) };
  const across = Math.max(1, Math.round(2 * Math.hypot(to.x - from.x, to.y - from.y)));
  const place = movedTo(d, from);
  if (d.kind === "CHIP" || d.kind === "INJURY") return { ...place, lengthMm: across };
  return { ...place, lengthMm: across, widthMm: across };
}

const edges = (ring: readonly Spot[], closed: boolean): [Spot, Spot][] =>
  ring.flatMap((a, i) => {
    const b = ring[i + 1] ?? (closed ? ring[0] : undefined);
    return b ? [[a, b] as [Spot, Spot]] : [];
  });

/** The point of a stretch that is nearest to {@code p}. */
function nearestOn([a, b]: [Spot, Spot], p: Spot): Spot {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const l2 = dx * dx + dy * dy;
  const t = l2 === 0 ? 0 : Math.min(1, Math.max(0, ((p.x - a.x) * dx + (p.y - a.y) * dy) / l2));
  return { x: a.x + t * dx, y: a.y + t * dy };
}

/** Where damage comes nearest to the edge of the part, and how near, mm. */
export function toEdge(d: DamageDraft, outline: readonly Spot[]): { from: Spot; to: Spot; mm: number } | undefined {
  let best: { from: Spot; to: Spot; mm: number } | undefined;
  for (const from of coverOf(d)) {
    for (const e of edges(outline, true)) {
      const to = nearestOn(e, from);
      const mm = Math.hypot(to.x - from.x, to.y - from.y);
      if (!best || mm < best.mm) best = { from, to, mm };
    }
  }
  return best;
}

const side = (a: Spot, b: Spot, p: Spot) => (b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x);

function cross([a, b]: [Spot, Spot], [c, d]: [Spot, Spot]): boolean {
  return side(a, b, c) * side(a, b, d) <= 0 && side(c, d, a) * side(c, d, b) <= 0;
}

function inside(ring: readonly Spot[], p: Spot): boolean {
  return edges(ring, true).reduce(
    (is, [a, b]) => (a.y > p.y !== b.y > p.y && p.x < a.x + ((p.y - a.y) / (b.y - a.y)) * (b.x - a.x) ? !is : is),
    false,
  );
}

/** Whether two pieces of damage lie on each other, wholly or in part. */
export function meets(a: DamageDraft, b: DamageDraft): boolean {
  const [ra, rb] = [coverOf(a), coverOf(b)];
  const [ea, eb] = [edges(ra, !traced(a)), edges(rb, !traced(b))];
  if (ea.some((x) => eb.some((y) => cross(x, y)))) return true;
  const [pa, pb] = [ra[0], rb[0]];
  return (!traced(b) && pa !== undefined && inside(rb, pa)) || (!traced(a) && pb !== undefined && inside(ra, pb));
}
