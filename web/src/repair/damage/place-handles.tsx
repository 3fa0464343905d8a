import { msg } from "../../messages/messages";
import { useRef } from "react";
import { type Projection, px, py } from "../drawing/projection";
import type { DamageDraft } from "./fresh";
import { bearing, cornersOf, movedTo, ovalOf, type Spot, traced } from "./shape";

/** On small damage handles stand off this far from its middle, px. */
const FAR_PX = 46;

/** Damage in hand, and what becomes of it. */
interface Held {
  d: DamageDraft;
  p: Projection;
  /** Where on the part a finger is. */
  at: (e: { clientX: number; clientY: number }) => Spot;
  name: string;
  onChange: (next: Partial<DamageDraft>) => void;
}

/** What the damage in hand is dragged by. */
export function Handles({ d, p, at, name, onChange }: Held) {
  if (traced(d)) return <LineHandles {...{ d, p, at, name, onChange }} />;
  const o = ovalOf(d);
  const turn = (o.deg * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  // On small damage the handles stand off, so that one finger finds one of them.
  const far = (mm: number) => Math.max(mm, FAR_PX / p.perMm);
  const [long, broad] = [far(o.lengthMm / 2), far(o.widthMm / 2)];
  const end = { x: o.x + long * c, y: o.y + long * s };
  const flank = { x: o.x - broad * s, y: o.y + broad * c };
  const round = d.kind === "CHIP" || d.kind === "INJURY";
  const reach = (to: Spot, stood: number, was: number) =>
    Math.max(1, Math.round(2 * (was / 2 + Math.hypot(to.x - o.x, to.y - o.y) - stood)));
  return (
    <>
      <path
        d={`M${px(p, flank.x)} ${py(p, flank.y)}L${px(p, o.x)} ${py(p, o.y)}L${px(p, end.x)} ${py(p, end.y)}`}
        fill="none"
        stroke="var(--violet)"
        strokeWidth="1.5"
        strokeDasharray="4 3"
        pointerEvents="none"
      />
      <Handle
        p={p}
        at={at}
        spot={o}
        name={msg("{name}, middle", { name })}
        onTo={(to) => onChange(movedTo(d, to))}
        round
      />
      <Handle
        p={p}
        at={at}
        spot={end}
        name={msg("{name}, length", { name })}
        onTo={(to) => onChange({ lengthMm: reach(to, long, o.lengthMm), ...(!round && { angleDeg: bearing(o, to) }) })}
      />
      {!round && (
        <Handle
          p={p}
          at={at}
          spot={flank}
          name={msg("{name}, width", { name })}
          onTo={(to) => onChange({ widthMm: reach(to, broad, o.widthMm) })}
        />
      )}
    </>
  );
}

/** Each corner of a line, and a straight one whole; on a short one the handles stand off, so that one finger finds one of them. */
function LineHandles({ d, p, at, name, onChange }: Held) {
  const corners = cornersOf(d);
  const [a, b] = corners;
  const straightOne = corners.length === 2 && a && b;
  const off = standOff(straightOne ? [a, b] : undefined, FAR_PX / p.perMm);
  return (
    <>
      {straightOne && (
        <Handle
          p={p}
          at={at}
          spot={plus({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }, off.flank)}
          name={msg("{name}, whole", { name })}
          onTo={(to) => onChange(movedTo(d, plus(to, off.flank, -1)))}
          round
        />
      )}
      {corners.map((c, i) => {
        const stands = i === 0 ? -1 : i === corners.length - 1 ? 1 : 0;
        const put = (to: Spot) => {
          const real = plus(to, off.end, -stands);
          onChange({
            trace: corners.flatMap((x, k) => (k === i ? [Math.round(real.x), Math.round(real.y)] : [x.x, x.y])),
          });
        };
        return (
          <Handle
            key={i}
            p={p}
            at={at}
            spot={plus(c, off.end, stands)}
            name={
              i === 0
                ? msg("{name}, start", { name })
                : i === corners.length - 1
                  ? msg("{name}, end", { name })
                  : msg("{name}, corner {n}", { name, n: i + 1 })
            }
            onTo={put}
          />
        );
      })}
    </>
  );
}

const plus = (s: Spot, by: Spot, times = 1): Spot => ({ x: s.x + by.x * times, y: s.y + by.y * times });

/** How far the handles of a line stand off from its ends and from its middle, so that each is {@code farMm} from the next. */
function standOff(line: [Spot, Spot] | undefined, farMm: number): { end: Spot; flank: Spot } {
  const none = { end: { x: 0, y: 0 }, flank: { x: 0, y: 0 } };
  if (!line) return none;
  const [a, b] = line;
  const l = Math.hypot(b.x - a.x, b.y - a.y);
  const [dx, dy] = l === 0 ? [1, 0] : [(b.x - a.x) / l, (b.y - a.y) / l];
  const missing = Math.max(0, farMm - l / 2);
  const flank = l / 2 < 1.4 * farMm ? farMm : 0;
  return { end: { x: dx * missing, y: dy * missing }, flank: { x: -dy * flank, y: dx * flank } };
}

const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** A handle as large as a glove needs it; it goes where the finger goes, from where it was taken. */
function Handle({
  p,
  at,
  spot,
  name,
  round = false,
  onTo,
}: {
  p: Projection;
  at: (e: { clientX: number; clientY: number }) => Spot;
  spot: Spot;
  name: string;
  round?: boolean;
  onTo: (to: Spot) => void;
}) {
  const grip = useRef<Spot | undefined>(undefined);
  const [x, y] = [px(p, spot.x), py(p, spot.y)];
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={name}
      style={{ cursor: "grab", touchAction: "none" }}
      onPointerDown={(e) => {
        e.stopPropagation();
        e.currentTarget.setPointerCapture(e.pointerId);
        const took = at(e);
        grip.current = { x: took.x - spot.x, y: took.y - spot.y };
      }}
      onPointerMove={(e) => {
        if (!grip.current) return;
        const now = at(e);
        onTo({ x: now.x - grip.current.x, y: now.y - grip.current.y });
      }}
      onPointerUp={(e) => {
        e.stopPropagation();
        grip.current = undefined;
      }}
      onPointerCancel={() => (grip.current = undefined)}
      onKeyDown={(e) => {
        const step = STEPS[e.key];
        if (!step) return;
        e.preventDefault();
        const far = e.shiftKey ? 10 : 1;
        onTo({ x: spot.x + step[0] * far, y: spot.y + step[1] * far });
      }}
    >
      <circle cx={x} cy={y} r="28" fill="transparent" />
      {round ? (
        <circle cx={x} cy={y} r="9" fill="var(--sheet)" stroke="var(--violet)" strokeWidth="3" />
      ) : (
        <rect x={x - 9} y={y - 9} width="18" height="18" fill="var(--sheet)" stroke="var(--violet)" strokeWidth="3" />
      )}
    </g>
  );
}
