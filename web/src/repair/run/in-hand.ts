import { msg } from "../../messages/messages";
import type { Api } from "../../api/client";
import { grams, percent } from "../../units/units";
import { reworkOf } from "./ahead-of-server";
import { honest, neverCures } from "./dose";
import { fillerFor } from "./rework";

/** What must hold now: as the server said of it, the dose by what was weighed since. */
export function mustsNow(
  state: Api["RunState"],
  mix: Api["MixDone"] | undefined,
  window: Api["DoseWindow"] | undefined,
): readonly Api["Must"][] {
  const given = mix?.percent;
  if (!window || given === undefined) return state.before;
  const never = neverCures(given, window);
  const detail = never ? msg("{given}: it never cures, scrap it", { given: percent(given) }) : percent(given);
  return state.before.map((m) =>
    m.dose ? { ...m, said: msg("dose"), holds: honest(given, window), never, detail } : m,
  );
}

/** What the first mix takes since another depth was read than was planned. */
export function changedBy(plan: Api["Plan"], state: Api["RunState"]): string {
  const watch = plan.steps.flatMap((s) => s.step.watches).find((w) => w.mix !== "");
  const step = plan.steps.map((s) => s.step).find((s) => s.kind === "MIX" && s.mix === watch?.mix);
  const pour = plan.mixes.find((m) => m.id === watch?.mix)?.pour;
  if (!watch || !step || !pour) return "";
  const now = fillerFor(plan, { rounds: [], step: step.id, time: 1 }, watch.mix, state);
  return now === pour.fillerG
    ? ""
    : msg("{now} instead of {fillerG}.", { now: grams(now), fillerG: grams(pour.fillerG) });
}

/** Whether the step in hand may be done although something stopped: rework that the stop leaves open, or what is live already. */
export function walkable(state: Api["RunState"], current: Api["RunStep"]): boolean {
  const loop = reworkOf(state, current);
  const mix = state.mixes.findLast((m) => m.step === current.id);
  const live = current.step.kind === "SPREAD" || (current.step.kind === "MIX" && mix?.clockAt !== undefined);
  return live || (loop !== undefined && state.stops.every((s) => s.loop === loop));
}

/** Whether something mixed is in hand that can be thrown away. */
export const scrappable = (step: Api["Step"], mix: Api["MixDone"] | undefined) =>
  step.kind === "SPREAD" || (step.kind === "MIX" && (mix?.fillerG !== undefined || mix?.clockAt !== undefined));
