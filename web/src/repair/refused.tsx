import { msg } from "../messages/messages";
import type { Api } from "../api/client";
import { OUTCOME } from "./verdict-mark";

/** The finding that says no: the worst that bears and is not merely unanswered. */
export function refusal(workup: Api["Workup"] | undefined): Api["Finding"] | undefined {
  return workup?.verdict.findings.find((f) => f.bears && !f.asks && (f.outcome === "REFER" || f.outcome === "REPLACE"));
}

/** Under the drawing of what may not be mended: the rule that decides, and its measure. */
export function Refused({ workup }: { workup: Api["Workup"] }) {
  const f = refusal(workup);
  if (!f) return null;
  const { word, Icon } = OUTCOME[f.outcome];
  return (
    <div className="bg-sheet shrink-0 border-t-4 border-oxide px-4 py-3" role="note">
      <p className="text-oxide-text flex items-center gap-2 text-20 font-bold">
        <Icon size={22} aria-hidden="true" /> {word}: {f.title}
      </p>
      {f.margin && <p className="n text-20 font-semibold">{f.margin}</p>}
      <p>{msg("{reason} No repair is drawn.", { reason: f.reason })}</p>
    </div>
  );
}
