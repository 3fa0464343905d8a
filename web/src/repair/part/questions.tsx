import { msg } from "../../messages/messages";
import { useState } from "react";
import { useLocation } from "react-router";
import type { Api } from "../../api/client";
import { useRules } from "../../api/queries";
import { QuestionPicture } from "./question-picture";

type PartDraft = Api["PartDraft"];
type Answer = "YES" | "NO" | "UNKNOWN";
type Asked = Api["RulesView"]["limits"][number];

const WORDS: Record<Answer, string> = { NO: msg("No"), YES: msg("Yes"), UNKNOWN: msg("Not known") };

/** Those of {@code limits} that a person must answer for this part and its damage. */
export function askedOf(
  limits: readonly Asked[],
  part: PartDraft,
  damages: readonly Api["DamageDraft"][],
): readonly Asked[] {
  const material = part.made?.material ?? "METAL";
  const only = material === "METAL" ? part.metal : part.made?.composite;
  const kinds = damages.map((d) => d.kind ?? "DENT");
  return limits.filter(
    (r) =>
      r.ask &&
      r.materials.includes(material) &&
      (r.only.length === 0 || (only !== undefined && r.only.includes(only))) &&
      (r.damages.length === 0 || kinds.length === 0 || kinds.some((k) => r.damages.includes(k))),
  );
}

/** Those of them that nobody has answered. */
export function unansweredOf(asked: readonly Asked[], part: PartDraft): readonly Asked[] {
  const answers = part.answers ?? {};
  return asked.filter((r) => !answers[r.id] || answers[r.id] === "UNKNOWN");
}

/**
 * What only a person can answer and life may hang on, one question at a time and each by itself: no button answers several. Unanswered they
 * refer the part. What was answered stands below and is asked again by a tap.
 */
export function Questions({
  part,
  set,
  frozen,
  damages,
}: {
  part: PartDraft;
  set: (next: Partial<PartDraft>) => void;
  frozen: boolean;
  damages: readonly Api["DamageDraft"][];
}) {
  const limits = askedOf(useRules().data?.limits ?? [], part, damages);
  // A link that asks one of them says which.
  const asked = (useLocation().state as { ask?: string } | null)?.ask;
  const [again, setAgain] = useState(asked);
  const answers = part.answers ?? {};
  const open = unansweredOf(limits, part);
  const passed = (r: Asked) => answers[r.id] === "UNKNOWN";
  // What was put off comes after what was never asked.
  const now = limits.find((r) => r.id === again) ?? open.find((r) => !passed(r));
  const rest = limits.filter((r) => r !== now && answers[r.id]);
  // What holds the part back stays in sight; a dozen times no does not stand between the part and its sizes.
  const noted = rest.filter((r) => answers[r.id] !== "NO");
  const no = rest.filter((r) => answers[r.id] === "NO");
  const list = { answers, frozen, onAgain: setAgain };
  const put = (id: string, answer: Answer) => {
    setAgain(undefined);
    set({ answers: { ...answers, [id]: answer } });
  };
  if (limits.length === 0) return null;
  return (
    <section aria-label={msg("Is it any of these")} className="firm flex flex-col gap-2 p-3">
      <h2 className="hd flex justify-between gap-2">
        {msg("Is it any of these")}
        <span className="lab">
          {open.length === 0
            ? msg("all answered")
            : msg("{open} open of {limits}", { open: open.length, limits: limits.length })}
        </span>
      </h2>
      {now && !frozen && (
        <div data-question={now.id}>
          <div className="h-16 w-24">
            <QuestionPicture rule={now.id} />
          </div>
          <p className="text-20 font-semibold">{now.ask}</p>
          <div className="mt-2 grid grid-cols-3 gap-1">
            {(Object.keys(WORDS) as Answer[]).map((a) => (
              <button
                key={a}
                type="button"
                className={`btn min-h-18 ${a === "UNKNOWN" ? "" : "text-20"}`}
                onClick={() => put(now.id, a)}
              >
                {WORDS[a]}
              </button>
            ))}
          </div>
        </div>
      )}
      {noted.length > 0 && <Answered asked={noted} {...list} />}
      {no.length > 0 && (
        <details>
          <summary className="flex min-h-14 cursor-pointer items-center border-t border-hair underline">
            {msg("Answered with no: {no}", { no: no.length })}
          </summary>
          <Answered asked={no} {...list} />
        </details>
      )}
    </section>
  );
}

function Answered({
  asked,
  answers,
  frozen,
  onAgain,
}: {
  asked: readonly Asked[];
  answers: NonNullable<PartDraft["answers"]>;
  frozen: boolean;
  onAgain: (id: string) => void;
}) {
  return (
    <ul>
      {asked.map((r) => {
        const answer = answers[r.id] as Answer;
        return (
          <li key={r.id} className="border-t border-hair">
            <button
              type="button"
              disabled={frozen}
              aria-label={msg("{ask} {WORDS}: answer again", { ask: r.ask, WORDS: WORDS[answer] })}
              className="flex min-h-14 w-full items-center justify-between gap-3 py-1 text-left"
              onClick={() => onAgain(r.id)}
            >
              <span className="min-w-0">{r.ask}</span>
              <b className={`shrink-0 ${answer === "NO" ? "" : "text-oxide-text"}`}>{WORDS[answer]}</b>
            </button>
          </li>
        );
      })}
    </ul>
  );
}
