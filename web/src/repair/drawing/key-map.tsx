import { msg } from "../../messages/messages";
import type { Api } from "../../api/client";
import { type Projection, fitBox, px, py, ringsPath } from "./projection";

/** Largest of the map, px. */
const MOST = 92;
const MARGIN = 6;

/** Share of the part's length that is in view from which on no map is needed. */
const SEEN = 0.7;

/** Whether so little of the part is in view that one asks where it is. */
export const needsMap = (drawing: Pick<Api["Drawing"], "widthMm" | "heightMm">, p: Projection) =>
  p.x1 - p.x0 < SEEN * drawing.widthMm || p.y1 - p.y0 < SEEN * drawing.heightMm;

/** The whole part, small, with what of it is in view. */
export function KeyMap({ drawing, p }: { drawing: Api["Drawing"]; p: Projection }) {
  const perMm = Math.min(MOST / drawing.widthMm, MOST / drawing.heightMm);
  const [width, height] = [drawing.widthMm * perMm, drawing.heightMm * perMm];
  // At the top: at the foot one turns the part over.
  const [left, top] = [p.left + MARGIN * 2, p.top + MARGIN * 2];
  const map = fitBox({ x0: 0, y0: 0, x1: drawing.widthMm, y1: drawing.heightMm }, 0, { left, top, width, height });
  const clamp = (v: number, most: number) => Math.min(most, Math.max(0, v));
  const [x0, x1] = [px(map, clamp(p.x0, drawing.widthMm)), px(map, clamp(p.x1, drawing.widthMm))];
  const [y0, y1] = [py(map, clamp(p.y1, drawing.heightMm)), py(map, clamp(p.y0, drawing.heightMm))];
  return (
    <g role="img" aria-label={msg("The whole part, and what of it is in view")} pointerEvents="none">
      <rect
        x={left - MARGIN}
        y={top - MARGIN}
        width={width + 2 * MARGIN}
        height={height + 2 * MARGIN}
        fill="var(--ground)"
        stroke="var(--ink)"
      />
      <path
        d={ringsPath(map, [{ xy: drawing.outline, hole: false }])}
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
      <rect x={x0} y={y0} width={x1 - x0} height={y1 - y0} fill="none" stroke="var(--violet)" strokeWidth="3" />
    </g>
  );
}
