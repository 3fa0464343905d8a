/** A point on the screen, px. */
export interface Dot {
  x: number;
  y: number;
}

/** A label and where its leader may end. */
export interface Slot {
  /** Where the leader leaves its label. */
  port: Dot;
  /** Ends to choose from, the one that is liked best first. */
  ends: readonly Dot[];
}

/** Least distance between two ends, px. */
export const APART_PX = 9;

/** Least distance of a leader from the end of another, px. */
const LINE_PX = 8;

const MOST_STEPS = 30_000;

const side = (a: Dot, b: Dot, p: Dot) => (b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x);

function fromTo(p: Dot, a: Dot, b: Dot): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const l2 = dx * dx + dy * dy;
  const t = l2 === 0 ? 0 : Math.min(1, Math.max(0, ((p.x - a.x) * dx + (p.y - a.y) * dy) / l2));
  return Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy);
}

function cross(a: Dot, b: Dot, c: Dot, d: Dot): boolean {
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}

/** Whether two leaders cross, or one runs over the other's end. */
export function tangled(a: readonly Dot[], b: readonly Dot[]): boolean {
  const [endA, endB] = [a.at(-1), b.at(-1)];
  if (!endA || !endB) return false;
  if (Math.hypot(endA.x - endB.x, endA.y - endB.y) < APART_PX) return true;
  for (let i = 1; i < a.length; i++) {
    const [a0, a1] = [a[i - 1], a[i]];
    if (!a0 || !a1) continue;
    if (fromTo(endB, a0, a1) < LINE_PX) return true;
    for (let k = 1; k < b.length; k++) {
      const [b0, b1] = [b[k - 1], b[k]];
      if (b0 && b1 && (cross(a0, a1, b0, b1) || (i === 1 && fromTo(endA, b0, b1) < LINE_PX))) return true;
    }
  }
  return false;
}

/** Where a label came to stand and where its leader ends. */
export interface Placed {
  port: Dot;
  end: Dot | undefined;
}

type Path = (port: Dot, end: Dot) => readonly Dot[];

/** The first choice of ends in the order they are liked in with which no two are at odds, found by trying and taking back; none where there is none. */
function tried(
  slots: readonly Slot[],
  odds: (a: number, ka: number, b: number, kb: number) => boolean,
): number[] | undefined {
  let steps = 0;
  const chosen: number[] = [];
  const most = Math.max(1, ...slots.map((s) => s.ends.length));
  // The same two are looked at again and again while others are tried.
  const known = new Map<number, boolean>();
  const odd = (a: number, ka: number, b: number, kb: number): boolean => {
    const key = ((a * most + ka) * slots.length + b) * most + kb;
    let is = known.get(key);
    if (is === undefined) known.set(key, (is = odds(a, ka, b, kb)));
    return is;
  };
  const atOdds = (i: number, k: number): boolean => {
    for (let j = 0; j < i; j++) {
      const c = chosen[j] ?? -1;
      if (c >= 0 && odd(j, c, i, k)) return true;
    }
    return false;
  };
  const from = (i: number): boolean => {
    const ends = slots[i]?.ends;
    if (!ends) return true;
    if (ends.length === 0) {
      chosen[i] = -1;
      return from(i + 1);
    }
    for (let k = 0; k < ends.length; k++) {
      if (steps++ > MOST_STEPS) return false;
      if (atOdds(i, k)) continue;
      chosen[i] = k;
      if (from(i + 1)) return true;
      chosen.length = i;
    }
    return false;
  };
  return from(0) ? chosen : undefined;
}

/**
 * Places labels on their slots and chooses an end for each leader so that no two leaders cross, none runs over another's end and no two ends lie on
 * each other. First with the labels in their order; where that cannot be, ends are chosen that lie apart, and labels whose leaders cross change
 * places: every such change makes the leaders shorter in all, so that it comes to an end. A label without ends stays without a leader.
 */
export function placed(slots: readonly Slot[], path: Path): Placed[] {
  const paths = slots.map((s) => s.ends.map((e) => path(s.port, e)));
  const inOrder = tried(slots, (a, ka, b, kb) => tangled(paths[a]?.[ka] ?? [], paths[b]?.[kb] ?? []));
  if (inOrder) return slots.map((s, i) => ({ port: s.port, end: s.ends[inOrder[i] ?? -1] }));
  const lie = (levelPx: number) =>
    tried(slots, (a, ka, b, kb) => {
      const [p, q] = [slots[a]?.ends[ka], slots[b]?.ends[kb]];
      return !p || !q || Math.hypot(p.x - q.x, p.y - q.y) < APART_PX || Math.abs(p.y - q.y) < levelPx;
    });
  const apart = lie(APART_PX / 2) ?? lie(0);
  const ends = slots.map((s, i) => s.ends[apart ? (apart[i] ?? -1) : 0]);
  const ports = slots.map((s) => s.port);
  for (let round = 0; round < slots.length * slots.length; round++) {
    const pair = crossing(ports, ends, path);
    if (!pair) break;
    const [i, k] = pair;
    [ports[i], ports[k]] = [ports[k] as Dot, ports[i] as Dot];
  }
  return ports.map((port, i) => ({ port, end: ends[i] }));
}

/** Two labels whose leaders cross. */
function crossing(ports: readonly Dot[], ends: readonly (Dot | undefined)[], path: Path): [number, number] | undefined {
  const lines = ports.map((port, i) => (ends[i] ? path(port, ends[i]) : []));
  for (let i = 0; i < lines.length; i++) {
    for (let k = 0; k < i; k++) if (meet(lines[i] ?? [], lines[k] ?? [])) return [i, k];
  }
  return undefined;
}

function meet(a: readonly Dot[], b: readonly Dot[]): boolean {
  for (let i = 1; i < a.length; i++) {
    for (let k = 1; k < b.length; k++) {
      const [a0, a1, b0, b1] = [a[i - 1], a[i], b[k - 1], b[k]];
      if (a0 && a1 && b0 && b1 && cross(a0, a1, b0, b1)) return true;
    }
  }
  return false;
}
