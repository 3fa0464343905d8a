import { describe, expect, it } from "vitest";
import { ruleLabels } from "./rule-labels";

const marks = (...at: number[]) => at.map((x) => ({ at: x, words: "planned 1/16 in" }));

describe("words beneath a rule", () => {
  it("are crossed by no line of another mark, however close they lie", () => {
    for (const at of [
      [94, 167, 338],
      [94, 100, 106],
      [8, 200, 300],
    ]) {
      const placed = ruleLabels(marks(...at), 430);
      placed.forEach((label, i) =>
        at.forEach((line, j) => {
          const deeper = (placed[j]?.row ?? 0) > label.row;
          const over = line > label.x && line < label.x + 15 * 8.4;
          expect(i !== j && deeper && over, `${at.join(" ")}: ${i} by ${j}`).toBe(false);
        }),
      );
      expect(new Set(placed.map((l) => l.row)).size).toBe(3);
    }
  });

  it("stay on the glass", () => {
    const last = ruleLabels(marks(40, 90, 215), 280)[2];
    expect((last?.x ?? 0) + 15 * 8.4).toBeLessThanOrEqual(280);
  });
});
