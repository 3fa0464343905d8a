import { msg, within } from "../../messages/messages";
import { useRef, useState, type PointerEvent as ReactPointerEvent, useId } from "react";
import type { Api } from "../../api/client";
import { useCatalogue } from "../../api/queries";
import { Hatches } from "../../marks/hatch";
import { useSize } from "../../marks/use-size";
import { usePreferences } from "../../shell/preferences";
import { length } from "../../units/units";
import { LeftRule, RULE, TopRule } from "../drawing/edge-rules";
import { fitBox, type Projection, px, py } from "../drawing/projection";
import { bearing, cornersOf, coverOf, drawn, meets, movedTo, ovalOf, type Spot, toEdge, traced } from "./shape";
import type { DamageDraft } from "./fresh";
import type { Stamp } from "./many";
import { StampLayer } from "./many-fields";
import { Handles } from "./place-handles";

const MARGIN_MM = 24;
const TAP_PX = 8;

/** A part as far as it is drawn before anything is computed. */
type Part = Api["PartDraft"];

/**
 * The part to scale with its damage as typed so far, whether or not a plan can be made of it: put on by touch, drawn larger by its handles, with the
 * figure beside the finger.
 */
export function PlaceDrawing({
  part,
  damages,
  word,
  chosen,
  placing,
  before,
  stamp,
  onStamped,
  onChoose,
  onPlaced,
  onChange,
}: {
  part: Part;
  damages: readonly DamageDraft[];
  /** What the one at a place is called. */
  word: (index: number) => string;
  chosen: number;
  /** The one that the next touch puts down. */
  placing: number | undefined;
  /** Damage of earlier repairs of this very part. */
  before: readonly { damage: DamageDraft; words: string }[];
  /** What each touch puts down while many are put on. */
  stamp: Stamp | undefined;
  onStamped: (spots: Spot[]) => void;
  onChoose: (index: number) => void;
  onPlaced: (index: number) => void;
  onChange: (index: number, next: Partial<DamageDraft>) => void;
}) {
  const [ref, { width, height }] = useSize("place");
  const { system } = usePreferences();
  const outlines = useCatalogue().data?.outlines ?? [];
  const [close, setClose] = useState(false);
  const [hand, setHand] = useState<Hand>();
  const id = useId();
  const svg = useRef<SVGSVGElement>(null);
  const { widthMm, heightMm } = part;
  const d = damages[chosen];
  if (!widthMm || !heightMm) {
    return (
      <div className="grid h-full place-items-center p-8 text-center">
        <p className="max-w-96 text-20">
          {msg("Say how wide and how high the part is: then damage is put on it by touch.")}
        </p>
      </div>
    );
  }
  const material = part.made?.material ?? "METAL";
  const shape = outlines.find((o) => o.id === part.outline) ?? outlines.find((o) => o.materials.includes(material));
  const outline: Spot[] = Array.from({ length: (shape?.xy.length ?? 0) / 2 }, (_, i) => ({
    x: (shape?.xy[2 * i] ?? 0) * widthMm,
    y: (shape?.xy[2 * i + 1] ?? 0) * heightMm,
  }));
  const drawnHeight = Math.max(40, height - 72);
  const field = { left: RULE, top: RULE, width: Math.max(40, width - RULE), height: Math.max(40, drawnHeight - RULE) };
  const p = fitBox(close && d ? boxOf(d) : { x0: 0, y0: 0, x1: widthMm, y1: heightMm }, MARGIN_MM, field);
  const at = (e: { clientX: number; clientY: number }): Spot => {
    const box = svg.current?.getBoundingClientRect();
    const [x, y] = [e.clientX - (box?.left ?? 0), e.clientY - (box?.top ?? 0)];
    const within = (v: number, most: number) => Math.min(most, Math.max(0, v));
    return {
      x: within(p.x0 + (x - p.left) / p.perMm, widthMm),
      y: within(p.y0 + (p.top + p.height - y) / p.perMm, heightMm),
    };
  };
  const down = (e: ReactPointerEvent) => {
    if (placing === undefined) return;
    e.currentTarget.setPointerCapture(e.pointerId);
    // The one it is begun with: as soon as that has a size, another is the next to be placed.
    setHand({ index: placing, from: at(e), x: e.clientX, y: e.clientY, drawn: false });
  };
  const move = (e: ReactPointerEvent) => {
    const now = hand && damages[hand.index];
    if (!now || (!hand.drawn && Math.hypot(e.clientX - hand.x, e.clientY - hand.y) < TAP_PX)) return;
    setHand({ ...hand, drawn: true });
    onChange(hand.index, drawn(now, hand.from, at(e)));
  };
  const up = () => {
    const now = hand && damages[hand.index];
    if (now) {
      if (!hand.drawn) onChange(hand.index, movedTo(now, hand.from));
      onPlaced(hand.index);
    }
    setHand(undefined);
  };
  return (
    <div ref={ref} className="flex h-full w-full flex-col overflow-hidden">
      <svg
        ref={svg}
        width={width}
        height={drawnHeight}
        role="group"
        aria-label={msg("Part to scale, with its damage")}
        style={{
          touchAction: placing === undefined ? undefined : "none",
          cursor: placing === undefined ? undefined : "crosshair",
        }}
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={() => setHand(undefined)}
      >
        <Hatches id={id} />
        <clipPath id={`${id}-field`}>
          <rect x={p.left} y={p.top} width={p.width} height={p.height} />
        </clipPath>
        <g clipPath={`url(#${id}-field)`}>
          <rect x={p.left} y={p.top} width={p.width} height={p.height} fill="var(--ground)" />
          <path d={ring(p, outline)} fill="var(--sheet)" stroke="var(--ink)" strokeWidth="3" />
          {(part.bodyLines ?? []).map((l, i) => (
            <path
              key={i}
              d={`M${px(p, l.x1Mm ?? 0)} ${py(p, l.y1Mm ?? 0)}L${px(p, l.x2Mm ?? 0)} ${py(p, l.y2Mm ?? 0)}`}
              stroke="var(--ink)"
              strokeDasharray="10 5"
            />
          ))}
          {before.map((b, i) => (
            <g key={i} pointerEvents="none">
              <path
                d={ring(p, coverOf(b.damage), !traced(b.damage))}
                fill="none"
                stroke="var(--muted)"
                strokeWidth="1.6"
                strokeDasharray="5 4"
              />
              <text
                x={px(p, coverOf(b.damage)[0]?.x ?? 0)}
                y={py(p, coverOf(b.damage)[0]?.y ?? 0) - 8}
                style={{ fill: "var(--muted)" }}
              >
                {b.words}
              </text>
            </g>
          ))}
          {damages.map((x, i) => (
            <g key={i} onPointerDown={(e) => placing === undefined && (e.stopPropagation(), onChoose(i))}>
              <path
                d={ring(p, coverOf(x), !traced(x))}
                fill={traced(x) ? "none" : `url(#${id}-fill)`}
                fillOpacity={0.5}
                stroke={i === chosen ? "var(--violet)" : "var(--ink)"}
                strokeWidth={traced(x) ? 5 : 3}
                strokeDasharray={!traced(x) && !ovalOf(x).said ? "6 5" : undefined}
              />
            </g>
          ))}
          {d && placing === undefined && !stamp && (
            <Handles d={d} p={p} at={at} name={word(chosen)} onChange={(next) => onChange(chosen, next)} />
          )}
        </g>
        {d && !stamp && <Beside d={d} p={p} word={word(chosen)} width={width} />}
        {stamp && <StampLayer {...{ stamp, p, at, width, height: drawnHeight }} onSpots={onStamped} />}
        <TopRule p={p} width={width} />
        <LeftRule p={p} height={drawnHeight} />
        <rect x="0" y="0" width={RULE} height={RULE} fill="var(--ground)" stroke="var(--ink)" strokeWidth="1.5" />
        <text x={RULE / 2} y={19} textAnchor="middle">
          {system === "metric" ? "mm" : "in"}
        </text>
      </svg>
      <div className="firm-t flex min-h-18 shrink-0 items-stretch">
        <p className="flex min-w-0 flex-1 flex-col justify-center px-4 py-1" role="status">
          {stamp ? (
            <b>{msg("Tap: one ding. Draw a field: {inField} in it.", { inField: stamp.inField })}</b>
          ) : (
            <Told {...{ damages, chosen, placing: hand?.index ?? placing, word, outline }} />
          )}
        </p>
        {d && (
          <button
            type="button"
            className="firm-l n px-4 font-semibold"
            aria-pressed={close}
            onClick={() => setClose(!close)}
          >
            {close ? msg("Whole part") : msg("Close up")}
          </button>
        )}
      </div>
    </div>
  );
}

/** A finger on the drawing: where it came down, and whether it draws. */
interface Hand {
  index: number;
  from: Spot;
  x: number;
  y: number;
  drawn: boolean;
}

function ring(p: Projection, spots: readonly Spot[], closed = true): string {
  const line = spots.map((s, i) => `${i === 0 ? "M" : "L"}${px(p, s.x).toFixed(1)} ${py(p, s.y).toFixed(1)}`).join("");
  return closed && line ? `${line}Z` : line;
}

/** What a close look shows: the damage with as much around it. */
function boxOf(d: DamageDraft) {
  const spots = coverOf(d);
  const [xs, ys] = [spots.map((s) => s.x), spots.map((s) => s.y)];
  const around = Math.max(30, Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)) / 2;
  return {
    x0: Math.min(...xs) - around,
    x1: Math.max(...xs) + around,
    y0: Math.min(...ys) - around,
    y1: Math.max(...ys) + around,
  };
}

/** Under the drawing: what a touch does now, what lies on what, how near the edge is. */
function Told({
  damages,
  chosen,
  placing,
  word,
  outline,
}: {
  damages: readonly DamageDraft[];
  chosen: number;
  placing: number | undefined;
  word: (index: number) => string;
  outline: readonly Spot[];
}) {
  const { system } = usePreferences();
  const d = damages[chosen];
  if (placing !== undefined)
    return (
      <span>
        <b>{word(placing)}:</b>{" "}
        {damages[placing] && traced(damages[placing])
          ? msg("draw it from end to end, or tap where it is.")
          : msg("tap where it is, or drag from its middle outward.")}
      </span>
    );
  if (!d) return <span>{msg("No damage yet: add it, then put it where it is.")}</span>;
  const under = damages.map((x, i) => (i !== chosen && meets(x, d) ? within(word(i)) : "")).filter(Boolean);
  const edge = toEdge(d, outline);
  return (
    <>
      {under.length > 0 ? (
        <span className="font-bold text-oxide-text">
          {msg("{chosen} lies on {under}: move one, or take one away if they are the same.", {
            chosen: word(chosen),
            under: under.join(msg(" and ")),
          })}
        </span>
      ) : (
        <span>
          <b>{word(chosen)}:</b> {msg("drag it by its handles; arrow keys move it, with Shift ten times as far.")}
        </span>
      )}
      {edge && (
        <span>
          {edge.mm < 0.5
            ? msg("At the edge of the part.")
            : msg("{mm} to the edge of the part.", { mm: length(edge.mm, system) })}
        </span>
      )}
    </>
  );
}

/** The figure beside the finger, never under it. */
function Beside({ d, p, word, width }: { d: DamageDraft; p: Projection; word: string; width: number }) {
  const { system } = usePreferences();
  const corners = cornersOf(d);
  const [first, last] = [corners[0], corners.at(-1)];
  const o = ovalOf(d);
  const words = traced(d)
    ? first && last
      ? `${length(Math.hypot(last.x - first.x, last.y - first.y), system)}, ${bearing(first, last)}°`
      : ""
    : !o.said
      ? word
      : d.widthMm !== undefined && d.widthMm !== d.lengthMm
        ? `${length(o.lengthMm, system)} × ${length(o.widthMm, system)}, ${Math.round(o.deg)}°`
        : msg("{lengthMm} across", { lengthMm: length(o.lengthMm, system) });
  const spots = coverOf(d);
  const top = Math.min(...spots.map((s) => py(p, s.y)));
  const middle = px(p, (Math.min(...spots.map((s) => s.x)) + Math.max(...spots.map((s) => s.x))) / 2);
  const wide = words.length * 10 + 24;
  const x = Math.min(width - wide - 6, Math.max(p.left + 6, middle - wide / 2));
  const y = Math.max(p.top + 6, top - 102);
  return (
    <g pointerEvents="none">
      <rect x={x} y={y} width={wide} height={36} fill="var(--ink)" />
      <text
        x={x + wide / 2}
        y={y + 25}
        textAnchor="middle"
        style={{ fill: "var(--sheet)", fontWeight: 600, fontSize: 20 }}
      >
        {words}
      </text>
    </g>
  );
}
