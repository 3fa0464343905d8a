import { msg } from "../../messages/messages";
import type { Api } from "../../api/client";
import { Hatches } from "../../marks/hatch";
import { usePreferences } from "../../shell/preferences";
import { length } from "../../units/units";
import { DamageMark } from "./damage-mark";
import { LeftRule, RULE, TopRule } from "./edge-rules";
import { litByZone, useLit } from "./lit";
import { BodyLine, CutLine, SideSwitch } from "./part-lines";
import { KeyMap, needsMap } from "./key-map";
import { type Projection, type ZoneKind, ringsPath } from "./projection";
import { type SpotMark, SpotMarks } from "./spot-marks";
import { ZONE_HATCH } from "./zone-hatch";
import { Labels, seenFrom } from "./zone-labels";
import { useId } from "react";

/** Zones to scale on the part, with a rule along two edges. */
export function FootprintDrawing({
  drawing,
  projection: p,
  width,
  height,
  labels,
  spots = [],
  onCut,
}: {
  drawing: Api["Drawing"];
  projection: Projection;
  width: number;
  height: number;
  /** Px of the label column; 0 for none. */
  labels: number;
  spots?: readonly SpotMark[];
  onCut?: (yMm: number) => void;
}) {
  const id = useId();
  const { system } = usePreferences();
  const { lit, light, side, setSide } = useLit();
  const litZone = drawing.zones.find((z) => z.kind === lit.zone);
  const twoSided = drawing.zones.some((z) => z.side === "BACK");
  const shown = litZone && litZone.kind !== "DAMAGE" ? litZone.side : side;
  const zones = seenFrom(drawing.zones, shown);
  // Largest first, so that what lies inside is drawn over what is around it.
  const outerFirst = [...zones].sort((a, b) => b.areaMm2 - a.areaMm2);
  const caption = outerFirst
    .filter((z) => z.pastMm > 0)
    .map((z) => msg("{word} {pastMm} past the damage", { word: z.word, pastMm: length(z.pastMm, system) }))
    .join(", ");
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="group"
      aria-label={msg("Footprint, to scale: {caption}", { caption })}
      onPointerLeave={() => light({})}
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
        {/* Where what is done is for spots, their depths are what counts. */}
        {drawing.damages
          .filter((d) => spots.length === 0 || d.kind !== "DENT")
          .map((d) => (
            <DamageMark key={d.index} damage={d} p={p} id={id} />
          ))}
        <SpotMarks spots={spots} p={p} />
      </g>
      <TopRule p={p} width={width} />
      <LeftRule p={p} height={height} />
      {labels > 0 && zones.length > 0 && (
        <Labels drawing={drawing} side={shown} p={p} width={width} height={height} column={labels} id={id} />
      )}
      <rect x="0" y="0" width={RULE} height={RULE} fill="var(--ground)" stroke="var(--ink)" strokeWidth="1.5" />
      <text x={RULE / 2} y={19} textAnchor="middle">
        {system === "metric" ? "mm" : "in"}
      </text>
      {needsMap(drawing, p) && p.height > LEAST_FOR_MAP && <KeyMap drawing={drawing} p={p} />}
      {twoSided && (
        <SideSwitch
          x={p.left + p.width - 4}
          y={p.top + p.height - 4}
          room={p.width - 8}
          shown={shown}
          turn={() => setSide(shown === "FACE" ? "BACK" : "FACE")}
        />
      )}
    </svg>
  );
}

/** Height of the field from which on the map hides nothing, px. */
const LEAST_FOR_MAP = 240;

const DASHED = new Set<ZoneKind>(["CLEAN", "BACK_CLEAN", "DAMAGE", "TAPE", "FACE_TAPE"]);
