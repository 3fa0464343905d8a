import { Fragment, type PointerEvent as ReactPointerEvent, useId, useMemo, useRef } from "react";
import type { Api } from "../../api/client";
import { Hatches, type HatchName } from "../../marks/hatch";
import { lengthTicks } from "../../marks/rule";
import { usePreferences } from "../../shell/preferences";
import { length } from "../../units/units";
import { litByZone, useLit } from "./lit";
import { anchor, type Projection, px, py, ringsPath, type ZoneKind } from "./projection";

export const ZONE_HATCH: Record<ZoneKind, HatchName> = {
  CLEAN: "clean",
  RUST: "coat",
  FIBRE: "backing",
  STRIP: "grain80",
  MESH: "cloth",
  PRIME_BACK: "coat",
  DISH: "grain80",
  FACE_SAND: "grain80",
  ADHESIVE: "fill",
  RING_180: "grain180",
  CLOTH: "cloth",
  PATCH: "backing",
  BACK_SAND: "grain80",
  BACK_CLEAN: "clean",
  GROOVE: "fill",
  STOP_HOLE: "wait",
  TAPE: "coat",
  FACE_TAPE: "coat",
  BEAD: "resin",
  TEXTURE: "finish",
  COLOUR: "paint",
  PIT: "resin",
  INJECTOR: "wait",
  FILM: "promoter",
  SHIELD: "finish",
  LEVEL: "grain320",
  CHANNEL: "rubber",
  UNIT: "rubber",
  BUFF: "grain180",
  SEALED: "coat",
  FINE_320: "grain320",
  FINE_240: "grain240",
  REFINE_180: "grain180",
  PUTTY: "finish",
  FEATHER: "paint",
  OPENING: "coat",
  FILLER: "fill",
  DAMAGE: "fill",
};

const RULE = 28;

/** Damage was dragged: its middle, or the corner of the line it follows, to a new place in mm. */
export type OnDrag = (damage: number, corner: number | undefined, xMm: number, yMm: number) => void;

/** Zones to scale on the part, with a rule along two edges. */
export function FootprintDrawing({
  drawing,
  projection: p,
  width,
  height,
  labels,
  onDrag,
  onCut,
}: {
  drawing: Api["Drawing"];
  projection: Projection;
  width: number;
  height: number;
  /** Px of the label column; 0 for none. */
  labels: number;
  onDrag?: OnDrag;
  onCut?: (yMm: number) => void;
}) {
  const id = useId();
  const { system } = usePreferences();
  const { lit, light, side, setSide } = useLit();
  const litZone = drawing.zones.find((z) => z.kind === lit.zone);
  const twoSided = drawing.zones.some((z) => z.side === "BACK");
  const shown = litZone && litZone.kind !== "DAMAGE" ? litZone.side : side;
  const zones = drawing.zones.filter((z) => z.kind === "DAMAGE" || z.side === shown);
  // Largest first, so that what lies inside is drawn over what is around it.
  const outerFirst = [...zones].sort((a, b) => b.areaMm2 - a.areaMm2);
  return (
    <svg width={width} height={height} role="group" aria-label="Footprint, to scale" onPointerLeave={() => light({})}>
      <Hatches id={id} />
      <clipPath id={`${id}-field`}>
        <rect x={p.left} y={p.top} width={p.width} height={p.height} />
      </clipPath>
      <g clipPath={`url(#${id}-field)`}>
        <rect x={p.left} y={p.top} width={p.width} height={p.height} fill="var(--ground)" />
        <path
          d={ringsPath(p, [{ xy: drawing.outline, hole: false }])}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth="3"
        />
        {outerFirst.map((z) => (
          <path
            key={z.kind}
            d={ringsPath(p, z.rings)}
            fillRule="evenodd"
            fill={`url(#${id}-${ZONE_HATCH[z.kind]})`}
            stroke={z.kind === "CLEAN" || z.kind === "BACK_CLEAN" ? "var(--tick)" : "var(--ink)"}
            strokeWidth={z.kind === "DAMAGE" ? 2 : 1.5}
            strokeDasharray={DASHED.has(z.kind) ? "6 5" : undefined}
            onPointerEnter={() => light(litByZone(z.kind))}
          />
        ))}
        {drawing.bodyLines.map((l) => (
          <BodyLine key={`${l.name}${l.x1Mm}${l.y1Mm}`} line={l} p={p} />
        ))}
        {litZone && (
          <path
            d={ringsPath(p, litZone.rings)}
            fill="none"
            stroke="var(--violet)"
            strokeWidth="4.5"
            pointerEvents="none"
          />
        )}
        <CutLine drawing={drawing} p={p} onCut={onCut} />
        {drawing.damages.map((d) => (
          <DamageMark key={d.index} damage={d} p={p} drawing={drawing} id={id} onDrag={onDrag} />
        ))}
      </g>
      <TopRule p={p} width={width} />
      <LeftRule p={p} height={height} />
      {labels > 0 && zones.length > 0 && (
        <Labels drawing={drawing} zones={zones} p={p} width={width} height={height} column={labels} id={id} />
      )}
      <rect x="0" y="0" width={RULE} height={RULE} fill="var(--ground)" stroke="var(--ink)" strokeWidth="1.5" />
      <text x={RULE / 2} y={19} textAnchor="middle">
        {system === "metric" ? "mm" : "in"}
      </text>
      {twoSided && (
        <SideSwitch
          x={p.left + p.width - 4}
          y={p.top + p.height - 4}
          shown={shown}
          turn={() => setSide(shown === "FACE" ? "BACK" : "FACE")}
        />
      )}
    </svg>
  );
}

const DASHED = new Set<ZoneKind>(["CLEAN", "BACK_CLEAN", "DAMAGE", "TAPE", "FACE_TAPE"]);

/** Face or back of the part; the back is drawn as seen through the face. */
function SideSwitch({ x, y, shown, turn }: { x: number; y: number; shown: "FACE" | "BACK"; turn: () => void }) {
  const words = shown === "FACE" ? "Face; tap for the back" : "Back, seen through; tap for the face";
  const wide = words.length * 7.4 + 20;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={words}
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

function BodyLine({ line, p }: { line: Api["BodyLine"]; p: Projection }) {
  const [x1, y1, x2, y2] = [px(p, line.x1Mm), py(p, line.y1Mm), px(p, line.x2Mm), py(p, line.y2Mm)];
  const nameAt = Math.max(p.left + 8, Math.min(x1, x2) + 6);
  const along = x1 === x2 ? 0 : (nameAt - x1) / (x2 - x1);
  return (
    <g pointerEvents="none">
      <path d={`M${x1} ${y1}L${x2} ${y2}`} stroke="var(--ink)" strokeWidth="4.5" />
      <path d={`M${x1} ${y1}L${x2} ${y2}`} stroke="var(--sheet)" strokeWidth="1.5" />
      <text
        x={nameAt}
        y={y1 + (y2 - y1) * Math.min(1, Math.max(0, along)) - 7}
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
function CutLine({ drawing, p, onCut }: { drawing: Api["Drawing"]; p: Projection; onCut?: (yMm: number) => void }) {
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
            A
          </text>
        </Fragment>
      ))}
    </g>
  );
}

/** Damage that is drawn as what it is: nothing. */
const GONE = new Set<Api["DrawnDamage"]["kind"]>(["MISSING", "HOLE", "RUST_HOLE"]);

/** Damage with its handles: its middle, or every corner of the line it follows. */
function DamageMark({
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
  const words =
    damage.depthMm !== undefined
      ? length(damage.depthMm, system, "depth")
      : damage.word.replace(/ or .* (\d+)$/, " $1");
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

function TopRule({ p, width }: { p: Projection; width: number }) {
  const { system } = usePreferences();
  return (
    <g pointerEvents="none">
      <rect x="0" y="0" width={width} height={RULE} fill="var(--ground)" />
      <path d={`M0 ${RULE}H${width}`} stroke="var(--ink)" strokeWidth="1.5" />
      {lengthTicks(p.x0, p.x1, p.perMm, system).map((t) => (
        <g key={t.at}>
          <path
            d={`M${px(p, t.at)} ${RULE}v${t.size === "long" ? -12 : t.size === "middle" ? -8 : -5}`}
            stroke="var(--tick)"
            strokeWidth={t.size === "long" ? 1.6 : 1}
          />
          {t.label && px(p, t.at) > p.left + 8 && px(p, t.at) < p.left + p.width - 4 && (
            <text x={px(p, t.at)} y="13" textAnchor="middle" style={{ fontWeight: 600 }}>
              {t.label}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

function LeftRule({ p, height }: { p: Projection; height: number }) {
  const { system } = usePreferences();
  return (
    <g pointerEvents="none">
      <rect x="0" y={RULE} width={RULE} height={height - RULE} fill="var(--ground)" />
      <path d={`M${RULE} ${RULE}V${height}`} stroke="var(--ink)" strokeWidth="1.5" />
      {lengthTicks(p.y0, p.y1, p.perMm, system).map((t) => {
        const y = py(p, t.at);
        return (
          <g key={t.at}>
            <path
              d={`M${RULE} ${y}h${t.size === "long" ? -12 : t.size === "middle" ? -8 : -5}`}
              stroke="var(--tick)"
              strokeWidth={t.size === "long" ? 1.6 : 1}
            />
            {t.label && y > RULE + 18 && y < height - 14 && (
              <text transform={`translate(13 ${y}) rotate(-90)`} textAnchor="middle" style={{ fontWeight: 600 }}>
                {t.label}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

function Labels({
  drawing,
  zones,
  p,
  width,
  height,
  column,
  id,
}: {
  drawing: Api["Drawing"];
  zones: readonly Api["DrawnZone"][];
  p: Projection;
  width: number;
  height: number;
  column: number;
  id: string;
}) {
  const { system } = usePreferences();
  const { lit, light } = useLit();
  const rows = useMemo(() => {
    const outerFirst = [...zones].sort((a, b) => b.areaMm2 - a.areaMm2);
    const step = Math.min(64, (height - RULE - 6) / outerFirst.length);
    return leaders(
      p,
      outerFirst.map((zone, i) => ({
        zone,
        inner: outerFirst[i + 1]?.rings ?? [],
        y: RULE + 4 + step * (i + 0.5),
        step,
      })),
    );
  }, [zones, height, p]);
  const x = width - column;
  return (
    <g>
      {rows.map(({ zone, y, step, at }) => {
        const on = lit.zone === zone.kind;
        const words =
          zone.kind === "DAMAGE"
            ? drawing.damages.length === 1
              ? "1 place"
              : `${drawing.damages.length} places`
            : zone.pastMm === 0
              ? ""
              : length(zone.pastMm, system);
        return (
          <g key={zone.kind} onPointerEnter={() => light(litByZone(zone.kind))} style={{ cursor: "default" }}>
            {at && (
              <g pointerEvents="none">
                <path
                  d={`M${x} ${y}H${x - 10}L${x - 22} ${at.y}H${at.x}`}
                  fill="none"
                  stroke={on ? "var(--violet)" : "var(--ink)"}
                  strokeWidth="1.5"
                />
                <circle
                  cx={at.x}
                  cy={at.y}
                  r="5"
                  fill={on ? "var(--violet)" : "var(--ink)"}
                  stroke="var(--sheet)"
                  strokeWidth="1.5"
                />
              </g>
            )}
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

/** Where each label's leader ends. From the innermost up each starts above the one below it, so that no two cross. */
function leaders(p: Projection, rows: readonly LabelRow[]) {
  const out: (LabelRow & { at?: { x: number; y: number } })[] = [];
  let from = p.y0;
  for (const row of [...rows].reverse()) {
    const want = p.y0 + (p.top + p.height - row.y) / p.perMm;
    const view = { right: p.x1 - 4 / p.perMm, from, to: p.y1 - 4 / p.perMm };
    const at = anchor(row.zone.rings, row.inner, want, view) ?? anchor(row.zone.rings, row.inner, want);
    if (at) from = Math.min(view.to, at.y + 7 / p.perMm);
    out.push({ ...row, at: at && { x: px(p, at.x), y: py(p, at.y) } });
  }
  return out;
}
