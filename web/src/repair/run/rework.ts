import type { Api } from "../../api/client";
import { gateOf, pathOf, type RunStepId, textOf } from "./run-step-id";

/**
 * Depth of the hollow that the rework around `at` fills again, in mm: the last read at its gate or in it. Pinholes take a coat. What
 * the core says of the same run; needed here while the server is out of reach.
 */
export function depthMm(at: RunStepId, readings: readonly Api["Reading"][]): number | undefined {
  const round = gateOf(at);
  if (!round) return undefined;
  const gate = textOf(round.gate);
  const path = pathOf(at);
  const read = readings.findLast((r) => r.quantity === "DEPTH_MM" && (r.step === gate || r.step.startsWith(path)));
  return read?.value ?? (round.answer === "pinholes" ? 0 : undefined);
}

/** Filler to weigh for `mix` at `at`, in g: as planned, in rework or after a depth that was read as much as that takes. */
export function fillerFor(plan: Api["Plan"], at: RunStepId, mix: string, readings: readonly Api["Reading"][]): number {
  const pour = plan.mixes.find((m) => m.id === mix)?.pour;
  const again = pour?.again;
  if (!pour || !again) return pour?.fillerG ?? 0;
  const depth = depthMm(at, readings);
  if (depth === undefined) return at.rounds.length > 0 ? pour.fillerG : deeper(plan, mix, pour, again, readings);
  return Math.min(again.most, Math.max(again.least, Math.ceil(again.coat + again.perMm * depth - 1e-9)));
}

/** The plan's own mix where another depth was read than it was made for: more or less by what a mm of that hollow takes. */
function deeper(
  plan: Api["Plan"],
  mix: string,
  pour: Api["Pour"],
  again: Api["Again"],
  readings: readonly Api["Reading"][],
): number {
  const at = plan.steps.map((s) => s.step).find((s) => s.watches.some((w) => w.mix === mix));
  const watch = at?.watches.find((w) => w.mix === mix);
  const read = readings.findLast(
    (r) => r.quantity === watch?.quantity && (r.step === at?.id || r.step.startsWith(`${at?.id ?? ""}~`)),
  );
  if (!watch || !read || Math.abs(read.value - watch.limit) <= 1e-9) return pour.fillerG;
  const asked = Math.ceil(pour.fillerG + (again.perMm / pour.batches) * (read.value - watch.limit) - 1e-9);
  return Math.min(Math.max(again.most, pour.fillerG), Math.max(Math.min(again.least, pour.fillerG), asked));
}
