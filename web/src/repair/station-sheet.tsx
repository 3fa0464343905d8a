import { memo } from "react";
import type { Api } from "../api/client";
import type { Chosen } from "./damage/chosen";
import { DamageStation } from "./damage/damage";
import { FootprintStation } from "./footprint/footprint";
import { PartStation } from "./part/part";
import { atSite, bySite, pickedSite, SitePick } from "./sites";
import { StackStation } from "./stack/stack";
import { type AtWork, WORDS } from "./stations";
import { StepsStation } from "./steps/steps";
import type { DraftOnScreen } from "./use-draft";
import { VerdictStation } from "./verdict/verdict";

/** What every sheet of a repair's station is built from. */
export interface OfRepair {
  id: number;
  on: DraftOnScreen;
  frozen: boolean;
  hand: Chosen;
  /** What was computed last, of the whole part. */
  whole: Api["Workup"] | undefined;
  /** The site that was picked last, where the part has several. */
  site: string | undefined;
  onSite: (site: string | undefined) => void;
  /** How a narrow screen has it. */
  className: string;
}

/** What is typed or read at one station. Built anew only where something of it changed: turning to another station is nothing to it. */
export const StationSheet = memo(function StationSheet({
  station,
  id,
  on,
  frozen,
  hand,
  whole,
  site,
  onSite,
  className,
}: OfRepair & { station: AtWork }) {
  const sites = whole?.sites ?? [];
  const picked = pickedSite(sites, site, station);
  const workup = on.workup && atSite(on.workup, picked);
  return (
    <section
      className={`print-flow min-h-0 ${station === "steps" ? "min-w-0 flex-1" : "bg-sheet relative overflow-y-auto max-[1099px]:flex-1 min-[1100px]:w-[264px] min-[1100px]:shrink-0 min-[1100px]:firm-r"} ${className}`}
      aria-label={WORDS[station]}
    >
      {bySite(station) && <SitePick sites={sites} at={picked} whole={false} onPick={onSite} />}
      {station === "part" && <PartStation id={id} on={on} frozen={frozen} />}
      {station === "damage" && <DamageStation on={on} frozen={frozen} hand={hand} />}
      {station === "verdict" && <VerdictStation on={on} workup={on.workup} id={id} />}
      {station === "stack" && (
        <StackStation
          on={on}
          workup={workup}
          frozen={frozen}
          site={picked === undefined ? undefined : sites.findIndex((s) => s.id === picked)}
        />
      )}
      {station === "footprint" && <FootprintStation on={on} workup={workup} frozen={frozen} />}
      {station === "steps" && <StepsStation on={on} workup={on.workup} frozen={frozen} id={id} />}
    </section>
  );
});
