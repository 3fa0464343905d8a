import { language, locale } from "../messages/messages";
import type { Language } from "../units/preferred";

/** What may be said in a run instead of pressing it, and the key that it stands for. */
const KEYS_BY_LANGUAGE: Readonly<Record<Language, Readonly<Record<string, string>>>> = {
  en: { done: "PageDown", yes: "PageDown", no: "n", note: "." },
  de: { fertig: "PageDown", ja: "PageDown", nein: "n", notiz: "." },
};
export const SPOKEN_KEYS = KEYS_BY_LANGUAGE[language];

/** The key that an utterance stands for. Only a word by itself counts: talk at the bench presses nothing. */
export function keyHeard(said: string): string | undefined {
  const word = said
    .trim()
    .toLowerCase()
    .replace(/[.!?]$/, "");
  return Object.hasOwn(SPOKEN_KEYS, word) ? SPOKEN_KEYS[word] : undefined;
}

interface Recognition {
  continuous: boolean;
  lang: string;
  processLocally: boolean;
  onresult: ((e: { resultIndex: number; results: ArrayLike<ArrayLike<{ transcript: string }>> }) => void) | null;
  onend: (() => void) | null;
  start(): void;
  abort(): void;
}

interface RecognitionKind {
  new (): Recognition;
  available?: (o: { langs: string[]; processLocally: boolean }) => Promise<string>;
}

const kind = () => (window as unknown as { SpeechRecognition?: RecognitionKind }).SpeechRecognition;

/** Whether this browser recognises speech by itself. One that sends what it hears elsewhere is not used: the shop's talk stays in the shop. */
export async function hearsHere(): Promise<boolean> {
  try {
    return (await kind()?.available?.({ langs: [locale], processLocally: true })) === "available";
  } catch {
    // It knows the name and not the thing.
    return false;
  }
}

/** Listens until the returned function is called; every word that stands for a key is given on. */
export function listen(onKey: (key: string) => void): () => void {
  const Kind = kind();
  if (!Kind) return () => undefined;
  const ear = new Kind();
  let on = true;
  ear.continuous = true;
  ear.lang = locale;
  ear.processLocally = true;
  ear.onresult = (e) => {
    const key = keyHeard(e.results[e.resultIndex]?.[0]?.transcript ?? "");
    if (on && key) onKey(key);
  };
  // It stops by itself after a silence.
  ear.onend = () => on && ear.start();
  ear.start();
  return () => {
    on = false;
    ear.abort();
  };
}
