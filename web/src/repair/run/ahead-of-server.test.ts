import { describe, expect, it } from "vitest";
import type { Api } from "../../api/client";
import fixture from "../../api/generated/run-fixture.json";
import { aheadOfServer } from "./ahead-of-server";
import type { BenchEvent } from "./outbox";

interface Turn {
  event: BenchEvent;
  current: string;
  steps: string[];
  clocks: string[];
  weigh: string[];
}
const plan = fixture.plan as unknown as Api["Plan"];
const begun = fixture.begun as unknown as Api["RunState"];
const turns = fixture.turns as unknown as Turn[];

describe("ahead of the server", () => {
  it("steps through a whole run with its loops just as the core does, with no server at all", () => {
    const sent: BenchEvent[] = [];
    for (const turn of turns) {
      sent.push(turn.event);
      const state = aheadOfServer(plan, begun, sent);
      expect(state.current ?? "", `after ${turn.event.kind} ${turn.event.step}`).toBe(turn.current);
      expect(state.steps.map((s) => s.id)).toEqual(turn.steps);
      expect(state.clocks.map((c) => `${c.step} ${c.kind}`).sort()).toEqual(turn.clocks);
      expect(state.mixes.map((m) => `${m.step} ${Math.round(m.fillerTargetG)}`)).toEqual(turn.weigh);
    }
    expect(turns.length).toBeGreaterThan(40);
    expect(turns.at(-1)?.current).toBe("");
  });

  it("takes cream to what was weighed, and the deadline from the plan", () => {
    const mixAt = turns.findIndex((t) => t.event.kind === "CLOCK");
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
    const [first, second] = turns.map((t) => t.event);
    if (!first || !second) throw new Error("no turns");
    const undo: BenchEvent = { id: "u", kind: "UNDO", at: first.at, target: second.id };
    expect(aheadOfServer(plan, begun, [first, second, undo]).current).toBe(turns[0]?.current);
    expect(aheadOfServer(plan, begun, [first, first]).current).toBe(turns[0]?.current);
    expect(aheadOfServer(plan, begun, [{ ...first, id: "x", step: "palm" }]).current).toBe(begun.current);
  });
});
