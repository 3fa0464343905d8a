import { msg } from "../messages/messages";
import { Tabs } from "radix-ui";
import { useEffect, useState } from "react";
import { WordsSheet } from "../words/words-sheet";
import { hearsHere } from "./heard";
import { KEYS } from "./keys";
import { LanguageChoice } from "./language-choice";
import { usePreferences } from "./preferences";
import { SheetDialog } from "./sheet-dialog";

const TABS = [
  { value: "words", word: msg("Words") },
  { value: "keys", word: msg("Keys, sound, language") },
] as const;

/** What a word means, what a key does, and the switches for sound and voice. */
export function HelpDialog({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <SheetDialog title={msg("Words and keys")} open={open} onOpenChange={onOpenChange}>
      <Tabs.Root defaultValue="words">
        <Tabs.List className="firm-b mb-4 flex" aria-label={msg("Help")}>
          {TABS.map((t) => (
            <Tabs.Trigger
              key={t.value}
              value={t.value}
              className="data-[state=active]:border-violet h-14 flex-1 border-b-4 border-transparent px-4 text-20 font-medium data-[state=active]:font-bold"
            >
              {t.word}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <Tabs.Content value="words" tabIndex={-1}>
          <WordsSheet />
        </Tabs.Content>
        <Tabs.Content value="keys" tabIndex={-1}>
          <KeysSheet />
        </Tabs.Content>
      </Tabs.Root>
    </SheetDialog>
  );
}

function KeysSheet() {
  const { sound, voice, listens, far, turn } = usePreferences();
  const [hears, setHears] = useState<boolean>();
  useEffect(() => void hearsHere().then(setHears), []);
  return (
    <>
      <dl className="grid grid-cols-[130px_1fr] gap-y-2">
        {KEYS.map((k) => (
          <div key={k.does} className="contents">
            <dt className="n font-semibold">{k.keys}</dt>
            <dd>{k.does}</dd>
          </div>
        ))}
      </dl>
      <div className="mt-5">
        <LanguageChoice />
      </div>
      <button className="btn mt-5 w-full" aria-pressed={sound} onClick={() => turn({ sound: !sound })}>
        {sound ? msg("Sound is on: turn it off") : msg("Sound is off: turn it on")}
      </button>
      <button className="btn mt-2 w-full" aria-pressed={voice} onClick={() => turn({ voice: !voice })}>
        {voice ? msg("Work times are spoken: turn it off") : msg("Work times are not spoken: turn it on")}
      </button>
      <button className="btn mt-2 w-full" aria-pressed={far} onClick={() => turn({ far: !far })}>
        {far ? msg("Run is large, for two metres: turn it off") : msg("Run is for one metre: make it large")}
      </button>
      {hears ? (
        <button className="btn mt-2 w-full" aria-pressed={listens} onClick={() => turn({ listens: !listens })}>
          {listens
            ? msg("Run hears done, yes, no, note: turn it off")
            : msg("Run does not listen: let it hear done, yes, no, note")}
        </button>
      ) : (
        <p className="lab mt-3">
          {msg(
            "Words cannot be said here instead of pressed: this browser does not recognise speech by itself, and what is said at the bench is sent nowhere.",
          )}
        </p>
      )}
    </>
  );
}
