import { msg } from "../../messages/messages";
import { Check, RotateCcw, Timer, Trash2 } from "lucide-react";
import type { Api } from "../../api/client";
import { stretch } from "../../units/units";

const WITHOUT = msg("without what the house wants: it stands in the record");

/** The answers of the step in hand, wide enough for a glove: done, started, or what its gate can be answered. */
export function AnswerBar({
  step,
  mixing,
  branching,
  setBranching,
  early,
  unread,
  lacking,
  never,
  musts,
  primary,
  other,
  answer,
  scrap,
  weigh,
  weighed,
}: {
  step: Api["Step"];
  mixing: boolean;
  branching: boolean;
  setBranching: (b: boolean) => void;
  early: number;
  /** The gate's readings are not taken. */
  unread: boolean;
  lacking: boolean;
  never: string | undefined;
  /** What must hold before the mix in hand goes live. */
  musts: readonly Api["Must"][];
  primary: () => void;
  other: () => void;
  answer: (a: string) => void;
  scrap: () => void;
  /** Weighs the cream once more; absent before it was weighed. */
  weigh: (() => void) | undefined;
  /** Something is weighed that can be thrown away. */
  weighed: boolean;
}) {
  const gate = step.gate;
  if (gate && branching) {
    return (
      <div className="firm-t flex min-h-[112px] shrink-0 flex-wrap" data-answers>
        {gate.branches.map((b) => (
          <Answer key={b.id} Icon={RotateCcw} word={b.label} note={b.note} onClick={() => answer(b.id)} />
        ))}
        <button type="button" className="n min-w-28 px-4 text-20 font-semibold" onClick={() => setBranching(false)}>
          {msg("Back")}
        </button>
      </div>
    );
  }
  if (gate) {
    return (
      <div className="firm-t flex shrink-0 flex-wrap" data-answers>
        <div className="flex min-h-[72px] w-full items-center px-4 text-20 leading-7 font-semibold sm:px-8 md:min-h-[112px] md:w-[32%] n">
          {gate.question}
        </div>
        <Answer
          yes
          go={!unread && !lacking && early === 0 && !never}
          Icon={Check}
          word={gate.yes}
          note={
            unread
              ? msg("not read: it stands in the record")
              : lacking
                ? WITHOUT
                : (never ??
                  (early > 0
                    ? msg("{early} early: say what it was judged by", { early: stretch(early, "up") })
                    : gate.yesNote))
          }
          onClick={primary}
        />
        <Answer
          Icon={RotateCcw}
          word={gate.no}
          note={gate.branches.length === 1 ? (gate.branches[0]?.note ?? "") : msg("say what")}
          onClick={other}
        />
      </div>
    );
  }
  const off = musts.filter((m) => !m.holds);
  if (off.length > 0) {
    const never = off.some((m) => m.never);
    return (
      <div className="firm-t flex min-h-[112px] shrink-0 flex-wrap" data-answers>
        <div className="n flex min-w-60 flex-1 items-center px-4 text-20 leading-7 font-semibold sm:px-8">
          {mixing ? msg("Not yet") : msg("Not ready")}: {off.map((m) => m.said).join(", ")}
        </div>
        {mixing && weigh && (
          <Answer Icon={RotateCcw} word={msg("Weigh again")} note={msg("the cream")} onClick={weigh} />
        )}
        {mixing && weighed && (
          <Answer Icon={Trash2} word={msg("Scrap it")} note={msg("it counts as used")} onClick={scrap} />
        )}
        <button
          type="button"
          className="firm-l n min-h-[72px] min-w-40 flex-1 px-4 text-20 font-semibold disabled:text-muted"
          disabled={never}
          onClick={primary}
        >
          {never ? msg("This dose never starts") : msg("Start all the same, say why")}
        </button>
      </div>
    );
  }
  return (
    <div className="firm-t flex min-h-[112px] shrink-0" data-answers>
      {mixing ? (
        <Answer go Icon={Timer} word={msg("Cream meets filler")} note={msg("the clock starts")} onClick={primary} />
      ) : (
        <Answer
          yes
          go={!lacking && early === 0}
          Icon={Check}
          word={
            step.kind === "MIX"
              ? msg("Mixed, one colour")
              : step.kind === "SPREAD"
                ? msg("All on the part")
                : msg("Done")
          }
          note={
            lacking
              ? WITHOUT
              : early > 0
                ? msg("{early} early: say what it was judged by", { early: stretch(early, "up") })
                : msg("and on")
          }
          onClick={primary}
        />
      )}
    </div>
  );
}

function Answer({
  go = false,
  yes = false,
  Icon,
  word,
  note,
  onClick,
}: {
  go?: boolean;
  /** The good answer of a gate. */
  yes?: boolean;
  Icon: typeof Check;
  word: string;
  note: string;
  onClick: () => void;
}) {
  return (
    <button
      type="button"
      className={`firm-l flex min-h-[96px] min-w-40 flex-1 items-center gap-5 px-6 text-left max-sm:gap-2 max-sm:px-3 ${go ? "bg-pine text-on-pine" : "bg-sheet"}`}
      onClick={onClick}
      data-yes={yes || undefined}
    >
      <Icon strokeWidth={2.6} aria-hidden="true" className="size-11 shrink-0 max-sm:size-7" />
      <span className="min-w-0">
        <span className="n block text-20 font-semibold sm:text-[36px] sm:leading-10" style={{ fontStretch: "88%" }}>
          {word}
        </span>
        <span className="n block text-20">{note}</span>
      </span>
    </button>
  );
}
