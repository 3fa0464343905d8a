import { msg } from "../../messages/messages";
import type { Api } from "../../api/client";
import { type Projection, px, py } from "./projection";
import { Fragment, useRef } from "react";

/** Face or back of the part; the back is drawn as seen through the face. */
export function SideSwitch({
  x,
  y,
  room,
  shown,
  turn,
}: {
  x: number;
  y: number;
  /** Px to its left that there are: where its whole words do not fit, the side alone is said. */
  room: number;
  shown: "FACE" | "BACK";
  turn: () => void;
}) {
  const said = shown === "FACE" ? msg("Face; tap for the back") : msg("Back, seen through; tap for the face");
  const across = (text: string) => text.length * 7.4 + 20;
  const words = across(said) <= room ? said : shown === "FACE" ? msg("Face") : msg("Back");
  const wide = across(words);
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={said}
      style={{ cursor: "pointer" }}
      onClick={turn}
      onKeyDown={(e) => {
        if (e.key === "Enter") turn();
      }}
    >
      <rect x={x - wide} y={y - 56} width={wide} height={56} fill="transparent" />
      <rect
        x={x - wide}
        y={y - 34}
        width={wide}
        height={34}
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth="1.5"
        rx="2"
      />
      <text x={x - wide / 2} y={y - 12} textAnchor="middle" style={{ fontWeight: 700 }}>
        {words}
      </text>
    </g>
  );
}

export function BodyLine({ line, p }: { line: Api["BodyLine"]; p: Projection }) {
  const [x1, y1, x2, y2] = [px(p, line.x1Mm), py(p, line.y1Mm), px(p, line.x2Mm), py(p, line.y2Mm)];
  const nameAt = Math.max(p.left + 8, Math.min(x1, x2) + 6);
  // A name that would run out of the field ends at its edge.
  const most = p.left + p.width - 8;
  const late = nameAt + line.name.length * 7.4 > most;
  const along = x1 === x2 ? 0 : (nameAt - x1) / (x2 - x1);
  const above = y1 + (y2 - y1) * Math.min(1, Math.max(0, along)) - 7;
  // Of a line that runs through a close view the name stays in view.
  const y = Math.max(p.top + 18, Math.min(p.top + p.height - 10, above));
  return (
    <g pointerEvents="none">
      <path d={`M${x1} ${y1}L${x2} ${y2}`} stroke="var(--ink)" strokeWidth="4.5" />
      <path d={`M${x1} ${y1}L${x2} ${y2}`} stroke="var(--sheet)" strokeWidth="1.5" />
      <text
        x={late ? most : nameAt}
        textAnchor={late ? "end" : "start"}
        y={y}
        stroke="var(--sheet)"
        strokeWidth="4"
        paintOrder="stroke"
      >
        {line.name}
      </text>
    </g>
  );
}

/** The cut A–A; where it may be moved it is dragged up and down by its line. */
export function CutLine({
  drawing,
  p,
  onCut,
}: {
  drawing: Api["Drawing"];
  p: Projection;
  onCut?: (yMm: number) => void;
}) {
  const held = useRef(false);
  if (!drawing.section) return null;
  const y = py(p, drawing.section.cutYMm);
  const [a, b] = [p.left + 14, p.left + p.width - 14];
  return (
    <g
      pointerEvents={onCut ? "all" : "none"}
      style={onCut ? { cursor: "ns-resize", touchAction: "none" } : undefined}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        held.current = true;
      }}
      onPointerMove={(e) => {
        if (!held.current || !onCut) return;
        const yMm = p.y0 + (p.top + p.height - e.nativeEvent.offsetY) / p.perMm;
        onCut(Math.round(Math.min(drawing.heightMm, Math.max(0, yMm))));
      }}
      onPointerUp={() => (held.current = false)}
      onPointerCancel={() => (held.current = false)}
    >
      {onCut && <rect x={a} y={y - 28} width={b - a} height={56} fill="transparent" />}
      <path d={`M${a} ${y}H${b}`} stroke="var(--ink)" strokeWidth="1.5" strokeDasharray="14 4 3 4" />
      {[a, b].map((x) => (
        <Fragment key={x}>
          <path d={`M${x} ${y}v14m-5 -6 5 6 5 -6`} stroke="var(--ink)" strokeWidth="2" fill="none" />
          <text
            x={x}
            y={y - 7}
            textAnchor="middle"
            style={{ fontWeight: 700 }}
            stroke="var(--sheet)"
            strokeWidth="4"
            paintOrder="stroke"
          >
            {msg("A")}
          </text>
        </Fragment>
      ))}
    </g>
  );
}
