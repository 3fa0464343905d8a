import { useId } from "react";
import type { Api } from "../api/client";
import { Hatches } from "./hatch";
import { minuteTicks } from "./rule";

/** Which way a clock bites: a deadline that runs out, or an earliest time that comes. */
export const isDeadline = (clock: Api["LiveClock"]) => clock.kind === "BY";

/** Seconds left of a clock; undefined where it never ends. */
export const secondsLeft = (clock: Api["LiveClock"], now: number) =>
  clock.endsAt ? (Date.parse(clock.endsAt) - now) / 1000 : undefined;

/**
 * A live clock as a rule used up from the left: the used part is cut away to a dotted line, ticks read minutes left, a red post is a
 * "by", an ink post a "from".
 */
export function ClockRule({
  clock,
  now,
  width,
  height,
  numbers = false,
}: {
  clock: Api["LiveClock"];
  now: number;
  width: number;
  height: number;
  numbers?: boolean;
}) {
  const id = useId();
  const start = Date.parse(clock.startedAt);
  const end = clock.endsAt ? Date.parse(clock.endsAt) : now + 60_000;
  const span = Math.max(1, end - start);
  const used = Math.min(1, Math.max(0, (now - start) / span));
  const post = height > 30 ? 9 : 5;
  const right = width - post;
  const x = used * right;
  const minutesLeft = (end - Math.max(now, start)) / 60_000;
  const perMinute = right / (span / 60_000);
  const by = isDeadline(clock);
  return (
    <svg width={width} height={height} aria-hidden="true">
      <Hatches id={id} />
      <path d={`M0 ${height - 2}H${x}`} stroke="currentColor" strokeWidth="2" strokeDasharray="2 4" />
      {minutesLeft > 0 && (
        <>
          <rect
            x={x}
            y={0.75}
            width={Math.max(0, right - x)}
            height={height - 1.5}
            fill={by ? "var(--sheet)" : `url(#${id}-wait)`}
            stroke="var(--ink)"
            strokeWidth="1.5"
          />
          {minuteTicks(0, minutesLeft, perMinute).map((t) => {
            const at = right - t.at * perMinute;
            const size = t.size === "long" ? 0.5 : t.size === "middle" ? 0.36 : 0.22;
            return (
              <g key={t.at}>
                <path
                  d={`M${at} 0V${height * size}`}
                  stroke={by ? "var(--ink)" : "var(--on-tape)"}
                  strokeWidth={t.size === "short" ? 1 : 1.6}
                />
                {numbers && t.label && at - x > 34 && (
                  <text
                    x={at - 6}
                    y={height * 0.5 + 16}
                    textAnchor="end"
                    fontSize="20"
                    style={{ fontSize: 20, fill: by ? "var(--ink)" : "var(--on-tape)" }}
                  >
                    {t.label}
                  </text>
                )}
              </g>
            );
          })}
          <rect x={x - 1.5} y={0} width={3} height={height} fill={by ? "var(--ink)" : "var(--on-tape)"} />
        </>
      )}
      <rect x={right} y={0} width={post} height={height} fill={by ? "var(--oxide)" : "var(--ink)"} />
    </svg>
  );
}
