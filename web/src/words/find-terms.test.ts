import { describe, expect, test } from "vitest";
import { pieces, type Term, termsIn } from "./find-terms";

const term = (id: string, ...forms: string[]): Term => ({ id, word: id, forms, meaning: "", shown: "" });
const TERMS = [
  term("guide-coat", "guide coat"),
  term("feather-edge", "feather edge", "feathered", "feather"),
  term("da", "DA"),
  term("clear", "clear coat", "clear"),
];

describe("words of the trade in a sentence", () => {
  test("are found in any case, the longest first, and nothing of the text is lost", () => {
    const text = "Guide coat; feather edge and clear coat. Then the DA.";
    const found = pieces(text, TERMS);
    expect(found.map((p) => p.text).join("")).toBe(text);
    expect(found.flatMap((p) => (p.term ? [p.text] : []))).toEqual(["Guide coat", "feather edge", "clear coat", "DA"]);
  });

  test("are whole words: no piece of another, and capitals stay capitals", () => {
    expect(termsIn("unclear, clear-cut, a da capo, featherless, guide coats", TERMS)).toEqual([]);
  });

  test("come once each, in the order of the text", () => {
    expect(termsIn("clear, feathered, clear, feather", TERMS).map((t) => t.id)).toEqual(["clear", "feather-edge"]);
  });

  test("a text without any comes back whole, an empty one too", () => {
    expect(pieces("Wash it.", TERMS)).toEqual([{ text: "Wash it." }]);
    expect(pieces("", TERMS)).toEqual([{ text: "" }]);
    expect(pieces("guide coat", [])).toEqual([{ text: "guide coat" }]);
  });
});
