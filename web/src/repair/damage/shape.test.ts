import { describe, expect, it } from "vitest";
import type { DamageDraft } from "./fresh";
import { bearing, coverOf, drawn, meets, movedTo, straight, toEdge } from "./shape";

const dent = (xMm: number, yMm: number, lengthMm: number, widthMm = lengthMm, angleDeg = 0): DamageDraft => ({
  kind: "DENT",
  xMm,
  yMm,
  lengthMm,
  widthMm,
  angleDeg,
});
const crack = (...trace: number[]): DamageDraft => ({ kind: "CRACK", trace });
const PANEL = [
  { x: 0, y: 0 },
  { x: 400, y: 0 },
  { x: 400, y: 300 },
  { x: 0, y: 300 },
];

describe("a line of damage", () => {
  it("has a length and a bearing, which give its second end and come back from it", () => {
    expect(straight([10, 10, 110, 10], 50, 90)).toEqual([10, 10, 10, 60]);
    expect(straight([100, 50, 20, 50], 30, 0)).toEqual([100, 50, 70, 50]);
    for (const deg of [-89, -30, 0, 12, 45, 90]) {
      const [x1 = 0, y1 = 0, x2 = 0, y2 = 0] = straight([200, 150, 260, 150], 80, deg);
      expect(Math.hypot(x2 - x1, y2 - y1)).toBeCloseTo(80, 0);
      expect(Math.abs(bearing({ x: x1, y: y1 }, { x: x2, y: y2 }) - deg)).toBeLessThanOrEqual(1);
    }
  });

  it("goes along whole when it is moved", () => {
    expect(movedTo(crack(0, 0, 100, 0), { x: 150, y: 40 }).trace).toEqual([100, 40, 200, 40]);
  });
});

describe("damage drawn by hand", () => {
  it("is a line from end to end, or lies about the point that was touched", () => {
    expect(drawn(crack(0, 0, 1, 1), { x: 20, y: 30 }, { x: 60, y: 31 }).trace).toEqual([20, 30, 60, 31]);
    expect(drawn({ kind: "DENT" }, { x: 100, y: 100 }, { x: 130, y: 140 })).toEqual({
      xMm: 100,
      yMm: 100,
      lengthMm: 100,
      widthMm: 100,
    });
    expect(drawn({ kind: "CHIP" }, { x: 5, y: 5 }, { x: 9, y: 5 })).toEqual({ xMm: 5, yMm: 5, lengthMm: 8 });
  });
});

describe("where damage lies", () => {
  it("is told by how near it comes to the edge", () => {
    expect(toEdge(dent(60, 150, 80), PANEL)?.mm).toBeCloseTo(20);
    expect(toEdge(dent(60, 150, 80, 40, 90), PANEL)?.mm).toBeCloseTo(40);
    expect(toEdge(crack(100, 14, 200, 90), PANEL)).toMatchObject({ mm: 14, to: { x: 100, y: 0 } });
  });

  it("covers what its length, width and turn say", () => {
    const xs = coverOf(dent(100, 100, 80, 20, 90)).map((p) => p.x);
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(20);
  });

  it("tells what lies on other damage, wholly or in part, and what only lies beside it", () => {
    expect(meets(dent(100, 100, 80), dent(100, 100, 20))).toBe(true);
    expect(meets(dent(100, 100, 20), dent(100, 100, 80))).toBe(true);
    expect(meets(dent(100, 100, 80), dent(170, 100, 80))).toBe(true);
    expect(meets(dent(100, 100, 80), dent(181, 100, 80))).toBe(false);
    expect(meets(crack(0, 100, 200, 100), dent(100, 100, 30))).toBe(true);
    expect(meets(crack(90, 100, 110, 100), dent(100, 100, 60))).toBe(true);
    expect(meets(crack(0, 0, 10, 10), crack(0, 10, 10, 0))).toBe(true);
    expect(meets(crack(0, 0, 10, 10), crack(20, 0, 30, 10))).toBe(false);
  });

  it("is the same whichever of two is asked, wherever they lie", () => {
    let s = 20_261_129;
    const next = (n: number) => ((s = (s * 16807) % 2147483647) / 2147483647) * n;
    for (let i = 0; i < 400; i++) {
      const a = dent(next(400), next(300), 5 + next(100), 5 + next(100), next(180));
      const b =
        next(2) < 1 ? dent(next(400), next(300), 5 + next(100)) : crack(next(400), next(300), next(400), next(300));
      expect(meets(a, b)).toBe(meets(b, a));
      expect(meets(a, a)).toBe(true);
    }
  });
});
