import { msg } from "../messages/messages";
import { Check, Play } from "lucide-react";
import { Link } from "react-router";
import type { Api } from "../api/client";

/** The eight stations in working order. */
export const STATIONS = ["part", "damage", "verdict", "stack", "footprint", "steps", "run", "record"] as const;
export type Station = (typeof STATIONS)[number];

/** Those where the work is thought out, before it is done and written down. */
export const AT_WORK = ["part", "damage", "verdict", "stack", "footprint", "steps"] as const;
export type AtWork = (typeof AT_WORK)[number];

export const WORDS: Record<Station, string> = {
  part: msg("Part"),
  damage: msg("Damage"),
  verdict: msg("Verdict"),
  stack: msg("Stack"),
  footprint: msg("Footprint"),
  steps: msg("Steps"),
  run: msg("Run"),
  record: msg("Record"),
};

type Standing = "done" | "running" | "open";

/** How far each station has come; while a question about the part is {@code unanswered} neither it nor its verdict is done. */
export function standings(
  workup: Api["Workup"] | undefined,
  problems: readonly Api["InputProblem"][],
  run: Api["RunState"] | undefined,
  unanswered = 0,
): Record<Station, Standing> {
  const clean = (prefix: string) => (problems.some((p) => p.field.startsWith(prefix)) ? "open" : "done");
  const done = (yes: boolean): Standing => (yes ? "done" : "open");
  // What may not be mended has no way, no zones and no steps, whatever the shelf holds.
  const mends = workup?.verdict.outcome === "MEND" || workup?.verdict.outcome === "LIMITS";
  return {
    part: unanswered > 0 || problems.some((p) => p.field === "part") ? "open" : clean("part."),
    damage: clean("damages"),
    verdict: done(unanswered === 0 && workup !== undefined),
    stack: done(mends && workup.stack.taken !== "" && workup.stack.lines.every((l) => l.missing === "")),
    footprint: done(
      mends &&
        (workup.drawing.section !== undefined ||
          (workup.sites.length > 0 && workup.sites.every((s) => s.drawing.section !== undefined))),
    ),
    steps: done(workup?.plan !== undefined),
    run: run?.finishedAt || run?.ended ? "done" : run ? "running" : "open",
    record: done(run?.finishedAt !== undefined || run?.ended !== undefined),
  };
}

/** Stations as a notched rule: a filed notch is done, a triangle runs, violet underlines the open one. */
export function Stations({ id, at, standing }: { id: number; at: Station; standing: Record<Station, Standing> }) {
  return (
    <nav className="no-print firm-b bg-sheet flex h-[58px] shrink-0" aria-label={msg("Stations")}>
      {STATIONS.map((s, i) => {
        const state = standing[s];
        return (
          <Link
            key={s}
            to={`/repairs/${id}/${s}`}
            aria-current={s === at ? "page" : undefined}
            aria-label={WORDS[s]}
            className={`relative flex min-w-11 items-center gap-2 pr-2 pl-2.5 max-[1099px]:justify-center max-[1099px]:px-1 ${s === at ? "bg-ground flex-none min-[1100px]:flex-1 max-[1099px]:px-3 max-[499px]:px-1.5" : "flex-1"} min-[1100px]:min-w-0 ${i > 0 ? "border-l border-hair" : ""}`}
          >
            <svg className="absolute top-0 left-0 h-2.5 w-full" aria-hidden="true">
              {Array.from({ length: 24 }, (_, k) => (
                <path key={k} d={`M${k * 7 + 3} 0v${k % 5 === 0 ? 7 : 4}`} stroke="var(--tick)" />
              ))}
            </svg>
            <svg className="absolute -top-px right-[-11px] z-10" width="22" height="14" aria-hidden="true">
              {state !== "open" && (
                <path
                  d="M1 0H21L11 13Z"
                  fill={state === "done" ? "var(--ink)" : "var(--sheet)"}
                  stroke="var(--ink)"
                  strokeWidth="1.5"
                />
              )}
            </svg>
            <span
              className={`firm n grid size-6 shrink-0 place-items-center text-14 font-semibold ${s === at ? "bg-ink text-sheet max-[499px]:hidden" : ""}`}
            >
              {i + 1}
            </span>
            <span
              className={`n truncate text-20 max-[499px]:text-16 ${s === at ? "font-bold" : "font-medium max-[1099px]:hidden"}`}
              style={{ fontStretch: "78%" }}
            >
              {WORDS[s]}
            </span>
            {state === "done" && (
              <Check
                className="text-pine-text ml-auto shrink-0 max-[1099px]:hidden"
                size={16}
                strokeWidth={3}
                aria-label={msg("done")}
              />
            )}
            {state === "running" && (
              <Play
                className="text-pine-text ml-auto shrink-0 fill-current max-[1099px]:hidden"
                size={15}
                aria-label={msg("running")}
              />
            )}
            {s === at && <span className="bg-violet absolute inset-x-0 bottom-0 h-1.5" />}
          </Link>
        );
      })}
    </nav>
  );
}
