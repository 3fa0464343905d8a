import { describe, expect, it } from "vitest";
import { needsMap } from "./key-map";
import { fitBox } from "./projection";

const FIELD = { left: 0, top: 0, width: 400, height: 300 };
const PART = { widthMm: 1200, heightMm: 800 };

describe("the map of the whole part", () => {
  it("stands where little of the part is in view, and not where most of it is", () => {
    const spot = fitBox({ x0: 500, y0: 300, x1: 620, y1: 400 }, 20, FIELD);
    const whole = fitBox({ x0: 0, y0: 0, x1: 1200, y1: 800 }, 20, FIELD);
    expect(needsMap(PART, spot)).toBe(true);
    expect(needsMap(PART, whole)).toBe(false);
  });
});
