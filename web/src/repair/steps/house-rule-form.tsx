import { msg } from "../../messages/messages";
import { TriangleAlert } from "lucide-react";
import { useDeferredValue, useState } from "react";
import { ask, type Api, problemsOf } from "../../api/client";
import { keys, queryClient, useHousePages, useTold } from "../../api/queries";
import { Choice, Line, Measure, problemAt } from "../../shell/field";
import { useAsked } from "../run/asks";
import type { DraftOnScreen } from "../use-draft";

/** The step that a rule is about, in the plan at hand. */
export interface RulePlace {
  plan: Api["Plan"];
  drawing: Api["Drawing"];
  at: number;
  on: DraftOnScreen;
}

type Rule = Api["PageRuleDraft"];
type Kind = NonNullable<Rule["kind"]>;

const KINDS: readonly { value: Kind; label: string }[] = [
  { value: "ADD", label: msg("Add a step after it") },
  { value: "LEAVE_OUT", label: msg("Leave it out") },
  { value: "MOVE", label: msg("Move it") },
  { value: "WORDS", label: msg("Other words") },
  { value: "MINUTES", label: msg("Other minutes") },
  { value: "READING", label: msg("Want a reading") },
  { value: "PICTURE", label: msg("Want a picture") },
];

/** The fields of a rule, the plan at hand with it, and the lead's signature. */
export default function HouseRuleForm({ plan, drawing, at, on, onSigned }: RulePlace & { onSigned: () => void }) {
  const step = plan.steps[at]?.step;
  const [typed, setTyped] = useState<Rule>({});
  const [refused, setRefused] = useState<unknown>();
  const rule = step && asRule(plan, at, step, typed);
  const tried = useTried(useDeferredValue(rule), on.draft);
  const pages = useHousePages().data;
  if (!step || !rule) return null;
  const set = (more: Partial<Rule>) => setTyped((t) => ({ ...t, ...more }));
  const problems = refused === undefined ? [] : problemsOf(refused);
  const sign = async () => {
    setRefused(undefined);
    try {
      const next = await ask<Api["HousePagesView"]>("/api/house-pages", {
        method: "POST",
        body: { rule, repair: on.draft },
      });
      queryClient.setQueryData(keys.housePages, next);
      // Signed is signed: the sheet does not stay for what the bench answers later.
      void queryClient.invalidateQueries({ queryKey: keys.bench });
      onSigned();
    } catch (e) {
      setRefused(e);
    }
  };
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        void sign();
      }}
    >
      <Choice
        label={msg("What the house does otherwise")}
        value={typed.kind}
        options={KINDS}
        atLeast={150}
        problem={problemAt(problems, "kind")}
        onChange={(kind) => setTyped((t) => ({ reason: t.reason, kind }))}
      />
      {typed.kind === "ADD" && (
        <OwnStep typed={typed} set={set} drawing={drawing} acts={pages?.acts ?? []} problems={problems} />
      )}
      {typed.kind === "MOVE" && (
        <label className="lab flex flex-col">
          {msg("Its place")}
          <select
            className="firm n h-14 px-2 text-16 font-semibold text-ink"
            value={typed.after ?? step.id}
            onChange={(e) => set({ after: e.target.value })}
          >
            <option value={step.id}>{msg("where it is")}</option>
            <option value="">{msg("first of all")}</option>
            {plan.steps
              .filter((s) => s.step.id !== step.id)
              .map((s) => (
                <option key={s.step.id} value={s.step.id}>
                  {msg("after “{title}”", { title: s.step.title })}
                </option>
              ))}
          </select>
        </label>
      )}
      {typed.kind === "WORDS" && (
        <>
          <Line
            label={msg("What is done; the book: “{title}”", { title: step.title })}
            value={typed.title ?? ""}
            problem={problemAt(problems, "title")}
            onChange={(title) => set({ title })}
          />
          <Line
            label={msg("How; left empty, the book’s words stay")}
            value={typed.how ?? ""}
            problem={problemAt(problems, "how")}
            onChange={(how) => set({ how })}
          />
        </>
      )}
      {typed.kind === "MINUTES" && (
        <Measure
          label={msg("Hands-on minutes; the book: {activeMin}", { activeMin: Math.round(step.activeMin) })}
          quantity={{ unit: "min" }}
          value={typed.minutes}
          problem={problemAt(problems, "minutes")}
          onChange={(minutes) => set({ minutes })}
        />
      )}
      {typed.kind === "READING" && <Readable typed={typed} set={set} readable={pages?.readable ?? []} />}
      {typed.kind && (
        <>
          <Line
            label={msg("Why")}
            value={typed.reason ?? ""}
            problem={problemAt(problems, "reason")}
            onChange={(reason) => set({ reason })}
          />
          <Judged tried={tried} refused={refused instanceof Error && problems.length === 0 ? refused.message : ""} />
          <button className="btn go min-h-[72px] text-20" disabled={!typed.reason?.trim()}>
            {msg("Sign it for the house")}
          </button>
        </>
      )}
    </form>
  );
}

/** What was typed, with the step that it is about and the places as they are called. */
function asRule(plan: Api["Plan"], at: number, step: Api["Step"], typed: Rule): Rule {
  const called = (id: string | undefined) => plan.steps.find((s) => s.step.id === id)?.step.title;
  const all: Rule = { ...typed, method: plan.method };
  if (typed.kind === "ADD") return { ...all, after: step.id, afterTitle: called(step.id) };
  const after = typed.kind === "MOVE" ? (typed.after ?? plan.steps[at]?.step.id) : undefined;
  return { ...all, step: step.id, stepTitle: step.title, after, afterTitle: after ? called(after) : undefined };
}

/** The plan at hand with the rule in it; the reason changes nothing of that. */
function useTried(rule: Rule | undefined, repair: Api["RepairDraft"] | undefined) {
  const asked = rule?.kind ? { rule: { ...rule, reason: rule.reason?.trim() ? rule.reason : "-" }, repair } : undefined;
  return useTold({
    queryKey: ["tried", asked] as const,
    queryFn: ({ signal }) => ask<Api["TriedView"]>("/api/house-pages/tried", { method: "POST", body: asked, signal }),
    enabled: asked !== undefined && repair !== undefined,
  }).data;
}

/** What the rule does to the plan at hand: that it fits, why it does not, what it breaks. */
function Judged({ tried, refused }: { tried: Api["TriedView"] | undefined; refused: string }) {
  return (
    <div role="status" className="flex flex-col gap-2">
      {refused && <p className="font-bold text-oxide-text">{refused}</p>}
      {tried?.problems[0] && <p>{tried.problems[0].message}</p>}
      {tried?.change && !tried.change.bears && <p className="font-bold text-oxide-text">{tried.change.why}</p>}
      {tried?.change?.bears && <p className="font-bold">{msg("In this plan: {said}.", { said: tried.change.said })}</p>}
      {tried?.change?.bears && tried.broken.length === 0 && <p>{msg("No interlock breaks.")}</p>}
      {tried?.broken.map((b) => (
        <p key={`${b.interlock}${b.step}`} className="flex gap-2 font-bold text-oxide-text">
          <TriangleAlert className="text-oxide mt-0.5 shrink-0" size={22} aria-label={msg("Interlock")} />
          {msg(
            "{said} Missing before “{title}”: {missing}. What follows: {follows} It will stand in every plan and record.",
            { said: b.said, title: b.title, missing: b.missing, follows: b.follows },
          )}
        </p>
      ))}
    </div>
  );
}

interface Fields {
  typed: Rule;
  set: (more: Partial<Rule>) => void;
}

function Readable({ typed, set, readable }: Fields & { readable: Api["HousePagesView"]["readable"] }) {
  const asked = useAsked();
  return (
    <Choice
      label={msg("What is read there")}
      value={typed.quantity}
      options={readable.map((q) => ({ value: q, label: asked(q).label }))}
      atLeast={150}
      onChange={(quantity) => set({ quantity })}
    />
  );
}

/** A step of the house's own: words, minutes, where, caution, a gate, and what it does to the part. */
function OwnStep({
  typed,
  set,
  drawing,
  acts,
  problems,
}: Fields & {
  drawing: Api["Drawing"];
  acts: Api["HousePagesView"]["acts"];
  problems: readonly Api["InputProblem"][];
}) {
  const [gate, setGate] = useState(false);
  const told = (field: string) => problemAt(problems, field);
  const has = (act: Api["HandworkView"]["act"]) => (typed.acts ?? []).includes(act);
  return (
    <>
      <Line
        label={msg("What is done, verb first")}
        value={typed.title ?? ""}
        problem={told("title")}
        onChange={(title) => set({ title })}
      />
      <Line label={msg("How")} value={typed.how ?? ""} problem={told("how")} onChange={(how) => set({ how })} />
      <div className="grid grid-cols-1 gap-3 sm:grid-cols-3">
        <Measure
          label={msg("Hands-on minutes")}
          quantity={{ unit: "min" }}
          value={typed.minutes}
          problem={told("minutes")}
          onChange={(minutes) => set({ minutes })}
        />
        <Measure
          label={msg("Then it rests")}
          quantity={{ unit: "min" }}
          value={typed.waitMin}
          problem={told("waitMin")}
          onChange={(waitMin) => set({ waitMin })}
        />
        <label className="lab flex flex-col">
          {msg("Where")}
          <select
            className="firm n h-[56px] px-2 text-16 font-semibold text-ink"
            value={typed.zone ?? ""}
            onChange={(e) => set({ zone: drawing.zones.find((z) => z.kind === e.target.value)?.kind })}
          >
            <option value="">{msg("the whole field")}</option>
            {drawing.zones.map((z) => (
              <option key={z.kind} value={z.kind}>
                {z.word}
              </option>
            ))}
          </select>
        </label>
      </div>
      <Line
        label={msg("What can hurt, in the house’s words")}
        value={typed.caution ?? ""}
        problem={told("caution")}
        onChange={(caution) => set({ caution })}
      />
      <fieldset>
        <legend className="lab">{msg("What it does to the part; interlocks judge the plan by it")}</legend>
        <div className="flex flex-wrap gap-1">
          {acts.map(({ act, word }) => (
            <button
              key={act}
              type="button"
              aria-pressed={has(act)}
              className={`firm n min-h-14 px-3 text-16 font-semibold ${has(act) ? "bg-ink text-sheet" : "bg-sheet"}`}
              onClick={() =>
                set({ acts: has(act) ? typed.acts?.filter((a) => a !== act) : [...(typed.acts ?? []), act] })
              }
            >
              {word}
            </button>
          ))}
        </div>
      </fieldset>
      {gate ? (
        <div className="grid grid-cols-1 gap-3 sm:grid-cols-2">
          <Line
            label={msg("It is asked")}
            value={typed.question ?? ""}
            problem={told("question")}
            onChange={(question) => set({ question })}
          />
          <div className="grid grid-cols-2 gap-3">
            <Line
              label={msg("Good answer")}
              value={typed.yes ?? ""}
              problem={told("yes")}
              onChange={(yes) => set({ yes })}
            />
            <Line
              label={msg("Other answer")}
              value={typed.no ?? ""}
              problem={told("no")}
              onChange={(no) => set({ no })}
            />
          </div>
          <Line
            label={msg("What is done then, before it is asked again")}
            value={typed.then ?? ""}
            problem={told("then")}
            onChange={(then) => set({ then })}
          />
          <Measure
            label={msg("Hands-on minutes of that")}
            quantity={{ unit: "min" }}
            value={typed.thenMin}
            problem={told("thenMin")}
            onChange={(thenMin) => set({ thenMin })}
          />
          <button
            type="button"
            className="btn self-start justify-self-start"
            onClick={() => {
              setGate(false);
              set({ question: undefined, yes: undefined, no: undefined, then: undefined, thenMin: undefined });
            }}
          >
            {msg("No gate")}
          </button>
        </div>
      ) : (
        <button type="button" className="btn self-start" onClick={() => setGate(true)}>
          {msg("Add a gate")}
        </button>
      )}
    </>
  );
}
