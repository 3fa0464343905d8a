import { describe, expect, it } from "vitest";
import type { Api } from "../api/client";
import { nextThing, selectorOf } from "./next-bar";

globalThis.CSS ??= { escape: (s: string) => s.replace(/([[\].])/g, "\\$1") } as typeof CSS;

const problem = (field: string) => ({ field, given: "", expected: "", message: `${field} is missing` });
const workup = (outcome: string, plan?: object, blockers: string[] = []) =>
  ({ verdict: { outcome }, plan, blockers }) as unknown as Api["Workup"];

describe("the next thing on the way to a plan", () => {
  it("is what guards life first, then what it is, then what happened to it", () => {
    const asked = [{ id: "airbag", ask: "An airbag behind it?" }];
    const problems = [problem("part.metal"), problem("damages[0].depthMm")];
    expect(nextThing(asked, problems, undefined, "part")).toMatchObject({ ask: "airbag", station: "part" });
    expect(nextThing([], problems, undefined, "part")).toMatchObject({ field: "part.metal", station: "part" });
    expect(nextThing([], problems.slice(1), undefined, "part")).toMatchObject({ station: "damage" });
  });

  it("leads on to verdict, steps and run, never back, and nowhere for what may not be mended", () => {
    const planned = workup("MEND", {});
    expect(nextThing([], [], planned, "damage")?.station).toBe("verdict");
    for (const at of ["verdict", "stack", "footprint"] as const)
      expect(nextThing([], [], planned, at)?.station).toBe("steps");
    expect(nextThing([], [], planned, "steps")?.station).toBe("run");
    expect(nextThing([], [], workup("REFER"), "verdict")).toBeUndefined();
  });

  it("goes to the stack where no plan stands, and says why", () => {
    const held = workup("MEND", undefined, ["No filler on the shelf"]);
    expect(nextThing([], [], held, "verdict")).toEqual({ words: "No filler on the shelf", station: "stack" });
    expect(nextThing([], [], held, "stack")).toBeUndefined();
  });

  it("finds a field of the part, and one of the damage it belongs to", () => {
    expect(selectorOf("part.metal")).toContain("part\\.metal");
    expect(selectorOf("damages[1].depthMm")).toContain('[data-damage="1"] [data-field="depthMm"]');
  });
});
