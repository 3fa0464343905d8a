import { remembered } from "./remembered";
import { msg } from "../../messages/messages";
import type { Api } from "../../api/client";
import { usePreferences } from "../../shell/preferences";
import { length } from "../../units/units";
import { RULE } from "./edge-rules";
import { litByZone, useLit } from "./lit";
import { Leader } from "./leader";
import { type Dot, placed } from "./leaders";
import { type Projection, anchors, px, py } from "./projection";
import { ZONE_HATCH } from "./zone-hatch";
import { useMemo } from "react";

/** What of {@code zones} is seen from one side. */
export const seenFrom = (zones: readonly Api["DrawnZone"][], side: Api["DrawnZone"]["side"]) =>
  zones.filter((z) => z.kind === "DAMAGE" || z.side === side);

export function Labels({
  drawing,
  side,
  p,
  width,
  height,
  column,
  id,
}: {
  drawing: Api["Drawing"];
  /** The side that is looked at. */
  side: Api["DrawnZone"]["side"];
  p: Projection;
  width: number;
  height: number;
  column: number;
  id: string;
}) {
  const { system } = usePreferences();
  const { lit, light } = useLit();
  const x = width - column;
  const rows = useMemo(
    () =>
      remembered(drawing.zones, JSON.stringify([side, height, x, p]), () => {
        const outerFirst = seenFrom(drawing.zones, side).sort((a, b) => b.areaMm2 - a.areaMm2);
        const step = Math.min(64, (height - RULE - 6) / outerFirst.length);
        return leaders(
          p,
          outerFirst.map((zone, i) => ({
            zone,
            inner: outerFirst[i + 1]?.rings ?? [],
            y: RULE + 4 + step * (i + 0.5),
            step,
          })),
          x,
        );
      }),
    [drawing.zones, side, height, p, x],
  );
  return (
    <g>
      {rows.map(({ zone, y, step, at }) => {
        const on = lit.zone === zone.kind;
        const words =
          zone.kind === "DAMAGE"
            ? msg("{n, plural, one {# place} other {# places}}", { n: drawing.damages.length })
            : zone.pastMm === 0
              ? ""
              : length(zone.pastMm, system);
        return (
          <g key={zone.kind} onPointerEnter={() => light(litByZone(zone.kind))} style={{ cursor: "default" }}>
            {at && <Leader path={bent({ x, y }, at)} lit={on} />}
            <rect
              x={x}
              y={y - step / 2 + 1}
              width={column - 4}
              height={step - 2}
              fill="var(--sheet)"
              stroke={on ? "var(--violet)" : "transparent"}
              strokeWidth="3"
            />
            <rect
              x={x + 8}
              y={y - 9}
              width="18"
              height="18"
              fill={`url(#${id}-${ZONE_HATCH[zone.kind]})`}
              stroke="var(--ink)"
              strokeWidth="1.5"
              strokeDasharray={zone.kind === "CLEAN" || zone.kind === "DAMAGE" ? "4 3" : undefined}
            />
            <text x={x + 34} y={y - 2} style={{ fontWeight: 700, fontSize: 15 }}>
              {zone.word}
            </text>
            <text x={x + 34} y={y + 14} style={{ fill: "var(--muted)" }}>
              {zone.note}
            </text>
            <text x={width - 12} y={y - 2} textAnchor="end" style={{ fontWeight: 600, fontSize: 16 }}>
              {words}
            </text>
          </g>
        );
      })}
    </g>
  );
}

interface LabelRow {
  zone: Api["DrawnZone"];
  inner: readonly Api["Ring"][];
  y: number;
  step: number;
}

/** Where each label's leader ends: level in its own zone, as near to the label's height as the others let it. */
function leaders(p: Projection, rows: readonly LabelRow[], x: number) {
  const view = { right: p.x1 - 4 / p.perMm, from: p.y0 + 4 / p.perMm, to: p.y1 - 4 / p.perMm };
  const ends = placed(
    rows.map((row) => {
      const want = p.y0 + (p.top + p.height - row.y) / p.perMm;
      return {
        port: { x, y: row.y },
        ends: anchors(row.zone.rings, row.inner, want, view).map((at) => ({ x: px(p, at.x), y: py(p, at.y) })),
      };
    }),
    bent,
  );
  return rows.map((row, i) => ({ ...row, y: ends[i]?.port.y ?? row.y, at: ends[i]?.end }));
}

/** A leader runs level out of its label and level into its end. */
const bent = (port: Dot, end: Dot): Dot[] => [port, { x: port.x - 10, y: port.y }, { x: port.x - 22, y: end.y }, end];
