import { msg } from "../messages/messages";
import { type ReactNode, useState } from "react";
import { ask, type Api } from "../api/client";
import { keys, queryClient, useZone } from "../api/queries";
import { LiveFigureLine } from "../devices/live-figure";
import { dayAndTime, temperature } from "../units/units";
import { Measure, problemAt } from "./field";
import { FormDialog } from "./form-dialog";
import { usePreferences } from "./preferences";

/** The shop's air, typed in: every dose window and clock follows it. */
export function AirDialog({ shop, children }: { shop: Api["ShopView"]; children: ReactNode }) {
  const { system } = usePreferences();
  const zone = useZone();
  const [draft, setDraft] = useState<Api["AirDraft"]>({});
  const set = (next: Api["AirDraft"]) => setDraft((d) => ({ ...d, ...next }));
  return (
    <FormDialog
      title={msg("Shop air")}
      told={msg("Read at the bench, not at the door. Last typed {typedAt}; dew point {dewPointC}.", {
        typedAt: dayAndTime(shop.typedAt, zone),
        dewPointC: temperature(shop.dewPointC, system),
      })}
      act={msg("Take this air")}
      trigger={children}
      onOpen={() => setDraft({ tempC: shop.tempC, rhPercent: shop.rhPercent })}
      send={async () => {
        await ask<Api["ShopView"]>("/api/shop/air", { method: "PUT", body: draft });
        await queryClient.invalidateQueries({ queryKey: keys.bench });
      }}
    >
      {(problems) => (
        <>
          <Measure
            label={msg("Air")}
            quantity="temperature"
            value={draft.tempC}
            problem={problemAt(problems, "air.tempC")}
            onChange={(tempC) => set({ tempC })}
          />
          <Measure
            label={msg("Relative humidity")}
            quantity={{ unit: "%" }}
            value={draft.rhPercent}
            problem={problemAt(problems, "air.rhPercent")}
            onChange={(rhPercent) => set({ rhPercent })}
          />
          <LiveFigureLine ask="AIR_C" verb={msg("Put in")} onTake={(tempC) => set({ tempC })} />
          <LiveFigureLine ask="RH_PERCENT" verb={msg("Put in")} onTake={(rhPercent) => set({ rhPercent })} />
        </>
      )}
    </FormDialog>
  );
}
