import type { Api } from "../../api/client";
import { usePreferences } from "../../shell/preferences";
import { length } from "../../units/units";
import { type Projection, px, py } from "./projection";

/** A spot that a gate found wanting, as it is marked on a drawing. */
export type SpotMark = Api["SpotMark"];

/** Spots with what is wrong there and how deep it is. */
export function SpotMarks({ spots, p }: { spots: readonly SpotMark[]; p: Projection }) {
  const { system } = usePreferences();
  return spots.map((s, i) => (
    <g key={i} pointerEvents="none">
      <SpotOval place={s.place} p={p} stroke="var(--ink)" />
      <Plate
        x={px(p, s.place.xMm)}
        y={py(p, s.place.yMm) - (halfUp(s.place) * p.perMm + 16)}
        words={s.depthMm === undefined ? s.said : length(s.depthMm, system, "depth")}
        p={p}
      />
    </g>
  ));
}

/** What a spot covers. */
export function SpotOval({ place, p, stroke }: { place: Api["Oval"]; p: Projection; stroke: string }) {
  const [x, y] = [px(p, place.xMm), py(p, place.yMm)];
  return (
    <ellipse
      cx={x}
      cy={y}
      rx={(place.lengthMm / 2) * p.perMm}
      ry={(place.widthMm / 2) * p.perMm}
      transform={`rotate(${-place.angleDeg} ${x} ${y})`}
      fill="var(--sheet)"
      fillOpacity="0.55"
      stroke={stroke}
      strokeWidth="3"
      pointerEvents="none"
    />
  );
}

/** Half of how far it reaches up, mm. */
function halfUp(o: Api["Oval"]): number {
  const turn = (o.angleDeg * Math.PI) / 180;
  return Math.hypot((o.lengthMm / 2) * Math.sin(turn), (o.widthMm / 2) * Math.cos(turn));
}

/** Words on a plate of their own, inside the field, so that they are read over whatever they lie on. */
export function Plate({ x: at, y: up, words, p }: { x: number; y: number; words: string; p: Projection }) {
  const wide = words.length * 7.6 + 16;
  const kept = (v: number, from: number, to: number) => Math.min(Math.max(v, from), Math.max(from, to));
  const x = kept(at, p.left + wide / 2, p.left + p.width - wide / 2);
  const y = kept(up, p.top + 14, p.top + p.height - 14);
  return (
    <g pointerEvents="none">
      <rect x={x - wide / 2} y={y - 13} width={wide} height={26} fill="var(--sheet)" stroke="var(--ink)" rx="2" />
      <text x={x} y={y + 5} textAnchor="middle" style={{ fontWeight: 600 }}>
        {words}
      </text>
    </g>
  );
}
