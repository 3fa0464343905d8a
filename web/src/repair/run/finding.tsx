import { msg } from "../../messages/messages";
import { told } from "../../messages/told";
import { Check, OctagonX, TriangleAlert } from "lucide-react";
import { useCatalogue } from "../../api/queries";
import { usePreferences } from "../../shell/preferences";
import { type Bound, quantity, said } from "../../units/text";
import type { Finding } from "./judge";

/** What was read, what it was held against and what was planned, in the shop's units. */
export function useFigures(): (f: Finding) => string {
  const { system } = usePreferences();
  const quantities = useCatalogue().data?.quantities ?? [];
  return (f) => {
    const q = quantities.find((x) => x.quantity === f.watch.quantity);
    const unit = q?.unit ?? "";
    const { sense } = f.watch;
    const fine = f.weight === "FINE";
    // Said in other units it stays on its own side of the limit.
    const value: Bound = sense === "PLANNED" ? undefined : (sense === "AT_MOST") === fine ? "most" : "least";
    const parts = [
      `${told(q?.word ?? "")} ${quantity(f.value, unit, value)}`,
      ...(sense === "AT_MOST" ? [msg("at most {limit}", { limit: quantity(f.limit, unit, "most") })] : []),
      ...(sense === "AT_LEAST" ? [msg("at least {limit}", { limit: quantity(f.limit, unit, "least") })] : []),
      ...(f.planned === undefined ? [] : [msg("{planned} planned", { planned: quantity(f.planned, unit) })]),
    ];
    return said(`${parts.join(", ")}.`, system);
  };
}

/** What a finding says: what is wrong or that it holds, with the figures. */
function useFindingSaid(): (f: Finding) => string {
  const figures = useFigures();
  return (f) => {
    const more = f.more > 0 ? ` ${msg("Read {more} more: one place says little.", { more: f.more })}` : "";
    return f.weight === "FINE"
      ? `${msg("Holds: {figures}", { figures: figures(f) })}${more}`
      : `${f.watch.title}: ${figures(f)} ${f.watch.follows}`;
  };
}

/** What readings at the step say, one line each. */
export function Findings({ findings, mix }: { findings: readonly Finding[]; mix: string }) {
  const saidOf = useFindingSaid();
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
          <OctagonX className="text-oxide mt-1 shrink-0" size={26} aria-label={msg("Stop")} />
        ) : f.weight === "OTHER" ? (
          <TriangleAlert className="mt-1 shrink-0" size={26} aria-label={msg("Other than planned")} />
        ) : (
          <Check className="text-pine-text mt-1 shrink-0" size={26} aria-label={msg("Holds")} />
        )}
        {saidOf(f)}
        {follows}
      </p>
    );
  });
}
