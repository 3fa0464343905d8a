import { describe, expect, it } from "vitest";
import { fresh, traceLength, withCorner } from "./fresh";

describe("new damage", () => {
  it("lies in the middle of the part and on it", () => {
    const crack = fresh("CRACK", { widthMm: 200, heightMm: 120 });
    expect(crack.trace).toEqual([50, 60, 150, 60]);
    expect(fresh("HOLE", { widthMm: 200, heightMm: 120 })).toMatchObject({ xMm: 100, yMm: 60 });
    expect(fresh("SEAM", { widthMm: 30, heightMm: 30 }).trace?.every((v) => v >= 0 && v <= 30)).toBe(true);
  });

  it("gets a corner on its longest stretch, which leaves its length as it was", () => {
    const xy = [0, 0, 30, 40, 30, 60];
    expect(traceLength(xy)).toBeCloseTo(70);
    expect(withCorner(xy)).toEqual([0, 0, 15, 20, 30, 40, 30, 60]);
    expect(traceLength(withCorner(xy))).toBeCloseTo(70);
  });
});
