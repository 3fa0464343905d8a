import { msg } from "../../messages/messages";
import type { Api } from "../../api/client";
import { creamFor, neverCures, percentOf } from "./dose";
import { answered, findingsAt, leaves, stopping, stopsAfter } from "./judge";
import type { BenchEvent } from "./outbox";
import { fillerFor, LOW, tooCoarse } from "./rework";
import { again, gateOf, inserted, pathOf, type RunStepId, textOf } from "./run-step-id";

type State = Api["RunState"];
type Plan = Api["Plan"];
type RunStep = Api["RunStep"];

/** Whether it sets a mix going: filler meets cream, a mixer is fitted, two parts are put together. */
const goesLive = (s: Api["Step"]) => s.kind === "MIX" || s.acts.includes("EQUALISE") || s.acts.includes("HAND_MIX");

const plus = (at: string, minutes: number) => new Date(Date.parse(at) + Math.round(minutes * 60) * 1000).toISOString();

/**
 * What the screen shows while events are still on their way: the server's last state with them put on top. It moves the step in hand
 * and starts planned clocks; the server's own computation replaces it as soon as it answers.
 */
export function aheadOfServer(plan: Plan, state: State, pending: readonly BenchEvent[]): State {
  const undone = new Set(pending.filter((e) => e.kind === "UNDO").map((e) => e.target));
  // What the server has already counted may still stand in the outbox for a moment: it counts once.
  const known = new Set([...state.readings, ...state.notes, ...state.spots].map((x) => x.event));
  return pending.filter((e) => !undone.has(e.id) && !known.has(e.id)).reduce((s, e) => take(plan, s, e), state);
}

function take(plan: Plan, state: State, e: BenchEvent): State {
  if (e.kind === "READING" && e.quantity && e.value !== undefined) return read(plan, state, e, e.quantity, e.value);
  if (e.kind === "NOTE") {
    const note = { event: e.id, step: e.step ?? "", text: e.text ?? "", at: e.at, by: "" };
    return { ...state, notes: [...state.notes, note], lastUndoable: e.id };
  }
  if (e.kind === "AGAINST") {
    return { ...state, stops: state.stops.filter((s) => s.event !== e.target), lastUndoable: e.id };
  }
  if (e.kind === "END") {
    const ended = { how: e.answer as Api["Ended"]["how"], why: e.text ?? "", at: e.at, by: "" };
    return { ...state, ended, current: undefined, clocks: [], before: [], findings: [], lastUndoable: e.id };
  }
  // What is put right, handed over or signed is the server's to work out.
  const i = state.steps.findIndex((s) => s.id === state.current);
  const now = state.steps[i];
  if (!now || now.id !== e.step) return state;
  if (e.kind === "CLOCK" && now.step.kind === "MIX")
    return goes(plan, state, now) ? startClock(plan, state, now, e.at, e.id) : state;
  if (e.kind === "DONE" && !now.step.gate && goes(plan, state, now)) {
    const live = now.step.kind === "MIX" ? startClock(plan, state, now, now.beganAt ?? e.at, e.id) : state;
    return advance(plan, live, i, e, "", []);
  }
  if (e.kind === "SCRAP") return scrap(plan, state, i, e);
  if (e.kind === "SPOT") return spot(state, now, e);
  if (e.kind === "GATE" && now.step.gate) return gate(plan, state, i, now, now.step.gate, e);
  return state;
}

function read(plan: Plan, state: State, e: BenchEvent, quantity: Api["Reading"]["quantity"], value: number): State {
  const reading = {
    event: e.id,
    step: e.step ?? "",
    quantity,
    value,
    at: e.at,
    by: "",
    source: e.text ?? "",
    logged: false,
  };
  const readings = [...state.readings, reading];
  const step = state.steps.find((s) => s.id === e.step)?.step;
  const current = state.steps.find((s) => s.id === state.current);
  const next = {
    ...state,
    readings,
    stops: step && plan.binds ? stopsAfter(state.stops, reading, step, readings, plan.air) : state.stops,
    findings: current ? findingsAt(current.step, current.id, readings, plan.air) : [],
    lastUndoable: e.id,
  };
  return { ...next, mixes: next.mixes.map((m) => (m.step === e.step ? weighed(plan, next, m) : m)) };
}

/** A place that the gate in hand finds wanting. */
function spot(state: State, now: RunStep, e: BenchEvent): State {
  const { xMm, yMm, lengthMm, widthMm, angleDeg = 0 } = e.place ?? {};
  const looked = now.step.asks.includes("SPOT_MM") && now.step.gate?.branches.some((b) => b.id === e.answer);
  const whole = xMm !== undefined && yMm !== undefined && lengthMm !== undefined && widthMm !== undefined;
  if (!looked || !whole || (e.answer === LOW && e.value === undefined)) return state;
  const place = { xMm, yMm, lengthMm, widthMm, angleDeg };
  const drawn = { event: e.id, step: now.id, branch: e.answer ?? "", place, depthMm: e.value, at: e.at, by: "" };
  return { ...state, spots: [...state.spots, drawn], lastUndoable: e.id };
}

/** Whether the step in hand may be done, or its mix go live, with what stands. */
function goes(plan: Plan, state: State, now: RunStep): boolean {
  if (!plan.binds) return true;
  const mix = state.mixes.findLast((m) => m.step === now.id);
  const mixing = now.step.kind === "MIX";
  const starts = goesLive(now.step) && !(mixing && mix?.clockAt);
  const window = plan.mixes.find((m) => m.id === mix?.mix)?.pour.window;
  if (starts && mixing && window && mix?.percent !== undefined && neverCures(mix.percent, window)) return false;
  const live = !starts && (mixing || now.step.kind === "SPREAD");
  const loop = reworkOf(state, now);
  return state.stops.length === 0 || live || (loop !== undefined && !starts && leaves(state.stops, loop));
}

/** The rework that a step belongs to; none for the plan's own. */
export function reworkOf(state: State, now: RunStep): string | undefined {
  const round = gateOf(now.at);
  const gate = round && state.steps.find((s) => s.id === textOf(round.gate))?.step.gate;
  return gate?.branches.find((b) => b.id === round?.answer)?.loop;
}

function gate(plan: Plan, state: State, i: number, now: RunStep, asked: Api["Gate"], e: BenchEvent): State {
  if (e.answer === "yes") {
    const own = state.stops.filter((s) => s.watch === "" && s.step === now.id);
    const looked = own.length === state.stops.length && (e.text ?? "").trim() !== "";
    if (state.stops.length > 0 && !looked) return state;
    return advance(plan, { ...state, stops: [] }, i, e, "yes", []);
  }
  const branch = asked.branches.find((b) => b.id === e.answer);
  if (!branch) return state;
  if (stopping(branch.weight) && plan.binds) {
    const others = state.stops.filter((s) => s.watch !== "" || s.step !== now.id);
    return { ...state, stops: [...others, answered(now.id, branch, e.id, e.at)], lastUndoable: e.id };
  }
  if (state.stops.length > 0 && !leaves(state.stops, branch.loop)) return state;
  return advance(plan, state, i, e, branch.id, rework(plan, now, branch));
}

/** What was mixed is thrown away; it is mixed again from the step that set it going. */
function scrap(plan: Plan, state: State, i: number, e: BenchEvent): State {
  const now = state.steps[i];
  if (!now || !(goesLive(now.step) || now.step.kind === "SPREAD")) return state;
  const before = state.steps.slice(0, i + 1);
  const same = (s: RunStep) => s.step.mix === now.step.mix && s.step.portion === now.step.portion;
  const laid = before.slice(0, -1).findLastIndex((s) => s.step.kind === "SPREAD");
  const live = goesLive(now.step) ? i : before.findLastIndex((s, k) => k > laid && goesLive(s.step) && same(s));
  const from = live < 0 ? i : live;
  const once = before.slice(from).map((s) => fresh(again(s.at), s.loop, s.step));
  const out = advance(plan, state, i, e, "scrapped", once);
  const of = state.mixes.findLast((m) => m.mix === now.step.mix && now.step.mix !== "")?.step;
  return {
    ...out,
    clocks: out.clocks.filter((c) => c.kind !== "BY"),
    mixes: out.mixes.map((m) => (m.step === of ? { ...m, spreadAt: undefined, scrapped: e.text ?? "" } : m)),
  };
}

function weighed(plan: Plan, state: State, m: Api["MixDone"]): Api["MixDone"] {
  const last = (q: string) => state.readings.findLast((r) => r.step === m.step && r.quantity === q)?.value;
  const pour = plan.mixes.find((x) => x.id === m.mix)?.pour;
  const at = state.steps.find((s) => s.id === m.step)?.at;
  const fillerTargetG = at ? fillerFor(plan, at, m.mix, state) : m.fillerTargetG;
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
    label: msg("On the part by"),
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
    before: [],
    mixes: state.mixes.map((m) => (m.step === now.id ? { ...m, clockAt: at } : m)),
    lastUndoable: undoable,
  };
}

function rework(plan: Plan, gate: RunStep, branch: Api["Branch"]): RunStep[] {
  const loop = plan.loops.find((l) => l.id === branch.loop)?.steps ?? [];
  return [
    ...loop.map((step) => fresh(inserted(gate.at, branch.id, step.id), branch.label, step)),
    { ...fresh(again(gate.at), gate.loop, gate.step), waitsSince: gate.waitsSince ?? gate.beganAt },
  ];
}

const fresh = (at: RunStepId, loop: string, step: Api["Step"]): RunStep => ({
  id: textOf(at),
  at,
  loop,
  step,
  by: "",
  answer: "",
  remark: "",
  though: [],
  carried: false,
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

const TABLE = new Set<Api["Step"]["acts"][number]>(["CUT_CLOTH", "STIR"]);

/** Done beside the part, asking nothing of it. */
const atTheTable = (step: Api["Step"]) =>
  step.kind === "DO" && !step.gate && !step.clock && step.acts.length > 0 && step.acts.every((a) => TABLE.has(a));

/** Whether two steps are done at one site; what is done for all of them goes with any. */
const together = (a: Api["Step"], b: Api["Step"]) =>
  a.sites.length === 0 || b.sites.length === 0 || a.sites.some((s) => b.sites.includes(s));

/** Place of the step that a wait counts from: the one before it, but for what is done in it, at the table or elsewhere. */
function since(steps: readonly RunStep[], wait: number): number {
  const step = steps[wait]?.step;
  const first = step?.after[0];
  for (let k = wait - 1; step && first !== undefined && k >= 0; k--) {
    const before = steps[k]?.step;
    if (!before || before.id === first) return k;
    if (!atTheTable(before) && together(before, step)) break;
  }
  return wait - 1;
}

/** What was laid in a rework says how coarse its papers begin: those it does not ask for are left out. */
function leaveTooCoarse(plan: Plan, state: State, laid: RunStep, steps: RunStep[], i: number): void {
  const loop = plan.loops.find((l) => l.id === reworkOf(state, laid))?.steps;
  if (!loop) return;
  const round = pathOf(laid.at);
  const after = steps.splice(i + 1);
  steps.push(...after.filter((s) => pathOf(s.at) !== round || !tooCoarse(plan, loop, laid.at, s.step, state)));
}

function advance(plan: Plan, state: State, i: number, e: BenchEvent, answer: string, inserted: RunStep[]): State {
  const steps = [...state.steps];
  const done = steps[i];
  if (!done) return state;
  steps.splice(i, 1, { ...done, doneAt: e.at, answer }, ...inserted);
  if (done.step.kind === "SPREAD" && answer !== "scrapped") leaveTooCoarse(plan, state, done, steps, i);
  const next = steps[i + 1];
  let clocks = state.clocks.filter((c) => c.step !== done.id || c.kind === "BY");
  let mixes = state.mixes;
  if (done.step.kind === "SPREAD") {
    clocks = clocks.filter((c) => c.kind !== "BY");
    mixes = mixes.map((m, k) => (k === mixes.length - 1 ? { ...m, spreadAt: e.at } : m));
  }
  if (next) {
    steps[i + 1] = { ...next, beganAt: e.at };
    // What is done at the table or at another site stands before the wait that it is done in: that runs already.
    steps.forEach((wait, k) => {
      if (k <= i + 1 || wait.step.kind !== "WAIT" || since(steps, k) !== i) return;
      steps[k] = { ...wait, waitsSince: e.at };
      if (wait.step.clock) clocks = [...clocks, planned(wait.id, wait.step.clock, e.at)];
    });
    if (next.step.kind === "MIX" && !mixes.some((m) => m.step === next.id)) {
      const pour = plan.mixes.find((m) => m.id === next.step.mix)?.pour;
      const fillerTargetG = fillerFor(plan, next.at, next.step.mix, state);
      const creamTargetG = pour ? creamFor(fillerTargetG, pour.percent) : 0;
      const made = { step: next.id, mix: next.step.mix, fillerTargetG, creamTargetG, said: "", carried: false };
      mixes = [...mixes, made];
    }
    // What comes from a cartridge or a palette goes off from the moment it is laid.
    const runs = next.step.kind === "WAIT" || (next.step.kind === "SPREAD" && !next.step.mix);
    if (runs && next.step.clock && !clocks.some((c) => c.step === next.id))
      clocks = [...clocks, planned(next.id, next.step.clock, next.waitsSince ?? e.at)];
  }
  return {
    ...state,
    steps,
    clocks,
    mixes,
    // What must hold belongs to the step that was in hand.
    before: [],
    findings: next ? findingsAt(next.step, next.id, state.readings, plan.air) : [],
    current: next?.id,
    lastUndoable: e.id,
    finishedAt: next ? state.finishedAt : e.at,
  };
}
