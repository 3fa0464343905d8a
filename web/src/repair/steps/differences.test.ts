import { describe, expect, it } from "vitest";
import type { Api } from "../../api/client";
import { differences } from "./differences";

const step = (id: string, more: Partial<Api["Step"]> = {}) =>
  ({
    step: { id, title: id, tool: "", paper: "", material: "", amount: "", detail: "", ...more } as Api["Step"],
    earliestMin: 0,
    latestMin: 0,
  }) as Api["PlannedStep"];
const plan = (...steps: Api["PlannedStep"][]) => ({ steps }) as Api["Plan"];

describe("differences between two schools' plans", () => {
  it("names what is added, left out and changed, in the order of the work", () => {
    const here = plan(step("wash"), step("tape"), step("sand", { paper: "P80" }), step("prime"));
    const there = plan(step("wash"), step("sand", { paper: "P36" }), step("film"), step("prime"));
    expect(differences(here, there).map((d) => `${d.mark} ${d.id}`)).toEqual([
      "same wash",
      "gone tape",
      "other sand",
      "new film",
      "same prime",
    ]);
    expect(differences(here, there)[2]).toMatchObject({ was: "P80", becomes: "P36" });
  });

  it("finds nothing between a plan and itself, and everything against an empty one", () => {
    const here = plan(step("a"), step("b"));
    expect(differences(here, here).every((d) => d.mark === "same")).toBe(true);
    expect(differences(here, plan()).map((d) => d.mark)).toEqual(["gone", "gone"]);
    expect(differences(plan(), here).map((d) => d.mark)).toEqual(["new", "new"]);
  });
});
