import type { Api } from "../../api/client";

const WIDTH = 200;
const HOURS = [1, 2, 6, 12, 24];
const MOST_TICKS = 12;

/** Where a step lies on the plan's rule of hours: hands on solid, waiting hatched. */
export function HourBar({ planned, totalMin }: { planned: Api["PlannedStep"]; totalMin: number }) {
  const { step, earliestMin } = planned;
  const total = Math.max(1, totalMin);
  const x = (min: number) => (min / total) * WIDTH;
  const wait = step.kind === "WAIT" ? (step.clock?.minutes ?? 0) : 0;
  const tick = 60 * (HOURS.find((h) => total / 60 / h <= MOST_TICKS) ?? 48);
  const ticks = Array.from({ length: Math.floor(total / tick) + 1 }, (_, i) => i * tick);
  return (
    <svg viewBox={`0 0 ${WIDTH} 16`} className="mt-1 h-4 w-full max-w-52" preserveAspectRatio="none" aria-hidden="true">
      <path d={`M0 15.5H${WIDTH}`} stroke="var(--tick)" />
      {ticks.map((t) => (
        <path key={t} d={`M${x(t)} 16v-5`} stroke="var(--tick)" vectorEffect="non-scaling-stroke" />
      ))}
      <rect x={x(earliestMin)} y="3" width={Math.max(2, x(step.activeMin))} height="9" fill="var(--pine)" />
      {wait > 0 && (
        <rect
          x={x(earliestMin)}
          y="3"
          width={Math.max(2, x(wait))}
          height="9"
          fill="var(--tape)"
          stroke="var(--ink)"
          vectorEffect="non-scaling-stroke"
        />
      )}
    </svg>
  );
}
