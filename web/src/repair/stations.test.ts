import { describe, expect, it } from "vitest";
import type { Api } from "../api/client";
import { standings } from "./stations";
import { turned } from "./turned";

const problem = (field: string): Api["InputProblem"] => ({ field, given: "", expected: "", message: "" });
const workup = (chosen: boolean, plan: boolean, outcome = "MEND") =>
  ({
    verdict: { outcome },
    stack: { taken: "some-way", lines: [{ missing: chosen ? "" : "Nothing on the shelf for fill." }] },
    drawing: { section: {} },
    plan: plan ? {} : undefined,
  }) as unknown as Api["Workup"];
const begun = { startedAt: "2026-11-24T08:00:00Z", steps: [], current: "wash" } as unknown as Api["RunState"];

describe("standings of the stations", () => {
  it("leaves open what is still to say", () => {
    const s = standings(undefined, [problem("part.name"), problem("damages[0].depthMm")], undefined);
    expect(s).toMatchObject({
      part: "open",
      damage: "open",
      verdict: "open",
      stack: "open",
      steps: "open",
      run: "open",
    });
    expect(standings(undefined, [problem("damages")], undefined)).toMatchObject({ part: "done", damage: "open" });
    expect(standings(undefined, [problem("part")], undefined).part).toBe("open");
  });

  it("ticks neither the part nor its verdict while a question about it is unanswered", () => {
    expect(standings(workup(true, true), [], undefined, 1)).toMatchObject({ part: "open", verdict: "open" });
    expect(standings(workup(true, true), [], undefined, 0)).toMatchObject({ part: "done", verdict: "done" });
  });

  it("is done with a stack only when nothing is missing, and with steps only when there is a plan", () => {
    expect(standings(workup(false, false), [], undefined)).toMatchObject({
      verdict: "done",
      stack: "open",
      steps: "open",
    });
    expect(standings(workup(true, true), [], undefined)).toMatchObject({
      stack: "done",
      footprint: "done",
      steps: "done",
    });
  });

  it("ticks no stack, no footprint and no steps where it may not be mended", () => {
    expect(standings(workup(true, false, "REPLACE"), [], undefined)).toMatchObject({
      verdict: "done",
      stack: "open",
      footprint: "open",
      steps: "open",
    });
  });

  it("tells a run that is under way from one that is finished", () => {
    expect(standings(workup(true, true), [], begun)).toMatchObject({ run: "running", record: "open" });
    const finished = { ...begun, finishedAt: "2026-11-24T10:00:00Z" };
    expect(standings(workup(true, true), [], finished)).toMatchObject({ run: "done", record: "done" });
  });
});

describe("a map with one entry turned", () => {
  it("sets, replaces and takes out, and leaves the old one alone", () => {
    const old = { ladder: "fine" };
    expect(turned(old, "ladder", "quick")).toEqual({ ladder: "quick" });
    expect(turned(old, "ladder", "")).toEqual({});
    expect(turned(undefined, "ladder", "quick")).toEqual({ ladder: "quick" });
    expect(old).toEqual({ ladder: "fine" });
  });
});
