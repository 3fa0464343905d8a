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

/** Filler to weigh at `at`, in g: as planned, in rework by the depth that was read. */
export function fillerFor(at: RunStepId, pour: Api["Pour"] | undefined, readings: readonly Api["Reading"][]): number {
  const depth = depthMm(at, readings);
  const again = pour?.again;
  if (!pour || !again || depth === undefined) return pour?.fillerG ?? 0;
  return Math.min(again.most, Math.max(again.least, Math.ceil(again.coat + again.perMm * depth - 1e-9)));
}
