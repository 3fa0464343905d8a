/** What is spoken when this many seconds are left of a work time. */
const SAID: Record<number, string> = {
  120: "two minutes",
  60: "one minute",
  30: "thirty seconds",
  0: "work time is over",
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
  voice.lang = "en";
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(voice);
}
