import { useState } from "react";
import type { Api } from "../../api/client";
import { Measure, type Quantity } from "../../shell/field";
import { SheetDialog } from "../../shell/sheet-dialog";

type Ask = Api["Step"]["asks"][number];

const SAID: Record<Ask, { label: string; quantity: Quantity; from: number; to: number; told: string }> = {
  SURFACE_C: {
    label: "Surface",
    quantity: "temperature",
    from: -20,
    to: 120,
    told: "−20 to 120\u202f°C (−4 to 248\u202f°F)",
  },
  DEPTH_MM: { label: "Depth left", quantity: "depth", from: 0, to: 25, told: "0 to 25\u202fmm (0 to 1\u202fin)" },
  FILLER_G: { label: "Filler weighed", quantity: { unit: "g" }, from: 1, to: 3000, told: "1 to 3000\u202fg" },
  CREAM_G: { label: "Cream weighed", quantity: { unit: "g" }, from: 0, to: 150, told: "0 to 150\u202fg" },
};

/** A reading typed in; the clock follows it. */
export function ReadingDialog({
  asks,
  open,
  onOpenChange,
  onReading,
}: {
  asks: readonly Ask[];
  open: boolean;
  onOpenChange: (open: boolean) => void;
  onReading: (quantity: Ask, value: number) => void;
}) {
  const ask: Ask = asks[0] ?? "SURFACE_C";
  const { label, quantity, from, to, told } = SAID[ask];
  const [value, setValue] = useState<number>();
  const off = value !== undefined && (value < from || value > to);
  const take = () => {
    if (value === undefined || off) return;
    onReading(ask, value);
    setValue(undefined);
    onOpenChange(false);
  };
  return (
    <SheetDialog title="Reading" open={open} onOpenChange={onOpenChange}>
      <form
        className="flex flex-col gap-4"
        onSubmit={(e) => {
          e.preventDefault();
          take();
        }}
      >
        <Measure
          large
          label={label}
          quantity={quantity}
          value={value}
          onChange={setValue}
          problem={off ? `That cannot be right: expected ${told}.` : undefined}
        />
        <button className="btn go min-h-[72px] text-20" disabled={value === undefined || off}>
          Take the reading
        </button>
      </form>
    </SheetDialog>
  );
}
