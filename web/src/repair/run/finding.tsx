import { Check, OctagonX, TriangleAlert } from "lucide-react";
import { useCatalogue } from "../../api/queries";
import { usePreferences } from "../../shell/preferences";
import { type Bound, quantity, said } from "../../units/text";
import type { Finding } from "./judge";

/** What a finding says, in the shop's units: what is wrong or that it holds, with the figures. */
export function useFindingSaid(): (f: Finding) => string {
  const { system } = usePreferences();
  const quantities = useCatalogue().data?.quantities ?? [];
  return (f) => {
    const q = quantities.find((x) => x.quantity === f.watch.quantity);
    const unit = q?.unit ?? "";
    const { sense } = f.watch;
    const fine = f.weight === "FINE";
    // Said in other units it stays on its own side of the limit.
    const value: Bound = sense === "PLANNED" ? undefined : (sense === "AT_MOST") === fine ? "most" : "least";
    const limit =
      sense === "PLANNED"
        ? ""
        : sense === "AT_MOST"
          ? `, at most ${quantity(f.limit, unit, "most")}`
          : `, at least ${quantity(f.limit, unit, "least")}`;
    const plan = f.planned === undefined ? "" : `, ${quantity(f.planned, unit)} planned`;
    const figures = `${q?.word ?? ""} ${quantity(f.value, unit, value)}${limit}${plan}.`;
    const more = f.more > 0 ? ` Read ${f.more} more: one place says little.` : "";
    return said(fine ? `Holds: ${figures}${more}` : `${f.watch.title}: ${figures} ${f.watch.follows}`, system);
  };
}

/** What readings at the step say, one line each. */
export function Findings({ findings, mix }: { findings: readonly Finding[]; mix: string }) {
  const told = useFindingSaid();
  return findings.map((f) => {
    const stop = f.weight === "STOP" || f.weight === "NEVER";
    const follows = f.weight === "OTHER" && f.watch.mix !== "" ? ` ${mix}` : "";
    return (
      <p
        key={f.watch.id}
        className={`flex items-start gap-2 text-20 font-bold sm:text-24 ${stop ? "text-oxide-text" : ""}`}
        role="status"
      >
        {stop ? (
          <OctagonX className="text-oxide mt-1 shrink-0" size={26} aria-label="Stop" />
        ) : f.weight === "OTHER" ? (
          <TriangleAlert className="mt-1 shrink-0" size={26} aria-label="Other than planned" />
        ) : (
          <Check className="text-pine-text mt-1 shrink-0" size={26} aria-label="Holds" />
        )}
        {told(f)}
        {follows}
      </p>
    );
  });
}
