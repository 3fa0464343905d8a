import { Check, RotateCcw, Timer } from "lucide-react";
import type { Api } from "../../api/client";
import { stretch } from "../../units/units";

const WITHOUT = "without what the house wants: it stands in the record";

/** The answers of the step in hand, wide enough for a glove: done, started, or what its gate can be answered. */
export function AnswerBar({
  step,
  mixing,
  branching,
  setBranching,
  early,
  against,
  lacking,
  never,
  primary,
  other,
  answer,
}: {
  step: Api["Step"];
  mixing: boolean;
  branching: boolean;
  setBranching: (b: boolean) => void;
  early: number;
  against: boolean;
  lacking: boolean;
  never: string | undefined;
  primary: () => void;
  other: () => void;
  answer: (a: string) => void;
}) {
  const gate = step.gate;
  if (gate && branching) {
    return (
      <div className="firm-t flex min-h-[112px] shrink-0 flex-wrap">
        {gate.branches.map((b) => (
          <Answer key={b.id} Icon={RotateCcw} word={b.label} note={b.note} onClick={() => answer(b.id)} />
        ))}
        <button type="button" className="n min-w-28 px-4 text-20 font-semibold" onClick={() => setBranching(false)}>
          Back
        </button>
      </div>
    );
  }
  if (gate) {
    return (
      <div className="firm-t flex shrink-0 flex-wrap">
        <div className="flex min-h-[72px] w-full items-center px-4 text-20 leading-7 font-semibold sm:px-8 md:min-h-[112px] md:w-[32%] n">
          {gate.question}
        </div>
        <Answer
          go={!against && !lacking}
          Icon={Check}
          word={gate.yes}
          note={
            against
              ? "against what was read: it stands in the record"
              : lacking
                ? WITHOUT
                : (never ?? (early > 0 ? `${stretch(early, "up")} early: it stands in the record` : gate.yesNote))
          }
          onClick={primary}
        />
        <Answer
          Icon={RotateCcw}
          word={gate.no}
          note={gate.branches.length === 1 ? (gate.branches[0]?.note ?? "") : "say what"}
          onClick={other}
        />
      </div>
    );
  }
  return (
    <div className="firm-t flex min-h-[112px] shrink-0">
      {mixing ? (
        <Answer go Icon={Timer} word="Cream meets filler" note="the clock starts" onClick={primary} />
      ) : (
        <Answer
          go={!lacking}
          Icon={Check}
          word={step.kind === "MIX" ? "Mixed, one colour" : step.kind === "SPREAD" ? "All on the part" : "Done"}
          note={lacking ? WITHOUT : "and on"}
          onClick={primary}
        />
      )}
    </div>
  );
}

function Answer({
  go = false,
  Icon,
  word,
  note,
  onClick,
}: {
  go?: boolean;
  Icon: typeof Check;
  word: string;
  note: string;
  onClick: () => void;
}) {
  return (
    <button
      type="button"
      className={`firm-l flex min-h-[96px] min-w-40 flex-1 items-center gap-5 px-6 text-left ${go ? "bg-pine text-on-pine" : "bg-sheet"}`}
      onClick={onClick}
    >
      <Icon size={44} strokeWidth={2.6} aria-hidden="true" className="shrink-0" />
      <span className="min-w-0">
        <span className="n block text-28 font-semibold sm:text-[36px] sm:leading-10" style={{ fontStretch: "88%" }}>
          {word}
        </span>
        <span className="n block text-20">{note}</span>
      </span>
    </button>
  );
}
