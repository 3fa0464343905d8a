import { describe, expect, it } from "vitest";
import { deepest, firstLine, nextLine, readings, takes, withPlace, withReadings } from "./depth-lines";

describe("depths read along a straightedge", () => {
  const hollow = { lengthMm: 120, widthMm: 60, depthMm: 2.4 };

  it("begins as the bowl that was assumed (h·(1 − ρ²), textbook geometry)", () => {
    expect(readings(firstLine(hollow))).toEqual([
      { place: 30, depth: 1.8 },
      { place: 60, depth: 2.4 },
      { place: 90, depth: 1.8 },
    ]);
    expect(readings(firstLine({ lengthMm: 120, widthMm: 60 })).map((r) => r.depth)).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
  });

  it("lays one line more on the side that has fewer, never outside", () => {
    let lines = [firstLine(hollow)];
    for (let i = 0; i < 6; i++) {
      const more = nextLine({ ...hollow, lines });
      expect(Math.abs(more.offsetMm ?? 0)).toBeLessThan(30);
      expect(lines.map((l) => l.offsetMm ?? 0)).not.toContain(more.offsetMm);
      lines = [...lines, more];
    }
    expect(lines.filter((l) => (l.offsetMm ?? 0) > 0)).toHaveLength(3);
  });

  it("puts a place into the widest gap and keeps what was typed", () => {
    const all = readings(firstLine(hollow));
    const more = withPlace(all, 200);
    expect(more.map((r) => r.place)).toEqual([30, 60, 90, 145]);
    expect(more.slice(0, 3)).toEqual(all);
  });

  it("sends what is not typed yet as nothing, in its place", () => {
    const line = withReadings({}, [{ place: 10, depth: 1 }, { place: 20 }]);
    expect(line.depths).toEqual([1, null]);
    expect(line.beside).toBeUndefined();
    expect(withReadings({ offsetMm: 5 }, [{ place: 10, depth: 1, beside: 0.2 }, { place: 20 }])).toEqual({
      offsetMm: 5,
      places: [10, 20],
      depths: [1, null],
      beside: [0.2, null],
    });
  });

  it("is as deep as the deepest over the panel beside it", () => {
    expect(
      deepest([
        withReadings({}, [
          { place: 1, depth: 2.5, beside: 0.4 },
          { place: 2, depth: 2.2 },
        ]),
      ]),
    ).toBe(2.2);
    expect(deepest([])).toBeUndefined();
  });

  it("gives what a gauge shows to the first place that lacks it", () => {
    expect(takes([{ depth: 1 }, {}, {}], 0)).toBe(1);
    expect(takes([{ depth: 1 }, { depth: 2 }], 1)).toBe(1);
    expect(takes([{ depth: 1 }], 5)).toBe(0);
  });
});
