import { msg } from "../../messages/messages";
import { ArrowDown, ArrowUp, CornerUpLeft, Scissors, TriangleAlert } from "lucide-react";
import type { Api } from "../../api/client";
import { useShelf } from "../../api/queries";
import type { DraftOnScreen } from "../use-draft";
import { Measure } from "../../shell/field";
import { Head } from "../sheet";
import { HouseRuleButton } from "./house-rule";

type Edit = Api["PlanEditDraft"];

const words: Record<Api["EditMade"]["kind"], string> = {
  SKIP: msg("left out"),
  MOVE: "moved",
  MINUTES: msg("other minutes"),
  PAPER: msg("other paper"),
};

/** What was changed of the method's own plan, what that breaks, and the way back. */
export function EditsPanel({ plan, on, frozen }: { plan: Api["Plan"]; on: DraftOnScreen; frozen: boolean }) {
  const { edits } = plan;
  if (edits.length === 0 && plan.broken.length === 0) return null;
  return (
    <section aria-label={msg("Changes to the plan")}>
      <Head title={msg("Changed by hand")}>
        {edits.length === 1 ? msg("one change") : msg("{edits} changes", { edits: edits.length })}
      </Head>
      <ul>
        {edits.map((e, i) => (
          <li key={`${e.kind}${e.step}${i}`} className="flex min-h-14 items-center gap-3 border-b border-hair px-4">
            <span className="min-w-0 flex-1">
              <b>{e.title || msg("A step that this plan no longer has")}</b> {words[e.kind]}
            </span>
            {!frozen && (
              <button
                type="button"
                className="btn"
                onClick={() =>
                  on.change((d) => ({
                    ...d,
                    edits: (d.edits ?? []).filter((x, k) => k !== i || x.kind !== e.kind || x.step !== e.step),
                  }))
                }
              >
                <CornerUpLeft size={18} aria-hidden="true" /> {msg("Take back")}
              </button>
            )}
          </li>
        ))}
        {plan.broken.map((b) => (
          <li key={`${b.interlock}${b.step}`} className="flex gap-3 border-b border-hair px-4 py-2.5" role="alert">
            <TriangleAlert className="text-oxide mt-0.5 shrink-0" size={22} aria-label={msg("Interlock")} />
            <div>
              <p className="font-bold text-oxide-text">
                {msg("{said} Missing before “{title}”: {missing}.", {
                  said: b.said,
                  title: b.title,
                  missing: b.missing,
                })}
              </p>
              <p>{msg("What follows: {follows}", { follows: b.follows })}</p>
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Leave a step out, or put it earlier or later. What is mixed, spread and waited for stays together. */
export function StepEdits({
  plan,
  drawing,
  at,
  on,
}: {
  plan: Api["Plan"];
  drawing: Api["Drawing"];
  at: number;
  on: DraftOnScreen;
}) {
  const step = plan.steps[at]?.step;
  const shelf = useShelf().data;
  if (!step) return null;
  const house = <HouseRuleButton plan={plan} drawing={drawing} at={at} on={on} />;
  if (step.mix) {
    return (
      <div className="flex flex-wrap items-center gap-4">
        <p className="lab">{msg("Mix, spread and wait stay together and in order.")}</p>
        {house}
      </div>
    );
  }
  const rung = plan.ladder.rungs.find((r) => r.id === step.id);
  const papers = (shelf ?? [])
    .filter((l) => !l.expired && l.item.grade !== undefined)
    .map((l) => l.item)
    .sort((a, b) => (a.grading ?? "").localeCompare(b.grading ?? "") || (a.grade ?? 0) - (b.grade ?? 0));
  const edit = (e: Edit) =>
    on.change((d) => ({
      ...d,
      edits: [...(d.edits ?? []).filter((x) => !(x.step === step.id && x.kind === e.kind)), e],
    }));
  const after = (i: number) => (i < 0 ? "" : (plan.steps[i]?.step.id ?? ""));
  return (
    <div className="flex flex-wrap gap-2">
      <button type="button" className="btn" onClick={() => edit({ kind: "SKIP", step: step.id })}>
        <Scissors size={18} aria-hidden="true" /> {msg("Leave out")}
      </button>
      <button
        type="button"
        className="btn"
        disabled={at === 0}
        onClick={() => edit({ kind: "MOVE", step: step.id, after: after(at - 2) })}
      >
        <ArrowUp size={18} aria-hidden="true" /> {msg("Earlier")}
      </button>
      <button
        type="button"
        className="btn"
        disabled={at === plan.steps.length - 1}
        onClick={() => edit({ kind: "MOVE", step: step.id, after: after(at + 1) })}
      >
        <ArrowDown size={18} aria-hidden="true" /> {msg("Later")}
      </button>
      {rung && papers.length > 0 && (
        <label className="lab flex flex-col">
          {msg("Paper")}
          <select
            className="firm n h-14 px-2 text-16 font-semibold text-ink"
            value={rung.itemId}
            onChange={(e) => edit({ kind: "PAPER", step: step.id, paper: e.target.value })}
          >
            {papers.map((p) => (
              <option key={p.id} value={p.id}>
                {p.grading} {p.grade}
              </option>
            ))}
          </select>
        </label>
      )}
      {step.activeMin > 0 && (
        <div className="w-44">
          <Measure
            label={msg("Hands-on minutes")}
            quantity={{ unit: "min" }}
            value={Math.round(step.activeMin)}
            onChange={(min) => {
              if (min !== undefined && min >= 0 && min !== Math.round(step.activeMin)) {
                edit({ kind: "MINUTES", step: step.id, minutes: min });
              }
            }}
          />
        </div>
      )}
      {house}
    </div>
  );
}
