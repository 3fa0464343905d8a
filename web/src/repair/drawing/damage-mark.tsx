import type { Api } from "../../api/client";
import { usePreferences } from "../../shell/preferences";
import { length } from "../../units/units";
import { type Projection, px, py, ringsPath } from "./projection";
import { type PointerEvent as ReactPointerEvent, useRef } from "react";

/** Damage was dragged: its middle, or the corner of the line it follows, to a new place in mm. */
export type OnDrag = (damage: number, corner: number | undefined, xMm: number, yMm: number) => void;

/** Damage that is drawn as what it is: nothing. */
const GONE = new Set<Api["DrawnDamage"]["kind"]>(["MISSING", "HOLE", "RUST_HOLE"]);

/** Damage with its handles: its middle, or every corner of the line it follows. */
export function DamageMark({
  damage,
  p,
  drawing,
  id,
  onDrag,
}: {
  damage: Api["DrawnDamage"];
  p: Projection;
  drawing: Api["Drawing"];
  id: string;
  onDrag?: OnDrag;
}) {
  const { system } = usePreferences();
  const traced = damage.trace.length >= 4;
  const words = damage.depthMm !== undefined ? length(damage.depthMm, system, "depth") : damage.mark;
  const wide = words.length * 6.8 + 14;
  const corners = Array.from({ length: damage.trace.length / 2 }, (_, i) => ({
    x: damage.trace[2 * i] ?? 0,
    y: damage.trace[2 * i + 1] ?? 0,
  }));
  const line = corners.map((c, i) => `${i === 0 ? "M" : "L"}${px(p, c.x)} ${py(p, c.y)}`).join("");
  const [cx, cy] = [px(p, damage.xMm), py(p, damage.yMm)];
  const plate = damage.kind === "DENT" ? cy : Math.max(p.top + 14, cy - 34);
  return (
    <g>
      {damage.kind !== "DENT" && (
        <path
          d={ringsPath(p, damage.rings)}
          fillRule="evenodd"
          fill={traced ? "none" : GONE.has(damage.kind) ? "var(--ground)" : `url(#${id}-fill)`}
          stroke="var(--ink)"
          strokeWidth="3"
          pointerEvents="none"
        />
      )}
      {damage.kind !== "DENT" && !traced && (
        <path
          d={`M${cx - 9} ${cy}H${cx + 9}M${cx} ${cy - 9}V${cy + 9}`}
          stroke="var(--ink)"
          strokeWidth="2"
          pointerEvents="none"
        />
      )}
      {traced && <path d={line} fill="none" stroke="var(--ink)" strokeWidth="4" pointerEvents="none" />}
      {!traced && (
        <Handle
          p={p}
          drawing={drawing}
          x={damage.xMm}
          y={damage.yMm}
          onMove={onDrag && ((x, y) => onDrag(damage.index, undefined, x, y))}
        />
      )}
      <g pointerEvents="none">
        <rect
          x={cx - wide / 2}
          y={plate - 11}
          width={wide}
          height={22}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth="1.5"
          rx="2"
        />
        <text x={cx} y={plate + 5} textAnchor="middle" style={{ fontWeight: 600 }}>
          {words}
        </text>
      </g>
      {traced &&
        onDrag &&
        corners.map((c, i) => (
          <Handle
            key={i}
            p={p}
            drawing={drawing}
            x={c.x}
            y={c.y}
            shown
            onMove={(x, y) => onDrag(damage.index, i, x, y)}
          />
        ))}
    </g>
  );
}

/** A place that can be dragged, kept on the part. */
function Handle({
  p,
  drawing,
  x,
  y,
  shown = false,
  onMove,
}: {
  p: Projection;
  drawing: Api["Drawing"];
  x: number;
  y: number;
  shown?: boolean;
  onMove?: (xMm: number, yMm: number) => void;
}) {
  const grip = useRef<{ x: number; y: number } | undefined>(undefined);
  if (!onMove) return null;
  const [cx, cy] = [px(p, x), py(p, y)];
  const move = (e: ReactPointerEvent) => {
    if (!grip.current) return;
    const to = {
      x: p.x0 + (e.nativeEvent.offsetX - p.left - grip.current.x) / p.perMm,
      y: p.y0 + (p.top + p.height - e.nativeEvent.offsetY + grip.current.y) / p.perMm,
    };
    const inside = (v: number, max: number) => Math.round(Math.min(max, Math.max(0, v)));
    onMove(inside(to.x, drawing.widthMm), inside(to.y, drawing.heightMm));
  };
  return (
    <g
      style={{ cursor: "grab", touchAction: "none" }}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        grip.current = { x: e.nativeEvent.offsetX - cx, y: e.nativeEvent.offsetY - cy };
      }}
      onPointerMove={move}
      onPointerUp={() => (grip.current = undefined)}
      onPointerCancel={() => (grip.current = undefined)}
    >
      <circle cx={cx} cy={cy} r="28" fill="transparent" />
      {shown && (
        <rect x={cx - 7} y={cy - 7} width="14" height="14" fill="var(--sheet)" stroke="var(--violet)" strokeWidth="3" />
      )}
    </g>
  );
}
