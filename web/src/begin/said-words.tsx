import { msg } from "../messages/messages";
import type { Api } from "../api/client";

const FIELDS: Record<Api["Understood"]["field"], string> = {
  VEHICLE: "vehicle",
  PART: "part",
  MATERIAL: msg("as a rule made of"),
  METAL: "metal",
  COMPOSITE: "composite",
  MARK: "mark",
  DAMAGE: "damage",
  LENGTH: "length",
  WIDTH: "width",
  DEPTH: "depth",
  THICKNESS: "thickness",
  THROUGH: msg("how deep"),
};

/** What was understood of a line, each under the words it was taken from; what was not stands there dashed. */
export function SaidWords({ said }: { said: Api["Said"] }) {
  return (
    <ul className="flex flex-wrap items-start gap-x-2 gap-y-1" aria-label={msg("What was understood")}>
      {said.understood.map((u, i) => (
        <li key={i} className="flex flex-col items-center">
          <span className="n text-muted">{u.words}</span>
          <svg width="36" height="10" aria-hidden="true">
            <path d="M1 0v4h34v-4M18 4v6" fill="none" stroke="var(--ink)" strokeWidth="1.6" />
          </svg>
          <span className="firm bg-ground n px-2 py-1 font-semibold">{u.as}</span>
          <span className="lab">{FIELDS[u.field]}</span>
        </li>
      ))}
      {said.left.map((w, i) => (
        <li key={`left${i}`} className="flex flex-col items-center">
          <span className="n text-muted">{w}</span>
          <svg width="36" height="10" aria-hidden="true">
            <path d="M1 0v4h34v-4M18 4v6" fill="none" stroke="var(--oxide)" strokeWidth="1.6" />
          </svg>
          <span className="n text-oxide-text border-[1.5px] border-dashed border-oxide px-2 py-1 font-semibold">
            {msg("not understood")}
          </span>
        </li>
      ))}
    </ul>
  );
}
