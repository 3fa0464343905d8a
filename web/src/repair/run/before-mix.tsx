import { msg } from "../../messages/messages";
import { Check, X } from "lucide-react";
import type { Api } from "../../api/client";

/** What must hold before a mix goes live, in one glance; what does not hold comes first. */
export function BeforeMixGlance({ musts }: { musts: readonly Api["Must"][] }) {
  const sorted = [...musts].sort((a, b) => Number(a.holds) - Number(b.holds));
  return (
    <section aria-label={msg("Before the mix goes live")} className="firm bg-ground px-3 py-1">
      <ul className="flex flex-wrap gap-x-4">
        <li className="n text-16 leading-6 font-semibold">
          {musts.every((m) => m.holds)
            ? msg("Before it goes live: all holds")
            : msg("Before it goes live: not all holds")}
        </li>
        {sorted.map((m) => (
          <li key={m.said} className="flex items-start gap-1 text-16 leading-6">
            {m.holds ? (
              <Check className="text-pine-text mt-0.5 shrink-0" size={18} aria-label={msg("holds")} />
            ) : (
              <X className="text-oxide mt-0.5 shrink-0" size={18} aria-label={msg("missing")} />
            )}
            <span className={m.holds ? "" : "font-bold text-oxide-text"}>
              {m.said}
              {m.detail && <span className="text-muted">: {m.detail}</span>}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
