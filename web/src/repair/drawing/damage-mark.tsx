import type { Api } from "../../api/client";
import { usePreferences } from "../../shell/preferences";
import { length } from "../../units/units";
import { plateAt, type Projection, px, py, ringsPath } from "./projection";

/** Damage that is drawn as what it is: nothing. */
const GONE = new Set<Api["DrawnDamage"]["kind"]>(["MISSING", "HOLE", "RUST_HOLE"]);

/** Damage as it lies on the part, with its word or its depth. */
export function DamageMark({ damage, p, id }: { damage: Api["DrawnDamage"]; p: Projection; id: string }) {
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
  const middle = plateAt(p, cx, wide);
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
      <g pointerEvents="none">
        <rect
          x={middle - wide / 2}
          y={plate - 11}
          width={wide}
          height={22}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth="1.5"
          rx="2"
        />
        <text x={middle} y={plate + 5} textAnchor="middle" style={{ fontWeight: 600 }}>
          {words}
        </text>
      </g>
    </g>
  );
}
