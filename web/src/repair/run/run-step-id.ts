import type { Api } from "../../api/client";

/** Which step of a run: the answers that put it in, its own name, and the how-manieth time it is asked. */
export type RunStepId = Api["RunStepId"];

const named = (name: string, time: number) => (time === 1 ? name : `${name}~${time}`);

/** What the ids of every step in the same round begin with. */
export const pathOf = (at: RunStepId) => at.rounds.map((r) => `${named(r.gate, r.time)}:${r.answer}/`).join("");

/** What events and readings of it are kept under, as the core writes it. */
export const textOf = (at: RunStepId) => pathOf(at) + named(at.step, at.time);

/** The same gate asked once more. */
export const again = (at: RunStepId): RunStepId => ({ ...at, time: at.time + 1 });

/** A step of the loop that the gate's answer puts in. */
export const inserted = (gate: RunStepId, answer: string, step: string): RunStepId => ({
  rounds: [...gate.rounds, { gate: gate.step, time: gate.time, answer }],
  step,
  time: 1,
});

/** What the gate whose answer put a step in is kept under, as it was asked then. */
export const gateTextOf = (at: RunStepId): string | undefined => {
  const round = gateOf(at);
  return round && textOf(round.gate);
};

/** The gate whose answer put a step in, as it was asked then; none for a step of the plan. */
export function gateOf(at: RunStepId): { gate: RunStepId; answer: string } | undefined {
  const last = at.rounds.at(-1);
  return last && { gate: { rounds: at.rounds.slice(0, -1), step: last.gate, time: last.time }, answer: last.answer };
}
