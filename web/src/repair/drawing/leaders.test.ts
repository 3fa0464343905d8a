import { describe, expect, it } from "vitest";
import { APART_PX, type Dot, placed, tangled } from "./leaders";

const straight = (port: Dot, end: Dot) => [port, end];

describe("leaders", () => {
  it("are told as tangled where they cross, run over an end, or end on each other", () => {
    const at = (x: number, y: number) => ({ x, y });
    expect(tangled([at(100, 0), at(0, 100)], [at(100, 100), at(0, 0)])).toBe(true);
    expect(tangled([at(100, 0), at(0, 0)], [at(100, 20), at(50, 1)])).toBe(true);
    expect(tangled([at(100, 20), at(50, 1)], [at(100, 0), at(0, 0)])).toBe(true);
    expect(tangled([at(100, 0), at(0, 0)], [at(100, 20), at(3, 5)])).toBe(true);
    expect(tangled([at(100, 0), at(0, 0)], [at(100, 20), at(0, 20)])).toBe(false);
  });

  it("take another end where the one that is liked best would cross", () => {
    const ends = placed(
      [
        { port: { x: 100, y: 0 }, ends: [{ x: 0, y: 50 }] },
        {
          port: { x: 100, y: 20 },
          ends: [
            { x: 0, y: 10 },
            { x: 0, y: 80 },
          ],
        },
      ],
      straight,
    );
    expect(ends[1]?.end).toEqual({ x: 0, y: 80 });
  });

  it("go back on an earlier choice where a later label would find no end", () => {
    const ends = placed(
      [
        {
          port: { x: 100, y: 0 },
          ends: [
            { x: 0, y: 50 },
            { x: 0, y: 0 },
          ],
        },
        { port: { x: 100, y: 20 }, ends: [{ x: 0, y: 45 }] },
      ],
      straight,
    );
    expect(ends.map((e) => e.end)).toEqual([
      { x: 0, y: 0 },
      { x: 0, y: 45 },
    ]);
  });

  it("let labels change places where no choice of ends keeps their order", () => {
    const out = placed(
      [
        { port: { x: 100, y: 0 }, ends: [{ x: 0, y: 90 }] },
        { port: { x: 100, y: 50 }, ends: [{ x: 0, y: 10 }] },
        { port: { x: 100, y: 100 }, ends: [{ x: 0, y: 50 }] },
      ],
      straight,
    );
    expect(out.map((p) => p.port.y)).toEqual([100, 0, 50]);
    const lines = out.map((p) => [p.port, p.end ?? p.port]);
    lines.forEach((a, i) => lines.slice(0, i).forEach((b) => expect(tangled(a, b)).toBe(false)));
  });

  it("leave nothing out where nothing fits, and no leader where there is no end", () => {
    const ends = placed(
      [
        { port: { x: 100, y: 0 }, ends: [{ x: 0, y: 50 }] },
        { port: { x: 100, y: 20 }, ends: [{ x: 0, y: 50 }] },
        { port: { x: 100, y: 40 }, ends: [] },
      ],
      straight,
    );
    expect(ends[1]?.end).toEqual({ x: 0, y: 50 });
    expect(ends[2]?.end).toBeUndefined();
  });

  it("never tangle where a choice exists that does not: layers of a pixel, one on the other", () => {
    const slots = Array.from({ length: 9 }, (_, i) => ({
      port: { x: 400, y: 20 + i * 30 },
      ends: Array.from({ length: 24 }, (_, k) => ({ x: 350 - k * 13, y: 100 + i * 1.5 })),
    }));
    const ends = placed(slots, straight).map((p) => p.end);
    const lines = slots.map((s, i) => [s.port, ends[i] ?? s.port]);
    lines.forEach((a, i) => lines.slice(0, i).forEach((b) => expect(tangled(a, b)).toBe(false)));
    ends.forEach((a, i) =>
      ends
        .slice(0, i)
        .forEach((b) =>
          expect(Math.hypot((a?.x ?? 0) - (b?.x ?? 0), (a?.y ?? 0) - (b?.y ?? 0))).toBeGreaterThanOrEqual(APART_PX),
        ),
    );
  });
});
