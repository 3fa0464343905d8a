import { describe, expect, it } from "vitest";
import type { Api } from "../../api/client";
import { weighedSoFar } from "./mix-figure";

const WINDOW = { from: 1.5, to: 3, curesFrom: 1, curesTo: 4 } as Api["DoseWindow"];
const mix = (fillerG?: number) => ({ fillerTargetG: 93, fillerG, creamTargetG: 1.9 }) as Api["MixDone"];
const spaced = (s: string) => s.replace(/\u202f/g, " ");

describe("what is on the scale", () => {
  it("says how much filler is still wanted, and is red until it is enough", () => {
    const short = weighedSoFar("FILLER_G", 60, mix(), WINDOW, "filler, for 0.6 mm of depth");
    expect([short.value, short.unit, spaced(short.note), short.off]).toEqual([
      "60",
      "g",
      "filler, for 0.6 mm of depth: 33 g more",
      true,
    ]);
    expect(weighedSoFar("FILLER_G", 93.4, mix(), WINDOW, "").off).toBe(false);
  });

  it("judges the cream by the filler that was really weighed, not by what was asked", () => {
    const low = weighedSoFar("CREAM_G", 0.6, mix(44.6), WINDOW, "");
    expect(spaced(low.note)).toBe("cream, 1.3 %: 0.1 g more");
    expect(low.off).toBe(true);
    expect(weighedSoFar("CREAM_G", 0.9, mix(44.6), WINDOW, "")).toMatchObject({ value: "0.9" });
    expect(weighedSoFar("CREAM_G", 0.9, mix(44.6), WINDOW, "").off).toBeUndefined();
    const over = weighedSoFar("CREAM_G", 1.6, mix(44.6), WINDOW, "");
    expect(over.off).toBe(true);
    expect(spaced(over.note)).toContain("more than 3 %, take some off");
  });
});
