import type { Api } from "../../api/client";
import type { DamageDraft } from "./fresh";

export type DepthLine = Api["DepthLineDraft"];

type Hollow = Pick<DamageDraft, "lengthMm" | "widthMm" | "depthMm" | "lines">;

/** One place of a line: along the straightedge from where the length begins, and what was read there, mm. */
export interface Reading {
  place?: number | undefined;
  depth?: number | undefined;
  beside?: number | undefined;
}

/** The places of `line`, in their order. */
export function readings(line: DepthLine): Reading[] {
  return (line.places ?? []).map((place, i) => ({
    place,
    depth: line.depths?.[i] ?? undefined,
    beside: line.beside?.[i] ?? undefined,
  }));
}

/** `line` with the places `all`; what is beside stays away where nothing was read there. */
export function withReadings(line: DepthLine, all: readonly Reading[]): DepthLine {
  const beside = all.map((r) => r.beside);
  // What is not typed yet keeps its place as nothing, so that the server can name it.
  const kept = (v: (number | undefined)[]) => v.map((x) => x ?? null) as unknown as number[];
  return {
    ...(line.offsetMm === undefined ? {} : { offsetMm: line.offsetMm }),
    places: kept(all.map((r) => r.place)),
    depths: kept(all.map((r) => r.depth)),
    ...(beside.some((b) => b !== undefined) ? { beside: kept(beside) } : {}),
  };
}

const tenth = (v: number) => Math.round(v * 10) / 10;

/** A line to begin with: three places, as deep there as the bowl that was assumed until now. */
export function firstLine(d: Hollow, offsetMm?: number): DepthLine {
  const length = d.lengthMm ?? 100;
  const across = (2 * (offsetMm ?? 0)) / (d.widthMm ?? length);
  return withReadings(
    offsetMm === undefined ? {} : { offsetMm },
    [0.25, 0.5, 0.75].map((at) => ({
      place: tenth(length * at),
      depth:
        d.depthMm === undefined ? undefined : tenth(Math.max(0, d.depthMm * (1 - (2 * at - 1) ** 2 - across ** 2))),
    })),
  );
}

/** A line along a weld `length` long: its ends and its middle, as deep as was assumed everywhere until now. */
export function firstAlong(d: Hollow, length: number): DepthLine {
  return withReadings(
    {},
    [0, 0.5, 1].map((at) => ({ place: tenth(length * at), depth: d.depthMm })),
  );
}

/** One line more: half way between the outermost and the rim, on the side that has fewer. */
export function nextLine(d: Hollow): DepthLine {
  const half = (d.widthMm ?? 100) / 2;
  const offsets = (d.lines ?? []).map((l) => l.offsetMm ?? 0);
  const right = offsets.filter((o) => o < 0).length;
  const left = offsets.filter((o) => o > 0).length;
  const out = left > right ? -1 : 1;
  const outermost = Math.max(0, ...offsets.map((o) => o * out));
  return firstLine(d, tenth(out * (outermost + (half - outermost) / 2)));
}

/** `all` with a place more: in the middle of the widest gap along a hollow `length` long. */
export function withPlace(all: readonly Reading[], length: number): Reading[] {
  const ends = [0, ...all.flatMap((r) => (r.place === undefined ? [] : [r.place])), length];
  let at = 1;
  let widest = -1;
  for (let i = 1; i < ends.length; i++) {
    const gap = (ends[i] ?? 0) - (ends[i - 1] ?? 0);
    if (gap > widest) [widest, at] = [gap, i];
  }
  const place = tenth(((ends[at] ?? 0) + (ends[at - 1] ?? 0)) / 2);
  return [...all.slice(0, at - 1), { place }, ...all.slice(at - 1)];
}

/** The deepest over the panel beside it of all that was read, mm; nothing where nothing was read. */
export function deepest(lines: readonly DepthLine[]): number | undefined {
  const depths = lines
    .flatMap(readings)
    .flatMap((r) => (r.depth === undefined ? [] : [Math.max(0, r.depth - (r.beside ?? 0))]));
  return depths.length === 0 ? undefined : Math.round(Math.max(...depths) * 100) / 100;
}

/** Where what a gauge shows goes: the first place without a depth, else `last`. */
export function takes(all: readonly Reading[], last: number): number {
  const open = all.findIndex((r) => r.depth === undefined);
  return open < 0 ? Math.min(last, all.length - 1) : open;
}
