import { describe, expect, it } from "vitest";
import { anchors, crossings, fit, plateAt, px, py } from "./projection";

const square = (from: number, to: number) => ({ xy: [from, from, to, from, to, to, from, to], hole: false });

describe("projection", () => {
  it("cuts rings by even-odd, so that a hole is no part of the zone", () => {
    expect(crossings([square(0, 100)], 50)).toEqual([[0, 100]]);
    expect(crossings([square(0, 100), { ...square(40, 60), hole: true }], 50)).toEqual([
      [0, 40],
      [60, 100],
    ]);
    expect(crossings([square(0, 100)], 120)).toEqual([]);
  });

  it("ends a leader inside its own zone and outside the one within", () => {
    const [at] = anchors([square(0, 100)], [square(20, 80)], 50);
    expect(at?.x).toBeGreaterThan(80);
    expect(at?.x).toBeLessThan(100);
    const [alone] = anchors([square(0, 100)], [], 90);
    expect(alone?.x).toBeLessThan(100);
    expect(Math.abs((alone?.y ?? 0) - 90)).toBeLessThan(2);
  });

  it("keeps one scale both ways and everything in the field", () => {
    const drawing = {
      widthMm: 700,
      heightMm: 400,
      bodyLines: [],
      damages: [],
      outline: [0, 0, 700, 0, 700, 400, 0, 400],
      flags: [],
      section: { cutYMm: 0, fromXMm: 0, toXMm: 1, lowestMm: -1, highestMm: 1, layers: [], proud: [], proudMm: 0 },
      zones: [
        {
          kind: "CLEAN" as const,
          word: "",
          note: "",
          pastMm: 0,
          areaMm2: 1,
          side: "FACE" as const,
          rings: [square(100, 300)],
        },
      ],
    };
    const p = fit(drawing, { left: 30, top: 20, width: 400, height: 300 });
    expect(px(p, 100)).toBeGreaterThan(30);
    expect(px(p, 300)).toBeLessThan(430);
    expect(py(p, 100)).toBeLessThan(320);
    expect(py(p, 300)).toBeGreaterThan(20);
    expect(px(p, 200) - px(p, 100)).toBeCloseTo(py(p, 100) - py(p, 200), 6);
  });

  it("keeps a plate whole at either side of the field, and leaves what lies past it where it is", () => {
    const p = { perMm: 1, x0: 0, y0: 0, x1: 300, y1: 100, left: 28, top: 28, width: 300, height: 100 };
    expect(plateAt(p, 40, 60)).toBe(60);
    expect(plateAt(p, 320, 60)).toBe(296);
    expect(plateAt(p, 150, 60)).toBe(150);
    expect(plateAt(p, 20, 60)).toBe(20);
    expect(plateAt(p, 340, 60)).toBe(340);
    expect(plateAt(p, 40, 400)).toBe(40);
  });
});
