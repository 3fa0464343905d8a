import { describe, expect, it } from "vitest";
import { remembered } from "./remembered";

describe("what a drawing was worked out to", () => {
  it("is made once for each drawing and each way of looking at it", () => {
    const zones = [1];
    let made = 0;
    const ask = (of: object, key: string) => remembered(of, key, () => ++made);
    expect(ask(zones, "face")).toBe(1);
    expect(ask(zones, "face")).toBe(1);
    expect(ask(zones, "back")).toBe(2);
    expect(ask([1], "face")).toBe(3);
  });
});
