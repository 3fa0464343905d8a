import { describe, expect, it } from "vitest";
import { FIRST, spread, stamped, together } from "./many";

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

  it("never land on one another, nor on what is there", () => {
    const there = [stamped({ x: 300, y: 200 }, { ...FIRST, acrossMm: 40 }, 600, 400)];
    const put = together(
      Array.from({ length: 9 }, () => ({ x: 305, y: 195 })),
      FIRST,
      there,
      600,
      400,
    );
    expect(put).toHaveLength(9);
    const all = [...there, ...put];
    for (const [i, a] of all.entries()) {
      for (const b of all.slice(i + 1)) {
        const apart = Math.hypot((a.xMm ?? 0) - (b.xMm ?? 0), (a.yMm ?? 0) - (b.yMm ?? 0));
        expect(apart).toBeGreaterThanOrEqual(((a.lengthMm ?? 0) + (b.lengthMm ?? 0)) / 2);
      }
    }
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
