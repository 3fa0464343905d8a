import { language, msg } from "../messages/messages";
/** What is spoken when this many seconds are left of a work time. */
const SAID: Record<number, string> = {
  120: msg("two minutes"),
  60: msg("one minute"),
  30: msg("thirty seconds"),
  0: msg("work time is over"),
};

/** The words for {@code leftS}; nothing where nothing is to be said. */
export const wordsAt = (leftS: number, label: string): string | undefined => {
  const said = SAID[leftS];
  return said === undefined ? undefined : leftS === 0 ? said : `${said}: ${label}`;
};

/** Says it with the browser's own voice, where it has one. */
export function speak(words: string): void {
  if (!("speechSynthesis" in window)) return;
  const voice = new SpeechSynthesisUtterance(words);
  voice.lang = language;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(voice);
}
