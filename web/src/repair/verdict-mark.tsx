import { msg } from "../messages/messages";
import { Ban, Check, TriangleAlert, X } from "lucide-react";
import type { Api } from "../api/client";

export type Outcome = Api["Verdict"]["outcome"];

export const OUTCOME: Record<Outcome, { word: string; Icon: typeof Check; style: string }> = {
  MEND: { word: msg("Mend"), Icon: Check, style: "bg-pine text-on-pine" },
  LIMITS: { word: msg("Mend with limits"), Icon: TriangleAlert, style: "bg-tape text-on-tape firm" },
  REFER: { word: msg("Refer"), Icon: Ban, style: "bg-sheet text-oxide-text border-2 border-oxide" },
  REPLACE: { word: msg("Replace"), Icon: X, style: "bg-sheet text-oxide-text border-2 border-oxide" },
};

/** The verdict as a plate: colour, shape and word. */
export function VerdictMark({ outcome }: { outcome: Outcome }) {
  const { word, Icon, style } = OUTCOME[outcome];
  return (
    <span
      className={`n inline-flex h-8 shrink-0 items-center gap-2 rounded-[2px] px-2.5 text-16 font-bold whitespace-nowrap ${style}`}
      style={{ fontStretch: "88%" }}
    >
      <Icon size={18} aria-hidden="true" />
      {word}
    </span>
  );
}
