import { msg } from "../../messages/messages";
import { useId, useMemo } from "react";
import type { Api } from "../../api/client";
import { Hatches, type HatchName } from "../../marks/hatch";
import { heightTicks } from "../../marks/rule";
import { usePreferences } from "../../shell/preferences";
import { length, micrometres } from "../../units/units";
import { Leader } from "./leader";
import { type Dot, placed } from "./leaders";
import { litByLayer, useLit } from "./lit";
import { crossings, type Projection, px, type ZoneKind } from "./projection";

const RULE = 28;
const HEAD = 30;
const MOST_EXAGGERATION = 40;
const FILM_MM = 0.6;
/** Least height of a label, px. */
const LABEL = 19;

/** Layers to label from the top down; where not all fit, bond lines go first, then the plies between the first and the last. */
function labelled(layers: readonly Api["Layer"][], most: number): Api["Layer"][] {
  const top = [...layers].reverse();
  if (top.length <= most) return top;
  const noBonds = top.filter((l) => l.kind !== "BOND");
  if (noBonds.length <= most) return noBonds;
  const plies = noBonds.filter((l) => l.kind === "PLY");
  return noBonds.filter((l) => !plies.includes(l) || l === plies[0] || l === plies.at(-1));
}

/** As narrow as the rule; one that does not fit it is left to the ticks. */
const heightLabel = (label: string) => label.replace(/^(-?)0\./, "$1.").replace("-", "−");

/** Thickness in the unit the bench would use: µm for coats, mm or inches for the rest. */
function thickness(mm: number, system: "metric" | "inch"): string {
  return mm < 0.2 ? micrometres(mm * 1000) : length(mm, system, "depth");
}

/** The cut A–A; widths on the footprint's scale, heights drawn larger by a factor that is printed. */
export function SectionDrawing({
  drawing,
  section: s,
  projection,
  width,
  height,
  labels,
}: {
  drawing: Api["Drawing"];
  section: Api["Section"];
  projection: Projection;
  width: number;
  height: number;
  labels: number;
}) {
  const id = useId();
  const { system } = usePreferences();
  const { lit, light, heights } = useLit();
  const field = { top: HEAD + 4, height: Math.max(20, height - HEAD - 14) };
  // A film is a hundred times thinner than a panel: it has its own scale.
  const film = s.highestMm - s.lowestMm < FILM_MM;
  const range = Math.max(0.05, s.highestMm - s.lowestMm);
  const most = Math.max(1, Math.floor(field.height / range / projection.perMm));
  const exaggeration = Math.min(heights > 0 ? heights : film ? most : MOST_EXAGGERATION, most);
  const perMm = Math.min(projection.perMm * exaggeration, field.height / range);
  const z = (mm: number) => field.top + (s.highestMm - mm) * perMm + (field.height - range * perMm) / 2;
  const x = (mm: number) => px(projection, mm);
  const path = (xz: readonly number[]) => {
    let d = "";
    for (let i = 0; i + 1 < xz.length; i += 2) {
      d += `${i === 0 ? "M" : "L"}${x(xz[i] ?? 0).toFixed(1)} ${z(xz[i + 1] ?? 0).toFixed(1)}`;
    }
    return d;
  };
  const drops = useMemo(() => {
    const shown: ZoneKind[] = [
      "DAMAGE",
      "FILLER",
      "FEATHER",
      "PUTTY",
      "DULLED",
      "DISH",
      "RING_180",
      "SHIELD",
      "CHANNEL",
      "GROOVE",
    ];
    return drawing.zones.filter((d) => shown.includes(d.kind)).flatMap((d) => crossings(d.rings, s.cutYMm).flat());
  }, [drawing.zones, s.cutYMm]);
  const top = useMemo(() => labelled(s.layers, Math.floor((height - HEAD - 4) / LABEL)), [s.layers, height]);
  const step = Math.min(38, (height - HEAD - 4) / Math.max(1, top.length));
  const left = width - labels;
  const ends = useMemo(() => {
    if (labels === 0) return [];
    const [near, far] = [projection.left + 6, projection.left + projection.width - 6];
    return placed(
      top.map((l, i) => ({
        port: { x: left, y: HEAD + 4 + step * (i + 0.5) },
        ends: inside(l.xz)
          .map((o) => ({ x: px(projection, o.x), y: z(o.z) }))
          .filter((o) => o.x > near && o.x < far),
      })),
      straight,
    );
    // eslint-disable-next-line react-hooks/exhaustive-deps -- z follows from what is listed
  }, [top, projection, labels, left, step, height, perMm]);
  const caption = [...s.layers]
    .reverse()
    .map((l) => `${l.word} ${thickness(l.thickestMm, system)}`)
    .join(", ");
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="group"
      aria-label={msg("Section A to A, from the top: {caption}", { caption })}
      onPointerLeave={() => light({})}
    >
      <Hatches id={id} />
      {drops.map((d, i) => (
        <path key={i} d={`M${x(d)} 0V${height}`} stroke="var(--tick)" strokeWidth="1" strokeDasharray="2 4" />
      ))}
      <rect x="0" y="0" width={RULE} height={height} fill="var(--ground)" />
      <text x="14" y="16" textAnchor="middle" style={{ fill: "var(--muted)" }}>
        {system === "metric" ? "mm" : "in"}
      </text>
      <path d={`M${RULE} 0V${height}M0 0.75H${width}`} stroke="var(--ink)" strokeWidth="1.5" />
      <text
        x={RULE + 8}
        y={20}
        style={{ fontWeight: 700, fontSize: 15 }}
        stroke="var(--sheet)"
        strokeWidth="4"
        paintOrder="stroke"
      >
        {msg("Section A to A")}
        <tspan style={{ fontWeight: 500, fill: "var(--muted)", fontSize: 14 }} dx="10">
          {msg("heights × {exaggeration}", { exaggeration })}
          {width > 420 &&
            s.proudMm > 0.001 &&
            `, ${msg("proud {height} as spread", { height: length(s.proudMm, system, "depth") })}`}
        </tspan>
      </text>
      {heightTicks(s.lowestMm, s.highestMm, perMm, system).map((t) => (
        <g key={t.at}>
          <path
            d={`M${RULE} ${z(t.at)}h${t.label && heightLabel(t.label).length > 2 ? -3 : t.size === "long" ? -8 : -5}`}
            stroke="var(--tick)"
            strokeWidth={t.size === "long" ? 1.6 : 1}
          />
          {t.label && heightLabel(t.label).length <= 4 && z(t.at) > HEAD && z(t.at) < height - 4 && (
            <text x="2" y={z(t.at) + 5} style={{ fontWeight: 600 }}>
              {heightLabel(t.label)}
            </text>
          )}
        </g>
      ))}
      <clipPath id={`${id}-cut`}>
        <rect x={projection.left} y="0" width={projection.width} height={height} />
      </clipPath>
      {s.layers.map((l) => (
        <path
          key={l.id}
          clipPath={`url(#${id}-cut)`}
          d={`${path(l.xz)}Z`}
          fill={`url(#${id}-${l.hatch as HatchName})`}
          stroke={lit.layer === l.id ? "var(--violet)" : "var(--ink)"}
          strokeWidth={lit.layer === l.id ? 4 : 1.2}
          strokeLinejoin="round"
          onPointerEnter={() => light(litByLayer(l.id))}
        />
      ))}
      <path d={path(s.proud)} fill="none" stroke="var(--ink)" strokeWidth="1.5" strokeDasharray="5 4" />
      {labels > 0 &&
        top.map((l, i) => {
          const y = ends[i]?.port.y ?? HEAD + 4 + step * (i + 0.5);
          const at = ends[i]?.end;
          const on = lit.layer === l.id;
          return (
            <g key={l.id} onPointerEnter={() => light(litByLayer(l.id))}>
              {at && <Leader path={straight({ x: left, y }, at)} lit={on} />}
              <rect
                x={left}
                y={y - step / 2 + 1}
                width={labels - 4}
                height={step - 2}
                fill="var(--sheet)"
                stroke={on ? "var(--violet)" : "transparent"}
                strokeWidth="3"
              />
              <rect
                x={left + 8}
                y={y - 9}
                width="18"
                height="18"
                fill={`url(#${id}-${l.hatch as HatchName})`}
                stroke="var(--ink)"
                strokeWidth="1.5"
              />
              <text x={left + 34} y={y + 5} style={{ fontWeight: 700, fontSize: 15 }}>
                {l.word}
              </text>
              <text x={width - 12} y={y + 5} textAnchor="end" style={{ fontWeight: 600, fontSize: 16 }}>
                {thickness(l.thickestMm, system)}
              </text>
            </g>
          );
        })}
    </svg>
  );
}

/** Points inside a layer where a leader can end, those right of its middle and where it is thick first: tops run left to right, then bottoms back. */
function inside(xz: readonly number[]): { x: number; z: number }[] {
  const n = xz.length / 4;
  const out: { x: number; z: number; thick: number; off: number }[] = [];
  for (let i = 0; i < n; i++) {
    const [above = 0, below = 0] = [xz[2 * i + 1], xz[xz.length - 2 * i - 1]];
    out.push({ x: xz[2 * i] ?? 0, z: (above + below) / 2, thick: above - below, off: Math.abs(i / n - 0.7) });
  }
  const most = Math.max(...out.map((o) => o.thick));
  return out
    .filter((o) => o.thick > most * 0.15)
    .sort((a, b) => b.thick / most - b.off - (a.thick / most - a.off))
    .filter((_, i, all) => i % Math.ceil(all.length / ENDS) === 0);
}

/** As many ends as are tried for one leader. */
const ENDS = 30;

const straight = (port: Dot, end: Dot): Dot[] => [port, { x: port.x - 10, y: port.y }, end];
