import { msg } from "../../messages/messages";
import { useCatalogue } from "../../api/queries";
import type { DamageDraft } from "./fresh";

/** What the damage at a place is called: its kind and its number on the part. */
export function useDamageWord(damages: readonly DamageDraft[]): (index: number) => string {
  const known = useCatalogue().data?.damages;
  return (index) => {
    const kind = damages[index]?.kind ?? "DENT";
    return `${known?.find((k) => k.kind === kind)?.word ?? msg("Damage")} ${index + 1}`;
  };
}
