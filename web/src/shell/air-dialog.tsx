import { type ReactNode, useState } from "react";
import { ask, type Api, Problem } from "../api/client";
import { keys, queryClient, useZone } from "../api/queries";
import { LiveFigureLine } from "../devices/live-figure";
import { dayAndTime, temperature } from "../units/units";
import { Measure, problemAt } from "./field";
import { usePreferences } from "./preferences";
import { SheetDialog } from "./sheet-dialog";

/** The shop's air, typed in: every dose window and clock follows it. */
export function AirDialog({ shop, children }: { shop: Api["ShopView"]; children: ReactNode }) {
  const { system } = usePreferences();
  const zone = useZone();
  const [open, setOpen] = useState(false);
  const [draft, setDraft] = useState<Api["AirDraft"]>({});
  const [problems, setProblems] = useState<Api["InputProblem"][]>([]);
  const [refused, setRefused] = useState("");
  const set = (next: Api["AirDraft"]) => setDraft((d) => ({ ...d, ...next }));
  const save = async () => {
    try {
      await ask<Api["ShopView"]>("/api/shop/air", { method: "PUT", body: draft });
      await queryClient.invalidateQueries({ queryKey: keys.bench });
      setOpen(false);
    } catch (e) {
      setProblems(
        e instanceof Problem && Array.isArray(e.more.problems) ? (e.more.problems as Api["InputProblem"][]) : [],
      );
      setRefused(e instanceof Error ? e.message : String(e));
    }
  };
  return (
    <SheetDialog
      title="Shop air"
      told={`Read at the bench, not at the door. Last typed ${dayAndTime(shop.typedAt, zone)}; dew point ${temperature(shop.dewPointC, system)}.`}
      trigger={children}
      open={open}
      onOpenChange={(next) => {
        setOpen(next);
        setDraft({ tempC: shop.tempC, rhPercent: shop.rhPercent });
        setProblems([]);
        setRefused("");
      }}
    >
      <form
        className="flex flex-col gap-4"
        onSubmit={(e) => {
          e.preventDefault();
          void save();
        }}
      >
        <Measure
          label="Air"
          quantity="temperature"
          value={draft.tempC}
          problem={problemAt(problems, "air.tempC")}
          onChange={(tempC) => set({ tempC })}
        />
        <Measure
          label="Relative humidity"
          quantity={{ unit: "%" }}
          value={draft.rhPercent}
          problem={problemAt(problems, "air.rhPercent")}
          onChange={(rhPercent) => set({ rhPercent })}
        />
        {open && (
          <>
            <LiveFigureLine ask="AIR_C" verb="Put in" onTake={(tempC) => set({ tempC })} />
            <LiveFigureLine ask="RH_PERCENT" verb="Put in" onTake={(rhPercent) => set({ rhPercent })} />
          </>
        )}
        {refused && problems.length === 0 && (
          <p role="alert" className="text-oxide-text font-bold">
            {refused}
          </p>
        )}
        <button className="btn go">Take this air</button>
      </form>
    </SheetDialog>
  );
}
