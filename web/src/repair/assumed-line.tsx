import { msg } from "../messages/messages";
import type { Api } from "../api/client";
import { usePreferences } from "../shell/preferences";
import { assumedWords } from "./assumed";

/** What of the part is usual and was not measured on this one; nothing where all was. */
export function Assumed({ part }: { part: Api["PartDraft"] | undefined }) {
  const { system } = usePreferences();
  const words = assumedWords(part ?? {}, system);
  if (words.length === 0) return null;
  return (
    <p>
      <b>{msg("Usual, not measured on this part:")}</b> {words.join(", ")}.
    </p>
  );
}
