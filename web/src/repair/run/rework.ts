import type { Api } from "../../api/client";

/**
 * Depth of the hollow that the rework around `step` fills again, in mm: the last read at its gate or in it. Pinholes take a coat. What
 * the core says of the same run; needed here while the server is out of reach.
 */
export function depthMm(step: string, readings: readonly Api["Reading"][]): number | undefined {
  const [, asked, answer] = /^(.+)\.([^.]+)\.[^.]+$/.exec(step) ?? [];
  if (!asked || !answer) return undefined;
  const gate = asked.replace(/#1$/, "");
  const prefix = `${asked}.${answer}.`;
  const read = readings.findLast((r) => r.quantity === "DEPTH_MM" && (r.step === gate || r.step.startsWith(prefix)));
  return read?.value ?? (answer === "pinholes" ? 0 : undefined);
}

/** Filler to weigh at `step`, in g: as planned, in rework by the depth that was read. */
export function fillerFor(step: string, pour: Api["Pour"] | undefined, readings: readonly Api["Reading"][]): number {
  const depth = depthMm(step, readings);
  const again = pour?.again;
  if (!pour || !again || depth === undefined) return pour?.fillerG ?? 0;
  return Math.min(again.most, Math.max(again.least, Math.ceil(again.coat + again.perMm * depth - 1e-9)));
}
