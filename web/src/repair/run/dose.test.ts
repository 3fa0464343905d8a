import { describe, expect, it } from "vitest";
import { creamFor, percentOf } from "./dose";

describe("cream follows what was weighed", () => {
  it("2 % of 100 g is 2.0 g, of 250 g 5.0 g (common practice: 50 to 1 by weight)", () => {
    expect(creamFor(100, 2)).toBe(2);
    expect(creamFor(250, 2)).toBe(5);
    expect(creamFor(44.6, 2)).toBe(0.9);
    expect(percentOf(100, 2)).toBe(2);
  });

  it("never asks for less than the scale can show", () => {
    expect(creamFor(1, 2)).toBe(0.1);
  });
});
