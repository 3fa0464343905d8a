import { readFileSync, writeFileSync } from "node:fs";
import { parse, type MessageFormatElement, TYPE } from "@formatjs/icu-messageformat-parser";
import { describe, expect, it } from "vitest";
import runWords from "../api/generated/run-words.json";
import { saidMessages } from "../test/said-messages";
import de from "./de.json";
import toldDe from "./told.de.json";
import { sentences, template, toldBy } from "./told";

const EN = "src/messages/en.json";
const german: Readonly<Record<string, string>> = de;
const toldGerman: Readonly<Record<string, string>> = toldDe;

/** Names of what a message asks for. */
const asked = (message: string): string[] => {
  const names = new Set<string>();
  const look = (parts: readonly MessageFormatElement[]): void =>
    parts.forEach((p) => {
      if (p.type !== TYPE.literal && p.type !== TYPE.pound && p.type !== TYPE.tag) names.add(p.value);
      if (p.type === TYPE.plural || p.type === TYPE.select) Object.values(p.options).forEach((o) => look(o.value));
    });
  look(parse(message, { ignoreTag: true }));
  return [...names].sort();
};

/** What a technician reads in Run and at the Bench, with what stands around both. */
const AT_THE_BENCH = /^(?:bench|repair\/run|shell|marks|units|api|repair\/drawing)\//;

describe("the catalogues of messages", () => {
  const { messages, faults } = saidMessages();

  it("know every message that the screens say, and where it is said: VANEMEND_WRITE=1 writes them again", () => {
    expect(faults).toEqual([]);
    const all = Object.fromEntries([...messages].sort(([a], [b]) => (a < b ? -1 : 1)).map(([m, s]) => [m, s.files]));
    if (process.env.VANEMEND_WRITE) writeFileSync(EN, JSON.stringify(all, null, 2) + "\n");
    expect(JSON.parse(readFileSync(EN, "utf8"))).toEqual(all);
    expect(messages.size).toBeGreaterThan(1000);
  });

  it("hold messages that ICU reads, given exactly what they ask for", () => {
    const wrong = [...messages].filter(([m, s]) => asked(m).join() !== [...s.values].sort().join());
    expect(wrong).toEqual([]);
  });

  it("hold in German everything that is said at the bench", () => {
    const missing = [...messages].filter(([m, s]) => s.files.some((f) => AT_THE_BENCH.test(f)) && !(m in german));
    expect(missing.map(([m]) => m)).toEqual([]);
  });

  it("ask in German for what they ask in English, and hold nothing that is no longer said", () => {
    expect(Object.keys(german).filter((m) => !messages.has(m))).toEqual([]);
    const other = Object.entries(german).filter(([m, t]) => asked(m).join() !== asked(t).join());
    expect(other).toEqual([]);
  });

  it("hold in German all that the core can say in a run, each figure of it once more", () => {
    const english = runWords
      .map((text) => text.replace(/, \d+ of \d+$/, ""))
      .flatMap((text) => (template(text).key in toldGerman ? [] : sentences(text)))
      .filter(
        (s) => /[a-z]{2}/i.test(template(s).key) && !(template(s).key in toldGerman) && toldBy(s, toldGerman) === s,
      );
    expect([...new Set(english)]).toEqual([]);
    const other = Object.entries(toldGerman).filter(([m, t]) => asked(m).join() !== asked(t).join());
    expect(other).toEqual([]);
  });

  it("lose no figure of what the core says", () => {
    const lost = runWords.filter((text) => {
      const figures = (t: string) => [...template(t).figures].sort().join();
      return figures(toldBy(text, toldGerman)) !== figures(text);
    });
    expect(lost).toEqual([]);
  });
});
