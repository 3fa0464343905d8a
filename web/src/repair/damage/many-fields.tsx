import { msg } from "../../messages/messages";
import { useState } from "react";
import { Choice, Measure } from "../../shell/field";
import { usePreferences } from "../../shell/preferences";
import { length } from "../../units/units";
import { type Projection, px, py } from "../drawing/projection";
import { CLASSES, FIRST, spread, type Stamp } from "./many";
import type { Spot } from "./shape";

/** Hail, ice, a car park: a class of size and a depth, then each is tapped on, or a field is drawn and counted. */
export function ManyFields({ stamp, onStamp }: { stamp: Stamp | undefined; onStamp: (s: Stamp | undefined) => void }) {
  const { system } = usePreferences();
  if (!stamp) {
    return (
      <button type="button" className="btn" onClick={() => onStamp(FIRST)}>
        {msg("Many small dings")}
      </button>
    );
  }
  return (
    <section className="firm flex flex-col gap-2 p-3 outline-3 outline-violet" aria-label={msg("Many small dings")}>
      <h3 className="hd">{msg("Many small dings")}</h3>
      <Choice
        label={msg("Each across, at most")}
        columns={3}
        value={String(stamp.acrossMm)}
        options={CLASSES.map((mm) => ({ value: String(mm), label: length(mm, system) }))}
        onChange={(mm) => onStamp({ ...stamp, acrossMm: Number(mm) })}
      />
      <Measure
        label={msg("Depth of each")}
        quantity="depth"
        value={stamp.depthMm}
        onChange={(depthMm) => onStamp({ ...stamp, depthMm })}
      />
      <Measure
        label={msg("How many in a drawn field")}
        quantity={{ unit: "" }}
        value={stamp.inField}
        onChange={(n) => onStamp({ ...stamp, inField: Math.max(1, Math.min(60, Math.round(n ?? 1))) })}
      />
      <p>{msg("Tap the drawing for each one, or draw a field over several.")}</p>
      <button type="button" className="btn go" onClick={() => onStamp(undefined)}>
        {msg("All are on")}
      </button>
    </section>
  );
}

const TAP_PX = 8;

/** What lies over the drawing while dings are tapped on: a tap is one, a field that is drawn holds as many as were counted. */
export function StampLayer({
  stamp,
  p,
  at,
  width,
  height,
  onSpots,
}: {
  stamp: Stamp;
  p: Projection;
  at: (e: { clientX: number; clientY: number }) => Spot;
  width: number;
  height: number;
  onSpots: (spots: Spot[]) => void;
}) {
  const [hand, setHand] = useState<{ from: Spot; to: Spot; x: number; y: number; drawn: boolean }>();
  const spots = hand ? (hand.drawn ? spread(hand.from, hand.to, stamp.inField) : [hand.from]) : [];
  return (
    <g>
      {hand?.drawn && (
        <rect
          x={Math.min(px(p, hand.from.x), px(p, hand.to.x))}
          y={Math.min(py(p, hand.from.y), py(p, hand.to.y))}
          width={Math.abs(px(p, hand.to.x) - px(p, hand.from.x))}
          height={Math.abs(py(p, hand.to.y) - py(p, hand.from.y))}
          fill="none"
          stroke="var(--violet)"
          strokeWidth="3"
          strokeDasharray="8 5"
        />
      )}
      {spots.map((s, i) => (
        <circle
          key={i}
          cx={px(p, s.x)}
          cy={py(p, s.y)}
          r={(stamp.acrossMm / 2) * p.perMm}
          fill="none"
          stroke="var(--violet)"
          strokeWidth="3"
        />
      ))}
      <rect
        width={width}
        height={height}
        fill="transparent"
        style={{ cursor: "crosshair", touchAction: "none" }}
        data-stamp
        onPointerDown={(e) => {
          e.stopPropagation();
          e.currentTarget.setPointerCapture(e.pointerId);
          const from = at(e);
          setHand({ from, to: from, x: e.clientX, y: e.clientY, drawn: false });
        }}
        onPointerMove={(e) => {
          if (!hand) return;
          const drawn = hand.drawn || Math.hypot(e.clientX - hand.x, e.clientY - hand.y) >= TAP_PX;
          setHand({ ...hand, to: at(e), drawn });
        }}
        onPointerUp={() => {
          if (hand) onSpots(spots);
          setHand(undefined);
        }}
        onPointerCancel={() => setHand(undefined)}
      />
    </g>
  );
}
