import { readFileSync } from "node:fs";
import { resolve } from "node:path";
import { describe, expect, it } from "vitest";
import { PICTURED as QUESTIONS } from "../repair/part/question-picture";
import { PICTURED as TERMS } from "../words/term-picture";

const book = (file: string) => readFileSync(resolve(`../core/src/main/resources/vanemend/${file}`), "utf8").split("\n");
const ids = (lines: readonly string[]) => lines.flatMap((l) => /^ {2}- \{id: ([a-z-]+),/.exec(l)?.[1] ?? []);

describe("pictures", () => {
  it("stand beside every question that is asked, and beside none that is not", () => {
    const asked = ids(book("verdict/limits.yaml").filter((l) => / ask: "/.test(l)));
    expect(asked.length).toBeGreaterThan(30);
    expect([...QUESTIONS].sort()).toEqual([...new Set(asked)].sort());
  });

  it("are of words that are explained", () => {
    const words = ids(book("trade/terms.yaml"));
    expect(words).toEqual(expect.arrayContaining([...TERMS]));
  });
});
