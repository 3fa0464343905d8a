import { memo } from "react";

/** Patterns by which every material and every paper is known, in drawings and lists alike. */
export type HatchName =
  | "part"
  | "coat"
  | "paint"
  | "fill"
  | "finish"
  | "grain80"
  | "grain120"
  | "grain180"
  | "grain240"
  | "grain320"
  | "backing"
  | "cloth"
  | "promoter"
  | "resin"
  | "rubber"
  | "guide"
  | "clean"
  | "wait";

const dots = (seed: number, count: number, size: number, r: number) => {
  let s = seed;
  const next = () => (s = (s * 16807) % 2147483647) / 2147483647;
  return Array.from({ length: count }, (_, i) => (
    <circle key={i} cx={(next() * size).toFixed(1)} cy={(next() * size).toFixed(1)} r={r} />
  ));
};

const GRAIN: Record<string, { seed: number; count: number; size: number; r: number; ground: string }> = {
  grain80: { seed: 11, count: 7, size: 14, r: 1.7, ground: "var(--fill)" },
  grain120: { seed: 23, count: 9, size: 14, r: 1.3, ground: "color-mix(in srgb, var(--fill) 55%, var(--sheet))" },
  grain180: { seed: 37, count: 11, size: 14, r: 1, ground: "color-mix(in srgb, var(--fill) 28%, var(--sheet))" },
  grain240: { seed: 41, count: 12, size: 14, r: 0.8, ground: "color-mix(in srgb, var(--fill) 12%, var(--sheet))" },
  grain320: { seed: 53, count: 14, size: 14, r: 0.6, ground: "color-mix(in srgb, var(--tick) 14%, var(--sheet))" },
  guide: { seed: 67, count: 16, size: 14, r: 1.1, ground: "var(--sheet)" },
};

/** Pattern definitions for one drawing; `id` keeps drawings on one page apart. */
export const Hatches = memo(function Hatches({ id }: { id: string }) {
  return (
    <defs>
      <pattern id={`${id}-part`} width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="8" height="8" fill="var(--sheet)" />
        <path d="M0 0V8" stroke="var(--ink)" strokeWidth="1.6" />
      </pattern>
      <pattern id={`${id}-coat`} width="6" height="4" patternUnits="userSpaceOnUse">
        <rect width="6" height="4" fill="var(--sheet)" />
        <path d="M0 2H6" stroke="var(--petrol)" strokeWidth="1.6" />
      </pattern>
      <pattern id={`${id}-paint`} width="6" height="5" patternUnits="userSpaceOnUse">
        <rect width="6" height="5" fill="var(--petrol)" />
        <path d="M0 2.5H6" stroke="var(--sheet)" strokeWidth="1" />
      </pattern>
      <pattern id={`${id}-fill`} width="16" height="16" patternUnits="userSpaceOnUse">
        <rect width="16" height="16" fill="var(--fill)" />
        <g fill="var(--fill-grain)">{dots(5, 8, 16, 0.9)}</g>
      </pattern>
      <pattern id={`${id}-finish`} width="12" height="12" patternUnits="userSpaceOnUse">
        <rect width="12" height="12" fill="var(--finish)" />
        <path d="M0 12 12 0" stroke="var(--fill-grain)" strokeWidth="0.8" />
      </pattern>
      <pattern id={`${id}-backing`} width="10" height="10" patternUnits="userSpaceOnUse">
        <rect width="10" height="10" fill="var(--petrol)" />
        <g fill="var(--sheet)">
          <circle cx="2.5" cy="2.5" r="1.4" />
          <circle cx="7.5" cy="7.5" r="1.4" />
        </g>
      </pattern>
      <pattern id={`${id}-cloth`} width="8" height="8" patternUnits="userSpaceOnUse">
        <rect width="8" height="8" fill="var(--sheet)" />
        <path d="M0 2H4M4 6H8M2 4V8M6 0V4" stroke="var(--ink)" strokeWidth="1.6" />
      </pattern>
      <pattern id={`${id}-promoter`} width="12" height="8" patternUnits="userSpaceOnUse">
        <rect width="12" height="8" fill="var(--sheet)" />
        <path d="M0 4H12" stroke="var(--teal)" strokeWidth="2.5" />
      </pattern>
      <pattern id={`${id}-resin`} width="12" height="12" patternUnits="userSpaceOnUse">
        <rect width="12" height="12" fill="var(--resin)" />
        <path d="M0 6q3 -3 6 0t6 0" fill="none" stroke="var(--petrol)" strokeWidth="1" />
      </pattern>
      <pattern id={`${id}-rubber`} width="7" height="7" patternUnits="userSpaceOnUse">
        <rect width="7" height="7" fill="var(--sheet)" />
        <path d="M0 0 7 7M7 0 0 7" stroke="var(--ink)" strokeWidth="1.4" />
      </pattern>
      <pattern id={`${id}-clean`} width="12" height="12" patternUnits="userSpaceOnUse">
        <rect width="12" height="12" fill="var(--sheet)" />
      </pattern>
      <pattern id={`${id}-wait`} width="10" height="10" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="10" height="10" fill="var(--tape)" />
        <path d="M0 0V10" stroke="#fff" strokeWidth="5" strokeOpacity="0.75" />
      </pattern>
      {Object.entries(GRAIN).map(([name, g]) => (
        <pattern key={name} id={`${id}-${name}`} width={g.size} height={g.size} patternUnits="userSpaceOnUse">
          <rect width={g.size} height={g.size} style={{ fill: g.ground }} />
          <g fill="var(--ink)">{dots(g.seed, g.count, g.size, g.r)}</g>
        </pattern>
      ))}
    </defs>
  );
});

/** The pattern of a paper by its printed number. */
export function grainOf(paper: string): HatchName {
  const n = Number(/\d+/.exec(paper)?.[0] ?? 0);
  return n <= 100 ? "grain80" : n <= 150 ? "grain120" : n <= 220 ? "grain180" : n <= 280 ? "grain240" : "grain320";
}

/** A small square of a pattern, for lists and labels. */
export function Swatch({ hatch, id, size = 20 }: { hatch: HatchName; id: string; size?: number }) {
  return (
    <svg width={size} height={size} className="shrink-0" aria-hidden="true">
      <rect
        x="0.75"
        y="0.75"
        width={size - 1.5}
        height={size - 1.5}
        fill={`url(#${id}-${hatch})`}
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
    </svg>
  );
}
