import { describe, expect, it } from "vitest";
import { scale } from "./scale";

describe("how wide the lanes are drawn", () => {
  it.each([
    [948, 540, false],
    [948, 540, true],
    [948, 600, true],
    [1204, 600, true],
  ])("fits %i px with %i minutes, what is over shown: %s", (room, minutes, isPastShown) => {
    expect(scale(room, minutes, isPastShown).width).toBeCloseTo(room, 6);
  });

  it("folds what is over narrower before the day is scrolled", () => {
    expect(scale(948, 600, true).past).toBe(88);
    expect(scale(1204, 600, true).past).toBe(148);
    expect(scale(948, 600, false).past).toBe(0);
  });

  it("scrolls a long day rather than drawing it too small to read", () => {
    const long = scale(948, 900, true);
    expect(long.perMin).toBe(1.2);
    expect(long.width).toBe(124 + 88 + 900 * 1.2 + 16);
  });
});
