import { msg } from "../messages/messages";
import { useEffect } from "react";
import { type NavigateFunction, useLocation, useNavigate } from "react-router";
import type { Api } from "../api/client";
import { dialogOpen, useKeys } from "../shell/keys";
import type { Station } from "./stations";

type Problem = Api["InputProblem"];

/** What is to be said next, and where. */
export interface NextThing {
  words: string;
  station: Station;
  /** A question about the part. */
  ask?: string;
  /** A field, as the server calls it. */
  field?: string;
}

/**
 * The next thing on the way to a plan, in the order of the work: what guards life first, then what it is, then what happened to it; after that the
 * station that still wants a choice, and at last the run.
 */
export function nextThing(
  unanswered: readonly { id: string; ask: string }[],
  problems: readonly Problem[],
  workup: Api["Workup"] | undefined,
  at: Station,
): NextThing | undefined {
  const [asked] = unanswered;
  if (asked) return { words: asked.ask, station: "part", ask: asked.id };
  const [problem] = problems;
  if (problem) {
    const station = problem.field.startsWith("damages") ? "damage" : "part";
    return { words: problem.message, station, field: problem.field };
  }
  if (!workup) return undefined;
  const order: readonly Station[] = ["part", "damage", "verdict", "stack", "footprint", "steps"];
  const mends = workup.verdict.outcome === "MEND" || workup.verdict.outcome === "LIMITS";
  if (order.indexOf(at) < order.indexOf("verdict"))
    return { words: msg("see whether it may be mended"), station: "verdict" };
  if (!mends) return undefined;
  if (!workup.plan)
    return at === "stack" ? undefined : { words: workup.blockers[0] ?? msg("choose with what"), station: "stack" };
  return at === "steps"
    ? { words: msg("begin the work"), station: "run" }
    : { words: msg("read the steps"), station: "steps" };
}

/** How the field is found that the server calls {@code field}. */
export function selectorOf(field: string): string {
  const [, index, rest] = /^damages\[(\d+)\]\.(.*)$/.exec(field) ?? [];
  if (index === undefined || rest === undefined) return `[data-field="${CSS.escape(field)}"]`;
  return `[data-damage="${index}"] [data-field="${CSS.escape(rest)}"], [data-damage="${index}"] [data-field^="${CSS.escape(rest)}"]`;
}

interface Wanted {
  field?: string;
  /** Told apart when the same is asked for again. */
  turn?: number;
}

/** Brings the field in hand that a link asked for. */
export function useWantedField(): void {
  const { state, pathname } = useLocation();
  const { field, turn } = (state ?? {}) as Wanted;
  useEffect(() => {
    if (!field) return;
    const found = document.querySelector(selectorOf(field));
    const first = found?.querySelector<HTMLElement>("input, select, button");
    found?.scrollIntoView({ block: "center" });
    first?.focus();
    if (first instanceof HTMLInputElement) first.select();
  }, [field, turn, pathname]);
}

export function go(navigate: NavigateFunction, id: number, to: NextThing): void {
  const state = to.ask ? { ask: to.ask } : to.field ? { field: to.field, turn: Date.now() } : undefined;
  void navigate(`/repairs/${id}/${to.station}`, { state });
}

/** What is still to be said, one thing at a time: the bar says it and leads there; so does Enter in a field. */
export function NextBar({
  id,
  at,
  unanswered,
  problems,
  workup,
}: {
  id: number;
  at: Station;
  unanswered: readonly { id: string; ask: string }[];
  problems: readonly Problem[];
  workup: Api["Workup"] | undefined;
}) {
  const navigate = useNavigate();
  const next = nextThing(unanswered, problems, workup, at);
  const left = unanswered.length + problems.length;
  useKeys((e) => {
    if (e.key !== "Enter" || dialogOpen() || !(e.target instanceof HTMLInputElement)) return;
    // What was just typed may not be judged yet: it is not asked for again.
    const own = e.target.closest("[data-field]");
    const other = problems.filter((p) => own === null || !own.matches(selectorOf(p.field)));
    const to = nextThing(unanswered, other, workup, at);
    if (to) go(navigate, id, to);
  });
  if (!next) return null;
  return (
    <div className="no-print firm-t flex min-h-18 shrink-0 items-stretch" role="region" aria-label={msg("Next")}>
      <p className="flex min-w-0 flex-1 flex-col justify-center px-4 py-1">
        <span className="lab">
          {left === 0
            ? msg("Nothing is missing")
            : left === 1
              ? msg("One thing still to say")
              : msg("{left} things still to say", { left })}
        </span>
        <span className="line-clamp-2 font-semibold max-sm:line-clamp-3">{next.words}</span>
      </p>
      <button
        type="button"
        className="bg-pine text-on-pine n min-w-32 px-6 text-28 font-bold min-[1100px]:w-[248px]"
        onClick={() => go(navigate, id, next)}
      >
        {msg("Next")}
      </button>
    </div>
  );
}
