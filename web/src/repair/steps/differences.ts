import { msg } from "../../messages/messages";
import type { Api } from "../../api/client";

/** A step of one plan held against the other. */
export interface Difference {
  mark: "same" | "other" | "new" | "gone";
  id: string;
  title: string;
  /** What it says here, where it differs. */
  was?: string;
  /** What it says there. */
  becomes?: string;
}

type Step = Api["Step"];

const facts = (s: Step) =>
  [
    s.title,
    s.tool,
    s.paper,
    s.material,
    s.amount,
    s.clock ? msg("{label} {minutes} min", { label: s.clock.label, minutes: Math.round(s.clock.minutes) }) : "",
    s.detail,
  ].filter(Boolean);

/** Steps of `theirs` in order, with those of `mine` that it leaves out where they would have stood. */
export function differences(mine: Api["Plan"], theirs: Api["Plan"]): Difference[] {
  const here = mine.steps.map((s) => s.step);
  const there = theirs.steps.map((s) => s.step);
  const ours = new Map(here.map((s) => [s.id, s]));
  const known = new Set(there.map((s) => s.id));
  const out: Difference[] = [];
  let at = 0;
  const flushUntil = (id: string) => {
    while (at < here.length && here[at]?.id !== id) {
      const s = here[at];
      if (s && !known.has(s.id)) out.push({ mark: "gone", id: s.id, title: s.title });
      at++;
    }
    at++;
  };
  for (const s of there) {
    const own = ours.get(s.id);
    if (!own) {
      out.push({ mark: "new", id: s.id, title: s.title, becomes: facts(s).slice(1).join(" · ") });
      continue;
    }
    if (here.indexOf(own) >= at) flushUntil(s.id);
    const a = facts(own).filter((f) => !facts(s).includes(f));
    const b = facts(s).filter((f) => !facts(own).includes(f));
    out.push(
      a.length + b.length === 0
        ? { mark: "same", id: s.id, title: s.title }
        : { mark: "other", id: s.id, title: s.title, was: a.join(" · "), becomes: b.join(" · ") },
    );
  }
  for (; at < here.length; at++) {
    const s = here[at];
    if (s && !known.has(s.id)) out.push({ mark: "gone", id: s.id, title: s.title });
  }
  return out;
}
