import { describe, expect, it } from "vitest";
import type { Api } from "../../api/client";
import { aheadOfServer } from "./ahead-of-server";
import type { BenchEvent } from "./outbox";

interface Turn {
  event: BenchEvent;
  current: string;
  steps?: string[];
  clocks: string[];
  weigh: string[];
  stops: string[];
  findings: string[];
}
interface Fixture {
  plan: Api["Plan"];
  begun: Api["RunState"];
  turns: Turn[];
}

const runs = import.meta.glob<Fixture>("../../api/generated/runs/*.json", { eager: true, import: "default" });
const recipes = Object.keys(runs).map((f) => f.replace(/^.*\/|\.json$/g, ""));

function kept(recipe: string): Fixture {
  const fixture = runs[`../../api/generated/runs/${recipe}.json`];
  if (!fixture) throw new Error(`no run of ${recipe} is kept`);
  const none = { clocks: [], mixes: [], readings: [], notes: [], before: [], findings: [], stops: [], spots: [] };
  const begun: Partial<Api["RunState"]> = none;
  return { ...fixture, begun: { ...fixture.begun, ...begun } };
}

describe("ahead of the server", () => {
  it.each(recipes)("%s: steps through every loop just as the core does, with no server at all", (recipe) => {
    const { plan, begun, turns } = kept(recipe);
    let steps = begun.steps.map((s) => s.id);
    let state = begun;
    for (const turn of turns) {
      state = aheadOfServer(plan, state, [turn.event]);
      steps = turn.steps ?? steps;
      const after = `after ${turn.event.kind} at ${turn.event.step}`;
      expect(state.current ?? "", after).toBe(turn.current);
      expect(
        state.steps.map((s) => s.id),
        after,
      ).toEqual(steps);
      expect(state.clocks.map((c) => `${c.step} ${c.kind} ${c.label}`).sort(), after).toEqual(turn.clocks);
      expect(
        state.mixes.map((m) => `${m.step} ${Math.round(m.fillerTargetG)} ${Math.round(m.creamTargetG * 10) / 10}`),
        after,
      ).toEqual(turn.weigh);
      expect(
        state.stops.map((s) => `${s.step} ${s.title} ${s.weight} ${s.more}`),
        after,
      ).toEqual(turn.stops);
      expect(
        state.findings.map((f) => `${f.watch.id} ${f.weight} ${(Math.round(f.limit * 10) / 10).toFixed(1)}`),
        after,
      ).toEqual(turn.findings);
    }
    expect(turns.at(-1)?.current).toBe("");
  });

  it("puts all events on top of the last state at once as one after the other", () => {
    const { plan, begun, turns } = kept("dent-filler-putty");
    const sent = turns.map((t) => t.event);
    expect(aheadOfServer(plan, begun, sent)).toEqual(sent.reduce((s, e) => aheadOfServer(plan, s, [e]), begun));
  });

  it("takes cream to what was weighed, and the deadline from the plan", () => {
    const { plan, begun, turns } = kept("dent-filler-putty");
    // The first clock is refused: far too much cream.
    const mixAt = turns.findIndex((t) => t.event.kind === "CLOCK" && t.clocks.length > 0);
    const state = aheadOfServer(
      plan,
      begun,
      turns.slice(0, mixAt + 1).map((t) => t.event),
    );
    const mix = state.mixes.at(-1);
    expect(mix?.creamTargetG).toBe(1.2);
    expect(mix?.percent).toBeCloseTo(1.954, 3);
    const clock = state.clocks[0];
    const planned = plan.mixes[0]?.pour.onPartByMin ?? 0;
    expect((Date.parse(clock?.endsAt ?? "") - Date.parse(clock?.startedAt ?? "")) / 60_000).toBeCloseTo(planned, 2);
  });

  it("takes back what was undone before it was sent, and ignores what no longer fits", () => {
    const { plan, begun, turns } = kept("plastic-adhesive-cloth");
    const [first, second] = turns.map((t) => t.event);
    if (!first || !second) throw new Error("no turns");
    const undo: BenchEvent = { id: "u", kind: "UNDO", at: first.at, target: second.id };
    expect(aheadOfServer(plan, begun, [first, second, undo]).current).toBe(turns[0]?.current);
    expect(aheadOfServer(plan, begun, [first, first]).current).toBe(turns[0]?.current);
    expect(aheadOfServer(plan, begun, [{ ...first, id: "x", step: "pinholes" }]).current).toBe(begun.current);
  });

  it("counts a reading once that the server has and the outbox still holds", () => {
    const { plan, begun, turns } = kept("run-block");
    const stop = turns.findIndex((t) => t.stops.length > 0);
    const read = turns[stop + 2]?.event;
    const after = aheadOfServer(
      plan,
      begun,
      turns.slice(0, stop + 3).map((t) => t.event),
    );
    if (!read || read.kind !== "READING") throw new Error("no reading that passes");
    expect(aheadOfServer(plan, after, [read]).stops).toEqual(after.stops);
  });
});
