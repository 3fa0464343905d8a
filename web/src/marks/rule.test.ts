import { describe, expect, it } from "vitest";
import { heightTicks, lengthTicks, minuteTicks } from "./rule";

describe("ticks of a rule", () => {
  it("numbers every long tick once, inside the rule, never closer than a number is wide", () => {
    for (const perMm of [0.2, 0.5, 1, 2.3, 7]) {
      for (const system of ["metric", "inch"] as const) {
        const ticks = lengthTicks(-12, 430, perMm, system);
        const numbered = ticks.filter((t) => t.label !== undefined);
        expect(new Set(numbered.map((t) => t.label)).size).toBe(numbered.length);
        expect(ticks.every((t) => t.at >= -12.001 && t.at <= 430.001)).toBe(true);
        for (let i = 1; i < numbered.length; i++) {
          expect(((numbered[i]?.at ?? 0) - (numbered[i - 1]?.at ?? 0)) * perMm).toBeGreaterThanOrEqual(45.9);
        }
      }
    }
  });

  it("puts inch ticks where inches are", () => {
    const one = lengthTicks(0, 100, 3, "inch").find((t) => t.label === "1");
    expect(one?.at).toBeCloseTo(25.4, 9);
    expect(heightTicks(-3, 1, 30, "metric").find((t) => t.label === "0")?.at).toBeCloseTo(0, 9);
  });

  it("ticks minutes", () => {
    expect(
      minuteTicks(0, 6, 190)
        .filter((t) => t.label)
        .map((t) => t.label),
    ).toContain("5");
  });

  it("tells parts of a minute in seconds", () => {
    const labels = minuteTicks(0, 1, 1000).flatMap((t) => t.label ?? []);
    expect(labels).toEqual(["0", "0:10", "0:20", "0:30", "0:40", "0:50", "1"]);
  });
});
