import { msg } from "../messages/messages";
import { memo } from "react";
import { Link } from "react-router";
import type { Api } from "../api/client";
import { useMinute } from "../api/clock";
import { useZone } from "../api/queries";
import { usePreferences } from "../shell/preferences";
import { grams, minutes, moment, stretch, temperature } from "../units/units";
import { Assumed } from "./assumed-line";
import { MeaningNow } from "./part/meaning";
import { Big, Head } from "./sheet";
import { amount } from "../units/amount";

/** The figures that matter now, in large type; or what stands in the way of them. */
export const Figures = memo(function Figures({
  id,
  workup,
  problems,
  unanswered,
  part,
  frozenAt,
  className,
}: {
  id: number;
  /** Questions about the part that nobody has answered. */
  unanswered: readonly { id: string; ask: string }[];
  className: string;
  workup: Api["Workup"] | undefined;
  /** The part as typed so far. */
  part: Api["PartDraft"];
  problems: readonly Api["InputProblem"][];
  /** When the work began, once it has. */
  frozenAt: string | undefined;
}) {
  const plan = workup?.plan;
  const mends = workup?.verdict.outcome === "MEND" || workup?.verdict.outcome === "LIMITS";
  const settled = mends && workup.stack.taken !== "" && workup.stack.lines.every((l) => l.missing === "");
  return (
    <section className={`bg-sheet flex flex-col overflow-y-auto ${className}`} aria-label={msg("Figures")} tabIndex={0}>
      {!frozenAt && unanswered.length > 0 && (
        <>
          <Head title={msg("Still to answer")}>{unanswered.length}</Head>
          <ul className="p-2">
            {unanswered.map((q) => (
              <li key={q.id}>
                <Link
                  to={`/repairs/${id}/part`}
                  state={{ ask: q.id }}
                  className="flex min-h-14 items-center px-2 py-1 underline"
                >
                  {q.ask}
                </Link>
              </li>
            ))}
          </ul>
        </>
      )}
      {problems.length > 0 && <StillToSay id={id} problems={problems} />}
      {problems.length === 0 && workup && !plan && (
        <>
          <Head title={settled ? msg("Stack settled") : msg("No plan")} />
          <ul className="flex flex-col gap-3 p-4">
            {workup.blockers.map((b) => (
              <li key={b} className={settled ? "" : "font-bold text-oxide-text"}>
                {b}
              </li>
            ))}
          </ul>
        </>
      )}
      {problems.length === 0 && plan && <PlanFigures plan={plan} frozenAt={frozenAt} />}
      {plan && part.assumed && part.assumed.length > 0 && (
        <Link to={`/repairs/${id}/part`} className="block border-t border-hair px-4 py-3">
          <Assumed part={part} />
        </Link>
      )}
      {!plan && <MeaningNow made={part.made ?? {}} />}
    </section>
  );
});

function StillToSay({ id, problems }: { id: number; problems: readonly Api["InputProblem"][] }) {
  return (
    <>
      <Head title={msg("Still to say")}>{problems.length}</Head>
      <ul className="p-2" aria-live="polite">
        {problems.slice(0, 12).map((p, i) => (
          <li key={`${p.field}${i}`}>
            <Link
              to={`/repairs/${id}/${p.field.startsWith("damages") ? "damage" : "part"}`}
              state={{ field: p.field }}
              className={`flex min-h-14 items-center px-2 py-1 underline ${p.given ? "font-bold text-oxide-text" : ""}`}
            >
              {p.message}
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}

function PlanFigures({ plan, frozenAt }: { plan: Api["Plan"]; frozenAt: string | undefined }) {
  const now = useMinute();
  const zone = useZone();
  const first = plan.mixes[0];
  const begun = frozenAt ? Date.parse(frozenAt) : now;
  const ready = begun + plan.totalMin * 60_000;
  const soon = plan.totalMin < 18 * 60;
  return (
    <div className="divide-y divide-hair">
      {first ? <MixFigures mix={first} /> : <PortionFigures plan={plan} />}
      <Big
        label={msg("Hands on")}
        value={minutes(plan.activeMin)}
        note={msg("of {totalMin} in all", { totalMin: minutes(plan.totalMin) })}
      />
      <Big
        label={frozenAt ? msg("Ready, as planned") : msg("Ready, begun now")}
        value={moment(ready, now, zone, "up")}
        small={!soon || frozenAt !== undefined}
        note={
          plan.spareMin === undefined
            ? msg("no time promised")
            : plan.spareMin >= 0
              ? msg("{spareMin} to spare", { spareMin: minutes(plan.spareMin, "down") })
              : msg("{minutes} late for the promise", { minutes: minutes(-plan.spareMin) })
        }
      />
    </div>
  );
}

/** Filler and cream: when it is sanded, how long it works, how much. */
function MixFigures({ mix }: { mix: Api["MixPlan"] }) {
  const { system } = usePreferences();
  const { pour } = mix;
  return (
    <>
      <Big
        waits
        label={msg("{title}: sand after", { title: mix.title })}
        value={minutes(mix.route.sandFromMin ?? 0)}
        note={
          mix.route.kind === "LAMP"
            ? msg("lamp {rampMin} + {holdMin} + cool {coolMin} min", {
                rampMin: Math.ceil(mix.route.rampMin),
                holdMin: Math.ceil(mix.route.holdMin),
                coolMin: Math.ceil(mix.route.coolMin),
              })
            : msg("label {sandMin} min at {refC}", {
                sandMin: Math.round(mix.law.sandMin),
                refC: temperature(mix.law.refC, system),
              })
        }
      />
      <Big
        label={msg("{title}: work time", { title: mix.title })}
        value={stretch(pour.workMin * 60, "down")}
        note={msg("all on the part within {onPartByMin}", { onPartByMin: stretch(pour.onPartByMin * 60, "down") })}
      />
      <div className="grid grid-cols-2 divide-x divide-hair">
        <Big
          small
          label={mix.title}
          value={grams(pour.fillerG)}
          note={pour.batches > 1 ? msg("{batches} batches", { batches: pour.batches }) : msg("one batch")}
        />
        <Big
          small
          label={msg("Cream")}
          value={grams(pour.creamG)}
          note={msg("{percent} % by weight", { percent: pour.percent })}
        />
      </div>
    </>
  );
}

/** The longest wait, and what goes off soonest. */
function PortionFigures({ plan }: { plan: Api["Plan"] }) {
  const { system } = usePreferences();
  const wait = [...plan.waits].sort((a, b) => (b.route.sandFromMin ?? 0) - (a.route.sandFromMin ?? 0))[0];
  const hurried = plan.portions.filter((p) => p.workMin > 0).sort((a, b) => a.workMin - b.workMin)[0];
  const most = hurried ?? plan.portions[0];
  return (
    <>
      {wait && <Big waits label={wait.title} value={minutes(wait.route.sandFromMin ?? 0)} note={wait.material} />}
      {hurried && (
        <Big
          label={msg("{title}: work time", { title: hurried.title })}
          value={stretch(hurried.workMin * 60, "down")}
          note={msg("all on the part within {onPartByMin}", { onPartByMin: stretch(hurried.onPartByMin * 60, "down") })}
        />
      )}
      {most && <Big label={most.title} value={amount(most.needed, most.unit, system)} note={most.material} />}
    </>
  );
}
