import { filled, language } from "./messages";

/**
 * What the core says, in the language of this screen. It comes in English with its figures as quantities; a translation is found by the text without
 * them, the whole of it or sentence by sentence, and the figures are put in again. What has no translation stays English: a rule that a house wrote,
 * the name of an item.
 */
const catalogue: Readonly<Record<string, string>> = language === "de" ? (await import("./told.de.json")).default : {};

/** A quantity, a grade of paper, a count. */
const FIGURE = /⟦[^⟧]*⟧|\bP?\d+(?:\.\d+)?\b/g;

/** A text by which its translation is found, and the figures that stood in it. */
export function template(text: string): { key: string; figures: string[] } {
  const figures: string[] = [];
  const key = text.replace(FIGURE, (f) => `{${figures.push(f)}}`);
  return { key, figures };
}

/** Where one sentence ends and the next begins; a quantity is never parted. */
export const sentences = (text: string) => text.trim().split(/(?<=[.:;?!])\s+(?![^⟦]*⟧)/);

/** What is said for the nth time: Palm test, 1 of 3. */
const NTH = /^(.*), (\d+ of \d+)$/;

const small = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
const great = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** What begins a sentence elsewhere may stand within one here, and what is a title there may be a sentence here. */
function anyhow(key: string, by: Readonly<Record<string, string>>): string | undefined {
  const found = by[key] ?? by[great(key)] ?? by[small(key)];
  const end = /[.:]$/.exec(key)?.[0];
  const title = found === undefined && end ? anyhow(key.slice(0, -1), by) : undefined;
  return title === undefined ? found : `${title}${end}`;
}

function translated(text: string, by: Readonly<Record<string, string>>): string | undefined {
  const { key, figures } = template(text);
  const found = anyhow(key, by);
  if (found === undefined) return withNames(text, by);
  return figures.length === 0 ? found : filled(found, numbered(figures));
}

const numbered = (figures: readonly string[]) => Object.fromEntries(figures.map((f, i) => [String(i + 1), f]));

const patterns = new WeakMap<object, readonly { is: RegExp; holds: readonly string[]; message: string }[]>();

/** Messages that hold the name of an item, which stays as it is, or another text of the core, as what their texts look like. */
function patternsOf(by: Readonly<Record<string, string>>) {
  const known = patterns.get(by);
  if (known) return known;
  const made = Object.entries(by)
    .filter(([key]) => /\{(?:name|what)\}/.test(key))
    .map(([key, message]) => {
      const holds: string[] = [];
      const is = key.split(/(\{\w+\})/).map((part) => {
        if (!part.startsWith("{")) return part.replace(/[.*+?^$()|[\]\\]/g, "\\$&");
        const held = part.slice(1, -1);
        holds.push(held);
        return /\d/.test(held) ? `(${FIGURE.source})` : "(.+?)";
      });
      return { is: new RegExp(`^${is.join("")}$`), holds, message };
    });
  patterns.set(by, made);
  return made;
}

function withNames(text: string, by: Readonly<Record<string, string>>): string | undefined {
  for (const { is, holds, message } of patternsOf(by)) {
    const held = is.exec(text)?.slice(1);
    if (held) {
      return filled(
        message,
        Object.fromEntries(holds.map((h, i) => [h, h === "what" ? toldBy(held[i] ?? "", by) : (held[i] ?? "")])),
      );
    }
  }
  return undefined;
}

/** {@code text} by the catalogue {@code by}. */
export function toldBy(text: string, by: Readonly<Record<string, string>>): string {
  const whole = translated(text, by);
  if (whole !== undefined) return whole;
  const [, what, nth] = NTH.exec(text) ?? [];
  if (what !== undefined && nth !== undefined) return `${toldBy(what, by)}, ${translated(nth, by) ?? nth}`;
  return sentences(text)
    .map((s) => translated(s, by) ?? s)
    .join(" ");
}

const known = new Map<string, string>();

/** {@code text} as the core said it, in the language of this screen. */
export function told(text: string): string {
  if (language === "en" || text === "") return text;
  const had = known.get(text);
  if (had !== undefined) return had;
  const now = toldBy(text, catalogue);
  known.set(text, now);
  return now;
}

/** Fields in which a plan or a run holds words of the core. What people typed, names and ids stand in others. */
const WORDS = new Set([
  "amount",
  "brief",
  "closing",
  "detail",
  "follows",
  "label",
  "no",
  "note",
  "question",
  "said",
  "source",
  "text",
  "title",
  "tool",
  "waitsFor",
  "warning",
  "wear",
  "word",
  "yes",
  "yesNote",
]);

/** Holds what people typed, or what a later plan is made of: nothing in it is turned. */
const TYPED = new Set([
  "draft",
  "notes",
  "stack",
  "verdict",
  "takenBack",
  "amended",
  "against",
  "ended",
  "signed",
  "edits",
  "house",
  "wanted",
]);

const turned = new WeakMap<object, unknown>();

/** A plan, a run or the bench in the language of this screen. */
export function inLanguage<T>(json: T): T {
  return language === "en" ? json : (walk(json, false) as T);
}

function walk(json: unknown, words: boolean): unknown {
  if (typeof json === "string") return words ? told(json) : json;
  if (typeof json !== "object" || json === null) return json;
  const had = turned.get(json);
  if (had !== undefined) return had;
  const out = Array.isArray(json)
    ? typeof json[0] === "number"
      ? json
      : json.map((v) => walk(v, words))
    : Object.fromEntries(Object.entries(json).map(([k, v]) => [k, TYPED.has(k) ? v : walk(v, WORDS.has(k))]));
  turned.set(json, out);
  return out;
}
