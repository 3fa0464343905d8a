import { msg } from "../../messages/messages";
import { useState } from "react";
import { LiveFigureLine } from "../../devices/live-figure";
import { Measure } from "../../shell/field";
import { SheetDialog } from "../../shell/sheet-dialog";
import { type Ask, useAsked } from "./asks";

/** Readings typed in, all that the step asks for at once; clocks and findings follow them. */
export function ReadingDialog({
  asks,
  open,
  onOpenChange,
  onReading,
}: {
  asks: readonly Ask[];
  open: boolean;
  onOpenChange: (open: boolean) => void;
  onReading: (quantity: Ask, value: number, source: string) => void;
}) {
  const asked = useAsked();
  const wanted: readonly Ask[] = asks.length > 0 ? asks : ["SURFACE_C"];
  const [values, setValues] = useState<Partial<Record<Ask, number>>>({});
  const [sources, setSources] = useState<Partial<Record<Ask, string>>>({});
  const off = (a: Ask) => {
    const v = values[a];
    return v !== undefined && (v < asked(a).from || v > asked(a).to);
  };
  const typed = wanted.filter((a) => values[a] !== undefined);
  const ready = typed.length > 0 && !wanted.some(off);
  const take = () => {
    if (!ready) return;
    for (const a of typed) onReading(a, values[a] ?? 0, sources[a] ?? "");
    setValues({});
    setSources({});
    onOpenChange(false);
  };
  return (
    <SheetDialog title={msg("Reading")} open={open} onOpenChange={onOpenChange}>
      <form
        className="flex flex-col gap-4"
        onSubmit={(e) => {
          e.preventDefault();
          take();
        }}
      >
        {wanted.map((a, i) => (
          <div key={a}>
            <Measure
              large
              autoFocus={i === 0}
              label={asked(a).label}
              quantity={asked(a).quantity}
              value={values[a]}
              onChange={(v) => {
                setValues((all) => ({ ...all, [a]: v }));
                setSources((all) => ({ ...all, [a]: "" }));
              }}
              problem={off(a) ? msg("That cannot be right: expected {told}.", { told: asked(a).told }) : undefined}
            />
            {open && (
              <LiveFigureLine
                ask={a}
                verb={msg("Put in")}
                onTake={(v, source) => {
                  setValues((all) => ({ ...all, [a]: v }));
                  setSources((all) => ({ ...all, [a]: source }));
                }}
              />
            )}
          </div>
        ))}
        <button className="btn go min-h-[72px] text-20" disabled={!ready}>
          {typed.length > 1 ? msg("Take the readings") : msg("Take the reading")}
        </button>
      </form>
    </SheetDialog>
  );
}
