import type { Api } from "../../api/client";
import { gateOf, pathOf, type RunStepId, textOf } from "./run-step-id";

type Plan = Api["Plan"];
type Again = Api["Again"];
type Spot = Api["Spot"];

/** What was read and what was drawn in a run. */
export type Seen = Pick<Api["RunState"], "readings" | "spots">;

/** The branch of every gate that finds a hollow left, and the one that finds pinholes. */
export const LOW = "low";
const PINHOLES = "pinholes";

/** Spots that were drawn at the gate that asked for the rework around `at`. */
function drawn(at: RunStepId, seen: Seen): Spot[] {
  const round = gateOf(at);
  return round ? seen.spots.filter((s) => s.step === textOf(round.gate)) : [];
}

const deepest = (spots: readonly Spot[]) =>
  spots.reduce<number | undefined>((d, s) => (s.depthMm === undefined ? d : Math.max(d ?? 0, s.depthMm)), undefined);

const area = (spots: readonly Spot[]) =>
  spots.reduce((sum, s) => sum + (Math.PI / 4) * s.place.lengthMm * s.place.widthMm, 0);

/** What low spots hold, mL, each a bowl by itself; the core counts what two of them share once. */
const hollow = (spots: readonly Spot[]) =>
  spots
    .filter((s) => s.branch === LOW)
    .reduce((sum, s) => sum + (((Math.PI / 4) * s.place.lengthMm * s.place.widthMm) / 2) * (s.depthMm ?? 0), 0) / 1000;

const readAgain = (at: RunStepId, seen: Seen) =>
  seen.readings.findLast((r) => r.quantity === "DEPTH_MM" && r.step.startsWith(pathOf(at)))?.value;

/** The last of {@code quantity} that was read at the gate of the rework around `at` or in it. */
function lastOf(quantity: Api["Reading"]["quantity"], at: RunStepId, seen: Seen): number | undefined {
  const round = gateOf(at);
  if (!round) return undefined;
  const gate = textOf(round.gate);
  const path = pathOf(at);
  return seen.readings.findLast((r) => r.quantity === quantity && (r.step === gate || r.step.startsWith(path)))?.value;
}

/**
 * Depth of the hollow that the rework around `at` fills again, in mm: the last read in it, else the deepest drawn at its gate, else the last read
 * there. Pinholes take a coat. What the core says of the same run; needed here while the server is out of reach.
 */
export function depthMm(at: RunStepId, seen: Seen): number | undefined {
  const round = gateOf(at);
  if (!round) return undefined;
  return (
    readAgain(at, seen) ??
    deepest(drawn(at, seen)) ??
    lastOf("DEPTH_MM", at, seen) ??
    (round.answer === PINHOLES ? 0 : undefined)
  );
}

const within = (again: Again, amount: number) => Math.min(again.most, Math.max(again.least, Math.ceil(amount - 1e-9)));

/** What of the area that is coated again the spots are. */
function share(again: Again, spots: readonly Spot[]): number {
  const mm2 = again.lay?.spotMm2 ?? 0;
  return mm2 > 0 && spots.length > 0 ? Math.min(1, area(spots) / mm2) : 1;
}

/** How much one more round takes at `at`; nothing where no depth is known. */
function amountOf(again: Again, at: RunStepId, seen: Seen): number | undefined {
  const spots = drawn(at, seen);
  const deep = deepest(spots);
  const coat = again.coat * share(again, spots);
  if (deep !== undefined && again.perMl > 0)
    return within(again, coat + again.perMl * hollow(spots) * ((readAgain(at, seen) ?? deep) / deep));
  const depth = depthMm(at, seen);
  if (depth === 0 || (depth === undefined && spots.length > 0)) {
    const thin = gateOf(at)?.answer === PINHOLES ? again.lay?.thin : undefined;
    return within(again, thin === undefined ? coat : thin * share(again, spots));
  }
  if (depth === undefined) return undefined;
  const across = lastOf("SPOT_MM", at, seen);
  const cylinder =
    again.perMl > 0 && across !== undefined ? (again.perMl * (Math.PI / 4) * across * across) / 1000 : Infinity;
  return within(again, again.coat + depth * Math.min(again.perMm, cylinder));
}

/** Filler to weigh for `mix` at `at`, in g: as planned, in rework or after a depth that was read as much as that takes. */
export function fillerFor(plan: Plan, at: RunStepId, mix: string, seen: Seen): number {
  const pour = plan.mixes.find((m) => m.id === mix)?.pour;
  const again = pour?.again;
  if (!pour || !again) return pour?.fillerG ?? 0;
  if (at.rounds.length === 0) return deeper(plan, mix, pour, again, seen.readings);
  return amountOf(again, at, seen) ?? pour.fillerG;
}

/** The plan's own mix where another depth was read than it was made for: more or less by what a mm of that hollow takes. */
function deeper(plan: Plan, mix: string, pour: Api["Pour"], again: Again, readings: readonly Api["Reading"][]): number {
  const at = plan.steps.map((s) => s.step).find((s) => s.watches.some((w) => w.mix === mix));
  const watch = at?.watches.find((w) => w.mix === mix);
  const read = readings.findLast(
    (r) => r.quantity === watch?.quantity && (r.step === at?.id || r.step.startsWith(`${at?.id ?? ""}~`)),
  );
  if (!watch || !read || Math.abs(read.value - watch.limit) <= 1e-9) return pour.fillerG;
  const asked = Math.ceil(pour.fillerG + (again.perMm / pour.batches) * (read.value - watch.limit) - 1e-9);
  return Math.min(Math.max(again.most, pour.fillerG), Math.max(Math.min(again.least, pour.fillerG), asked));
}

/** Whether `step` of the rework around `at` is a paper coarser than what was laid there asks. */
export function tooCoarse(plan: Plan, loop: readonly Api["Step"][], at: RunStepId, step: Api["Step"], seen: Seen) {
  const grade = gradeOf(plan, step);
  const lay = laying(plan, loop)?.lay;
  const depth = depthMm(at, seen);
  if (grade === undefined || !lay || depth === undefined) return false;
  const laid = depth > 0 || gateOf(at)?.answer !== PINHOLES ? depth + lay.coatMm : lay.thinMm;
  const { thickMm, thinMm, middle, fine } = lay.papers;
  const coarsest = laid > thickMm ? 0 : laid >= thinMm ? middle : fine;
  return grade < coarsest && loop.some((s) => (gradeOf(plan, s) ?? 0) >= coarsest);
}

const gradeOf = (plan: Plan, step: Api["Step"]) =>
  step.acts.includes("PAPER") ? plan.ladder.rungs.find((r) => r.id === step.id)?.grade : undefined;

/** What a round of a rework lays. */
function laying(plan: Plan, loop: readonly Api["Step"][]): Again | undefined {
  const spread = loop.find((s) => s.kind === "SPREAD");
  return spread?.mix
    ? plan.mixes.find((m) => m.id === spread.mix)?.pour.again
    : plan.portions.find((p) => p.id === spread?.portion)?.again;
}
