import { describe, expect, it } from "vitest";
import { FIRST, spread, stamped } from "./many";

describe("many dings", () => {
  it("are put down with their class of size, whole on the part", () => {
    const ding = { ...FIRST, acrossMm: 40, depthMm: 0.8 };
    expect(stamped({ x: 311.4, y: 200.2 }, ding, 600, 400)).toMatchObject({
      kind: "DENT",
      xMm: 311,
      yMm: 200,
      lengthMm: 40,
      widthMm: 40,
      depthMm: 0.8,
    });
    expect(stamped({ x: 2, y: 399 }, ding, 600, 400)).toMatchObject({ xMm: 20, yMm: 380 });
  });

  it("are spread over the field that is drawn, as many as were counted, inside it and apart", () => {
    for (const count of [1, 2, 3, 5, 7, 12, 30]) {
      const field = { a: { x: 500, y: 90 }, b: { x: 100, y: 390 } };
      const spots = spread(field.a, field.b, count);
      expect(spots).toHaveLength(count);
      expect(new Set(spots.map((s) => `${s.x} ${s.y}`)).size).toBe(count);
      for (const s of spots) {
        expect(s.x).toBeGreaterThan(100);
        expect(s.x).toBeLessThan(500);
        expect(s.y).toBeGreaterThan(90);
        expect(s.y).toBeLessThan(390);
      }
    }
    expect(spread({ x: 0, y: 0 }, { x: 300, y: 100 }, 3).map((s) => s.x)).toEqual([50, 150, 250]);
  });
});
