import { msg } from "../../messages/messages";
import { useBench, useRules } from "../../api/queries";
import { Choice, Measure, problemAt } from "../../shell/field";
import { MomentField } from "../../shell/day-field";
import { PlaceDialog, placeSaid } from "../../shell/place-dialog";
import type { DraftOnScreen } from "../use-draft";

const WAYS = ["N", "NE", "E", "SE", "S", "SW", "W", "NW"] as const;
const A_WAY = 360 / WAYS.length;

/** When, where and how a pane meets the light: what its minutes in the sun rest on. */
export function DaylightFields({ on, frozen }: { on: DraftOnScreen; frozen: boolean }) {
  const shop = useBench().data?.shop;
  const lead = useRules().data?.mayTurn === true;
  const pane = on.draft?.pane;
  const faces = pane?.facesDeg === undefined ? undefined : WAYS[Math.round(pane.facesDeg / A_WAY) % WAYS.length];
  return (
    <div className="mt-2 grid grid-cols-[repeat(auto-fill,minmax(220px,1fr))] items-end gap-x-4 gap-y-2">
      <MomentField
        label={msg("Light on it")}
        value={on.draft?.lightAt}
        disabled={frozen}
        onChange={(lightAt) => on.change((d) => ({ ...d, lightAt }))}
      />
      <Choice
        label={msg("Vehicle faces")}
        value={faces}
        options={WAYS.map((w) => ({ value: w, label: w }))}
        columns={4}
        disabled={frozen}
        onChange={(w) => on.change((d) => ({ ...d, pane: { ...d.pane, facesDeg: WAYS.indexOf(w) * A_WAY } }))}
      />
      <Measure
        label={msg("Pane leans, from level")}
        quantity={{ unit: "°" }}
        value={pane?.slopeDeg}
        disabled={frozen}
        problem={problemAt(on.problems, "pane.slopeDeg")}
        onChange={(slopeDeg) => on.change((d) => ({ ...d, pane: { ...d.pane, slopeDeg } }))}
      />
      {shop && (
        <p className="lab">
          {msg("Shop at {place}", { place: placeSaid(shop.place) })}
          {lead && !frozen && (
            <PlaceDialog place={shop.place}>
              <button type="button" className="firm ml-2 min-h-14 px-4 font-bold text-ink">
                {msg("Change")}
              </button>
            </PlaceDialog>
          )}
        </p>
      )}
    </div>
  );
}
