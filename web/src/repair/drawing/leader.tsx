import type { Dot } from "./leaders";

/** A leader from its label to what it names, with a dot at its end. */
export function Leader({ path, lit }: { path: readonly Dot[]; lit: boolean }) {
  const end = path.at(-1);
  const colour = lit ? "var(--violet)" : "var(--ink)";
  if (!end) return null;
  return (
    <g pointerEvents="none">
      <path
        data-leader
        d={path.map((p, i) => `${i === 0 ? "M" : "L"}${p.x} ${p.y}`).join("")}
        fill="none"
        stroke={colour}
        strokeWidth="1.5"
      />
      <circle cx={end.x} cy={end.y} r="5" fill={colour} stroke="var(--sheet)" strokeWidth="1.5" />
    </g>
  );
}
