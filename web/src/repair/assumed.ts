import { msg } from "../messages/messages";
import type { Api } from "../api/client";
import { length, type System } from "../units/units";

type Part = Api["PartDraft"];
export type Assumed = NonNullable<Part["assumed"]>[number];

const WORDS: Record<Assumed, string> = {
  WIDTH: "width",
  HEIGHT: "height",
  OUTLINE: "outline",
  GAUGE: msg("sheet gauge"),
  THICKNESS: "wall",
  COATS: msg("coats of a factory finish"),
};

/** What of {@code part} is usual and not measured, in words and the shop's units. */
export function assumedWords(part: Part, system: System): string[] {
  const figure: Partial<Record<Assumed, string | undefined>> = {
    WIDTH: part.widthMm === undefined ? undefined : length(part.widthMm, system),
    HEIGHT: part.heightMm === undefined ? undefined : length(part.heightMm, system),
    GAUGE: part.gaugeMm === undefined ? undefined : length(part.gaugeMm, system, "depth"),
    THICKNESS: part.made?.thicknessMm === undefined ? undefined : length(part.made.thicknessMm, system, "depth"),
  };
  return (part.assumed ?? []).map((f) => [WORDS[f], figure[f]].filter(Boolean).join(" "));
}

/** {@code part} after somebody said {@code field}: it is no longer assumed. */
export function measured(part: Part, field: Assumed): Pick<Part, "assumed"> {
  return { assumed: (part.assumed ?? []).filter((f) => f !== field) };
}
