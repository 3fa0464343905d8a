import type { Api } from "../../api/client";
import { creamFor, percentOf } from "./dose";
import type { BenchEvent } from "./outbox";
import { fillerFor } from "./rework";
import { again, inserted, type RunStepId, textOf } from "./run-step-id";

type State = Api["RunState"];
type Plan = Api["Plan"];
type RunStep = Api["RunStep"];

const plus = (at: string, minutes: number) => new Date(Date.parse(at) + Math.round(minutes * 60) * 1000).toISOString();

/**
 * What the screen shows while events are still on their way: the server's last state with them put on top. It moves the step in hand
 * and starts planned clocks; the server's own computation replaces it as soon as it answers.
 */
export function aheadOfServer(plan: Plan, state: State, pending: readonly BenchEvent[]): State {
  const undone = new Set(pending.filter((e) => e.kind === "UNDO").map((e) => e.target));
  return pending.filter((e) => !undone.has(e.id)).reduce((s, e) => take(plan, s, e), state);
}

function take(plan: Plan, state: State, e: BenchEvent): State {
  if (e.kind === "READING" && e.quantity && e.value !== undefined) {
    const reading = {
      event: e.id,
      step: e.step ?? "",
      quantity: e.quantity,
      value: e.value,
      at: e.at,
      by: "",
      source: e.text ?? "",
      logged: false,
    };
    const next = { ...state, readings: [...state.readings, reading], lastUndoable: e.id };
    return { ...next, mixes: next.mixes.map((m) => (m.step === e.step ? weighed(plan, next, m) : m)) };
  }
  if (e.kind === "NOTE") {
    const note = { event: e.id, step: e.step ?? "", text: e.text ?? "", at: e.at, by: "" };
    return { ...state, notes: [...state.notes, note], lastUndoable: e.id };
  }
  // What is put right, handed over or signed is the server's to work out.
  const i = state.steps.findIndex((s) => s.id === state.current);
  const now = state.steps[i];
  if (!now || now.id !== e.step) return state;
  if (e.kind === "CLOCK" && now.step.kind === "MIX") return startClock(plan, state, now, e.at, e.id);
  if (e.kind === "DONE" && !now.step.gate) {
    const live = now.step.kind === "MIX" ? startClock(plan, state, now, now.beganAt ?? e.at, e.id) : state;
    return advance(plan, live, i, e, "", []);
  }
  if (e.kind === "GATE" && now.step.gate) {
    const branch = now.step.gate.branches.find((b) => b.id === e.answer);
    return advance(plan, state, i, e, e.answer ?? "", branch ? rework(plan, now, branch) : []);
  }
  return state;
}

function weighed(plan: Plan, state: State, m: Api["MixDone"]): Api["MixDone"] {
  const last = (q: string) => state.readings.findLast((r) => r.step === m.step && r.quantity === q)?.value;
  const pour = plan.mixes.find((x) => x.id === m.mix)?.pour;
  const at = state.steps.find((s) => s.id === m.step)?.at;
  const fillerTargetG = at ? fillerFor(at, pour, state.readings) : m.fillerTargetG;
  const fillerG = last("FILLER_G");
  const creamG = last("CREAM_G");
  return {
    ...m,
    fillerTargetG,
    fillerG,
    creamG,
    creamTargetG:
      pour && fillerG ? creamFor(fillerG, pour.percent) : pour ? creamFor(fillerTargetG, pour.percent) : m.creamTargetG,
    percent: fillerG && creamG !== undefined ? percentOf(fillerG, creamG) : undefined,
  };
}

function startClock(plan: Plan, state: State, now: RunStep, at: string, undoable: string): State {
  if (state.mixes.find((m) => m.step === now.id)?.clockAt) return state;
  const pour = plan.mixes.find((m) => m.id === now.step.mix)?.pour;
  const clock: Api["LiveClock"] = {
    step: now.id,
    kind: "BY",
    label: "On the part by",
    startedAt: at,
    endsAt: plus(at, pour?.onPartByMin ?? 0),
    note: "",
    warning: "",
    agedMin: 0,
    neededMin: 0,
  };
  return {
    ...state,
    clocks: [clock, ...state.clocks],
    mixes: state.mixes.map((m) => (m.step === now.id ? { ...m, clockAt: at } : m)),
    lastUndoable: undoable,
  };
}

function rework(plan: Plan, gate: RunStep, branch: Api["Branch"]): RunStep[] {
  const loop = plan.loops.find((l) => l.id === branch.loop)?.steps ?? [];
  return [
    ...loop.map((step) => fresh(inserted(gate.at, branch.id, step.id), branch.label, step)),
    fresh(again(gate.at), gate.loop, gate.step),
  ];
}

const fresh = (at: RunStepId, loop: string, step: Api["Step"]): RunStep => ({
  id: textOf(at),
  at,
  loop,
  step,
  by: "",
  answer: "",
});

/** A clock as planned, from the moment its step begins. */
const planned = (step: string, clock: Api["Clock"], at: string): Api["LiveClock"] => ({
  step,
  kind: clock.kind,
  label: clock.label,
  startedAt: at,
  endsAt: plus(at, clock.minutes),
  note: clock.note,
  warning: "",
  agedMin: 0,
  neededMin: 0,
});

function advance(plan: Plan, state: State, i: number, e: BenchEvent, answer: string, inserted: RunStep[]): State {
  const steps = [...state.steps];
  const done = steps[i];
  if (!done) return state;
  steps.splice(i, 1, { ...done, doneAt: e.at, answer }, ...inserted);
  const next = steps[i + 1];
  let clocks = state.clocks.filter((c) => c.step !== done.id || c.kind === "BY");
  let mixes = state.mixes;
  if (done.step.kind === "SPREAD") {
    clocks = clocks.filter((c) => c.kind !== "BY");
    mixes = mixes.map((m, k) => (k === mixes.length - 1 ? { ...m, spreadAt: e.at } : m));
  }
  if (next) {
    steps[i + 1] = { ...next, beganAt: e.at };
    if (next.step.kind === "MIX" && !mixes.some((m) => m.step === next.id)) {
      const pour = plan.mixes.find((m) => m.id === next.step.mix)?.pour;
      const fillerTargetG = fillerFor(next.at, pour, state.readings);
      const creamTargetG = pour ? creamFor(fillerTargetG, pour.percent) : 0;
      mixes = [...mixes, { step: next.id, mix: next.step.mix, fillerTargetG, creamTargetG, said: "" }];
    }
    // What comes from a cartridge or a palette goes off from the moment it is laid.
    const runs = next.step.kind === "WAIT" || (next.step.kind === "SPREAD" && !next.step.mix);
    if (runs && next.step.clock) clocks = [...clocks, planned(next.id, next.step.clock, e.at)];
  }
  return {
    ...state,
    steps,
    clocks,
    mixes,
    // What must hold and what readings say belongs to the step that was in hand.
    before: [],
    findings: [],
    current: next?.id,
    lastUndoable: e.id,
    finishedAt: next ? state.finishedAt : e.at,
  };
}
