import { type PointerEvent as ReactPointerEvent, type ReactNode, type RefObject, useId } from "react";
import { msg } from "../../messages/messages";
import type { Api } from "../../api/client";
import { Hatches } from "../../marks/hatch";
import { usePreferences } from "../../shell/preferences";
import { length } from "../../units/units";
import { LeftRule, RULE, TopRule } from "../drawing/edge-rules";
import { fitBox, type Projection, px, py, ringsPath } from "../drawing/projection";
import { Plate, type SpotMark, SpotMarks } from "../drawing/spot-marks";

type Film = Api["FilmMap"];

const MARGIN_MM = 12;
/** Grains touch where this much lies, mm: the most that is ever left on metal. */
const FULL_MM = 6;

/** The field that a film map is looked at in: all that lies there, the spots and the ground they lie on. */
export function fieldOf(
  drawing: Api["Drawing"],
  film: Film | undefined,
  zone: Api["DrawnZone"] | undefined,
  field: { left: number; top: number; width: number; height: number },
): Projection {
  const xy = [
    ...(zone?.rings.flatMap((r) => r.xy) ?? []),
    ...drawing.damages.flatMap((d) => d.rings.flatMap((r) => r.xy)),
    ...(film
      ? [
          film.x0Mm,
          film.y0Mm,
          film.x0Mm + film.columns * film.cellMm,
          film.y0Mm + (film.thickMm.length / film.columns) * film.cellMm,
        ]
      : []),
  ];
  const [xs, ys] = [xy.filter((_, i) => i % 2 === 0), xy.filter((_, i) => i % 2 === 1)];
  const box =
    xs.length > 0
      ? { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) }
      : { x0: 0, y0: 0, x1: drawing.widthMm, y1: drawing.heightMm };
  return fitBox(box, MARGIN_MM, field);
}

const alternate = (zone: Api["DrawnZone"], from: 0 | 1) =>
  zone.rings.flatMap((r) => r.xy.filter((_, i) => i % 2 === from));
const lowest = (zone: Api["DrawnZone"]) => Math.min(...alternate(zone, 1));
const middle = (zone: Api["DrawnZone"]) => {
  const xs = alternate(zone, 0);
  return (Math.min(...xs) + Math.max(...xs)) / 2;
};

/** One grain a cell, as large as what lies there is thick. */
function grains(film: Film, p: Projection): string {
  const most = (film.cellMm * p.perMm) / 2;
  return film.thickMm
    .map((mm, i) => {
      if (mm <= 0) return "";
      const x = px(p, film.x0Mm + ((i % film.columns) + 0.5) * film.cellMm);
      const y = py(p, film.y0Mm + (Math.floor(i / film.columns) + 0.5) * film.cellMm);
      const r = most * Math.sqrt(Math.min(1, mm / FULL_MM));
      return `M${(x - r).toFixed(1)} ${y.toFixed(1)}a${r.toFixed(1)} ${r.toFixed(1)} 0 1 0 ${(2 * r).toFixed(1)} 0a${r.toFixed(1)} ${r.toFixed(1)} 0 1 0 ${(-2 * r).toFixed(1)} 0`;
    })
    .join("");
}

/** What lies where, to scale: the larger the grain the thicker, with the spots that gates found. */
export function FilmPicture({
  drawing,
  film,
  zone,
  spots,
  p,
  width,
  height,
  children,
  svg,
  onDown,
  onMove,
  onUp,
}: {
  drawing: Api["Drawing"];
  film: Film | undefined;
  /** The ground that is sanded where the gate looks. */
  zone: Api["DrawnZone"] | undefined;
  spots: readonly SpotMark[];
  p: Projection;
  width: number;
  height: number;
  /** What is drawn over it. */
  children?: ReactNode;
  svg?: RefObject<SVGSVGElement | null>;
  onDown?: (e: ReactPointerEvent) => void;
  onMove?: (e: ReactPointerEvent) => void;
  onUp?: () => void;
}) {
  const id = useId();
  const { system } = usePreferences();
  return (
    <svg
      ref={svg}
      width={width}
      height={height}
      role="group"
      aria-label={msg("What lies where, to scale")}
      style={onDown && { touchAction: "none", cursor: "crosshair" }}
      onPointerDown={onDown}
      onPointerMove={onMove}
      onPointerUp={onUp}
      onPointerCancel={onUp}
    >
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
        {zone && (
          <path
            d={ringsPath(p, zone.rings)}
            fillRule="evenodd"
            fill="none"
            stroke="var(--ink)"
            strokeWidth="1.5"
            strokeDasharray="6 5"
          />
        )}
        {film && <path d={grains(film, p)} fill="var(--fill-grain)" />}
        {drawing.damages.map((d) => (
          <path
            key={d.index}
            d={ringsPath(p, d.rings)}
            fillRule="evenodd"
            fill="none"
            stroke="var(--ink)"
            strokeWidth="2"
          />
        ))}
        <SpotMarks spots={spots} p={p} />
        {zone && <Plate x={px(p, middle(zone))} y={py(p, lowest(zone)) - 14} words={zone.word} p={p} />}
        {children}
        {film?.thickest && spots.length === 0 && !children && (
          <Plate
            x={px(p, film.thickest.xMm)}
            y={py(p, film.thickest.yMm)}
            words={length(film.thickest.mm, system, "depth")}
            p={p}
          />
        )}
      </g>
      <TopRule p={p} width={width} />
      <LeftRule p={p} height={height} />
      <rect x="0" y="0" width={RULE} height={RULE} fill="var(--ground)" stroke="var(--ink)" strokeWidth="1.5" />
      <text x={RULE / 2} y={19} textAnchor="middle">
        {system === "metric" ? "mm" : "in"}
      </text>
    </svg>
  );
}
