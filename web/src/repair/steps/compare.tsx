import { msg } from "../../messages/messages";
import { useState } from "react";
import { ask, type Api } from "../../api/client";
import { useRules, useWholeStack, useTold } from "../../api/queries";
import { minutes } from "../../units/units";
import { Head } from "../sheet";
import type { DraftOnScreen } from "../use-draft";
import { differences } from "./differences";

/** The other school's plan beside this one, with what differs marked. */
export function ComparePanel({ on, plan, frozen }: { on: DraftOnScreen; plan: Api["Plan"]; frozen: boolean }) {
  const rules = useRules().data;
  const [asked, setAsked] = useState<{ question: string; option: string }>();
  const bears = (rules?.schools ?? []).filter(({ school: s }) => plan.schools.some((f) => f.school === s.id));
  const ranked = useWholeStack(on.draft, true).data?.stack?.ranked ?? [];
  // Where a school is another way to mend, its best stack is taken; else the same stack is planned by its rule.
  const recipe = ranked.find((r) =>
    rules?.recipes.some((x) => asked && x.id === r.recipe && x.schools[asked.question] === asked.option),
  )?.recipe;
  const theirDraft = {
    ...on.draft,
    recipe: recipe ?? on.draft?.recipe,
    edits: undefined,
    houseRules: { ...on.draft?.houseRules, ...(asked ? { [asked.question]: asked.option } : {}) },
  };
  const other = useTold({
    queryKey: ["school", on.draft, asked, recipe],
    queryFn: ({ signal }) => ask<Api["PreviewView"]>("/api/preview", { method: "POST", body: theirDraft, signal }),
    enabled: asked !== undefined && on.draft !== undefined,
  });
  const theirs = other.data?.workup?.plan;
  const rows = theirs ? differences(plan, theirs) : [];
  return (
    <section>
      <Head title={msg("The other school")}>
        {asked ? msg("tap it again for the other questions") : msg("tap one to see what it would change")}
      </Head>
      {bears
        .filter(({ school: s }) => !asked || s.id === asked.question)
        .map(({ school }) => {
          const mine = plan.schools.find((f) => f.school === school.id)?.option;
          return (
            <div key={school.id} className="border-b border-hair px-4 py-2.5">
              <div className="lab">{school.question}</div>
              <div className="mt-1 flex flex-wrap gap-1.5">
                {school.options
                  .filter((o) => o.planned)
                  .map((o) => {
                    const now = o.id === mine;
                    const looked = asked?.question === school.id && asked.option === o.id;
                    return (
                      <button
                        key={o.id}
                        type="button"
                        disabled={now}
                        aria-pressed={looked}
                        className={`firm min-h-14 px-3 text-left ${now ? "bg-ink text-sheet" : looked ? "outline-violet outline-3 -outline-offset-3" : ""}`}
                        onClick={() => setAsked(looked ? undefined : { question: school.id, option: o.id })}
                      >
                        {o.label}
                        {now ? msg(", this plan") : ""}
                      </button>
                    );
                  })}
              </div>
            </div>
          );
        })}
      {asked && other.isError && <p className="px-4 py-3 font-bold text-oxide-text">{other.error.message}</p>}
      {asked && other.data && !theirs && (
        <p className="px-4 py-3 font-bold text-oxide-text">
          {other.data.workup?.blockers[0] ?? msg("No plan by that school.")}
        </p>
      )}
      {asked && theirs && (
        <>
          <Head title={msg("Its plan")}>
            {msg(
              "{steps} steps against {steps2}; {activeMin} hands on against {activeMin2}; {totalMin} in all against {totalMin2}",
              {
                steps: theirs.steps.length,
                steps2: plan.steps.length,
                activeMin: minutes(theirs.activeMin),
                activeMin2: minutes(plan.activeMin),
                totalMin: minutes(theirs.totalMin),
                totalMin2: minutes(plan.totalMin),
              },
            )}
          </Head>
          {rows.every((r) => r.mark === "same") && <p className="px-4 py-3">{msg("Nothing in the steps differs.")}</p>}
          <ol>
            {rows.map((r, i) => (
              <li
                key={`${r.mark}${r.id}${i}`}
                className={`grid grid-cols-[110px_1fr] gap-3 border-b border-hair px-4 py-2 ${r.mark === "same" ? "text-muted" : ""}`}
              >
                <span
                  className={r.mark === "gone" ? "font-bold text-oxide-text" : r.mark === "same" ? "lab" : "font-bold"}
                >
                  {r.mark === "gone"
                    ? msg("left out")
                    : r.mark === "new"
                      ? msg("added")
                      : r.mark === "other"
                        ? msg("differs")
                        : ""}
                </span>
                <span>
                  <span className={r.mark === "gone" ? "line-through" : ""}>{r.title}</span>
                  {r.was && <span className="lab block">{msg("here: {was}", { was: r.was })}</span>}
                  {r.becomes && (
                    <span className="block font-bold">{msg("there: {becomes}", { becomes: r.becomes })}</span>
                  )}
                </span>
              </li>
            ))}
          </ol>
          {!frozen && (
            <div className="p-4">
              <button
                type="button"
                className="btn go"
                onClick={() => {
                  on.change((d) => ({
                    ...d,
                    recipe: recipe ?? d.recipe,
                    edits: undefined,
                    houseRules: { ...d.houseRules, [asked.question]: asked.option },
                  }));
                  setAsked(undefined);
                }}
              >
                {msg("Follow it for this repair")}
              </button>
            </div>
          )}
        </>
      )}
    </section>
  );
}
