import { memo, useCallback } from "react";
import { msg } from "../messages/messages";
import { Place } from "./damage/place";
import { DrawingPair } from "./drawing/drawing-pair";
import { Kept } from "./kept";
import { Refused } from "./refused";
import { atSite, bySite, pickedSite, type Site, SitePick } from "./sites";
import type { OfRepair } from "./station-sheet";
import type { AtWork } from "./stations";

/** Under the row of sites what stands beside the drawing needs its height still: on a narrow screen the sheet scrolls. */
const scrolling = (sites: readonly Site[]) => (sites.length > 0 ? "max-[1099px]:overflow-y-auto" : "");
const highEnough = (sites: readonly Site[]) =>
  `flex-1 ${sites.length > 0 ? "max-[1099px]:min-h-[440px] max-[1099px]:shrink-0 min-[1100px]:min-h-0" : "min-h-0"}`;

/** The drawing beside what is typed: the part to put damage on, or footprint over section. Stations that show the same share one. */
export const DrawingSheet = memo(function DrawingSheet({
  station,
  id,
  on,
  frozen,
  hand,
  whole,
  site,
  onSite,
  early,
  className,
}: OfRepair & {
  station: Exclude<AtWork, "steps">;
  /** Whether what is not shown is built too. */
  early: boolean;
}) {
  const { change } = on;
  const cut = useCallback((cutYMm: number) => change((d) => ({ ...d, cutYMm })), [change]);
  const sites = whole?.sites ?? [];
  const picked = pickedSite(sites, site, station);
  const workup = whole && atSite(whole, picked);
  const puts = (station === "damage" || (station === "part" && !workup)) && !frozen;
  return (
    <section
      className={`bg-sheet flex min-h-0 min-w-0 flex-col ${scrolling(sites)} print-flow flex-1 ${className}`}
      aria-label={msg("Drawing")}
    >
      {station !== "damage" && (
        // Where there is room the column beside it has the sites of stack and footprint.
        <div className={bySite(station) ? "min-[1100px]:hidden" : ""}>
          <SitePick sites={sites} at={picked} whole={!bySite(station)} onPick={onSite} />
        </div>
      )}
      <div className={`print-flow ${highEnough(sites)}`}>
        <Kept shown={puts} early={early && !frozen}>
          <Place id={id} on={on} hand={hand} />
        </Kept>
        <Kept shown={!puts} early={early}>
          {workup ? (
            <DrawingPair
              drawing={workup.drawing}
              labels={226}
              stale={!on.workup}
              onCut={station === "footprint" && !frozen ? cut : undefined}
            />
          ) : (
            <div className="grid h-full place-items-center p-8 text-center">
              <p className="text-20 max-w-96">
                {msg("The drawing appears as soon as the part has its size and one damage has its place and size.")}
              </p>
            </div>
          )}
        </Kept>
      </div>
      {workup && <Refused workup={workup} />}
    </section>
  );
});

/** The drawing beside the steps, narrow, with the whole of its height. */
export const StepsDrawing = memo(function StepsDrawing({
  whole,
  stale,
  site,
  onSite,
  className,
}: Pick<OfRepair, "whole" | "site" | "onSite" | "className"> & { stale: boolean }) {
  const sites = whole?.sites ?? [];
  const picked = pickedSite(sites, site, "steps");
  const workup = whole && atSite(whole, picked);
  return (
    <section
      className={`bg-sheet no-print flex min-h-0 min-w-0 flex-col ${scrolling(sites)} max-[1099px]:flex-1 min-[1100px]:firm-l min-[1100px]:w-[332px] min-[1100px]:shrink-0 ${className}`}
      aria-label={msg("Drawing")}
    >
      <SitePick sites={sites} at={picked} whole onPick={onSite} />
      <div className={highEnough(sites)}>
        {workup && <DrawingPair drawing={workup.drawing} sectionShare={0.32} stale={stale} />}
      </div>
    </section>
  );
});
