import { type ReactNode, useId } from "react";
import { Hatches, type HatchName } from "./hatch";

/** What a picture is filled with: a hatch of the stuff, known from the drawings. */
export type Fill = (hatch: HatchName) => string;

/** A small picture in ink and hatches. It stands beside words that say the same. */
export function Picture({ box, draw }: { box: string; draw: (fill: Fill) => ReactNode }) {
  const id = useId();
  return (
    <svg
      viewBox={box}
      className="h-full max-h-18 w-full"
      fill="none"
      stroke="var(--ink)"
      strokeWidth="1.8"
      aria-hidden="true"
    >
      <Hatches id={id} />
      {draw((hatch) => `url(#${id}-${hatch})`)}
    </svg>
  );
}
