import { Check, CornerUpLeft, Hand, NotebookPen, OctagonX, ShieldAlert, Thermometer } from "lucide-react";
import { useMemo, useState } from "react";
import { Link, useNavigate } from "react-router";
import type { Api } from "../../api/client";
import { useNow } from "../../api/clock";
import { useZone } from "../../api/queries";
import { isDeadline, secondsLeft } from "../../marks/clock-rule";
import { dialogOpen, typing, useKeys } from "../../shell/keys";
import { usePreferences } from "../../shell/preferences";
import { KeysDialog } from "../../shell/keys-dialog";
import { DrawingPair } from "../drawing/drawing-pair";
import { litByStep, LitProvider } from "../drawing/lit";
import { useMe } from "../../shell/me";
import { aheadOfServer } from "./ahead-of-server";
import { AnswerBar } from "./answer-bar";
import type { Ask } from "./asks";
import { BeforeMixGlance } from "./before-mix";
import { ClockBand } from "./clock-band";
import { CURED_BY, curedBy } from "./cured-by";
import { BigFigure, figureOf } from "./figure";
import { Finished } from "./finished";
import { keyAction } from "./key-action";
import { happened } from "./happened";
import { NoteDialog } from "./note-dialog";
import { usePending } from "./outbox";
import { ReadingDialog } from "./reading-dialog";
import { TopButton } from "./top-button";
import { missing, WantedHere } from "./wanted";
import { Weighing } from "./weighing";

type RunStep = Api["RunStep"];

/** One step fills the screen: verb first, the figure that matters, the clock, where, the gate, what is next. */
export function Hands({ run }: { run: Api["RunView"] }) {
  const pending = usePending(run.id);
  const plan = run.frozen.workup.plan;
  const state = useMemo(() => (plan ? aheadOfServer(plan, run.state, pending) : run.state), [plan, run.state, pending]);
  const i = state.steps.findIndex((s) => s.id === state.current);
  const current = state.steps[i];
  if (!plan) return <p className="p-6 text-28">This run has no plan.</p>;
  if (!current) return <Finished run={run} state={state} />;
  return (
    <StepInHand
      key={current.id}
      run={run}
      plan={plan}
      state={state}
      current={current}
      index={i}
      next={state.steps[i + 1]}
    />
  );
}

/** Zones that need the whole sanded field in view; the others are looked at from nearer. */
const WIDE = new Set(["FINE_320", "CLEAN"]);

interface InHand {
  run: Api["RunView"];
  plan: Api["Plan"];
  state: Api["RunState"];
  current: RunStep;
  index: number;
  next?: RunStep;
}

function StepInHand({ run, plan, state, current, index, next }: InHand) {
  const { step } = current;
  const now = useNow();
  const zone = useZone();
  const navigate = useNavigate();
  const me = useMe();
  const [branching, setBranching] = useState(false);
  const [dialog, setDialog] = useState<"note" | "reading" | "keys">();
  const mix = state.mixes.find((m) => m.step === current.id);
  const live =
    state.clocks.find((c) => c.step === current.id) ??
    state.clocks.find((c) => isDeadline(c) && step.kind === "SPREAD");
  const left = live ? secondsLeft(live, now) : undefined;
  const mixing = step.kind === "MIX" && !mix?.clockAt;
  const by = curedBy(step);
  const gate = step.gate;

  const done = () => happened(run.id, "DONE", { step: current.id });
  const answer = (a: string) => happened(run.id, "GATE", { step: current.id, answer: a });
  const read = (quantity: Ask, value: number, source: string) =>
    happened(run.id, "READING", { step: current.id, quantity, value, ...(source && { text: source }) });
  const startClock = () => happened(run.id, "CLOCK", { step: current.id });
  const undo = () => state.lastUndoable && happened(run.id, "UNDO", { target: state.lastUndoable });
  const against = gate !== undefined && state.findings.some((f) => f.stop);
  const lacking = missing(state, current);
  const primary = () => (mixing ? startClock() : gate ? answer("yes") : done());
  const other = () => {
    if (!gate) return;
    const only = gate.branches.length === 1 ? gate.branches[0] : undefined;
    if (only) answer(only.id);
    else setBranching(true);
  };

  useKeys((e) => {
    if (dialogOpen()) return;
    const onButton = e.target instanceof HTMLElement && e.target.closest("button, a") !== null;
    const plain = !(e.ctrlKey || e.metaKey || e.altKey || e.repeat);
    const action = keyAction(e.key, {
      typing: typing(e),
      plain,
      onButton,
      mixing,
      held: against || lacking !== undefined,
    });
    if (!action) return;
    if (action.held) {
      e.preventDefault();
      return;
    }
    if (action.own) e.preventDefault();
    switch (action.does) {
      case "primary":
        return primary();
      case "start":
        return startClock();
      case "undo":
        return void undo();
      case "other":
        return other();
      case "leave":
        return void navigate(`/repairs/${run.id}/steps`);
      case "nothing":
        return;
      default:
        return setDialog(action.does);
    }
  });

  const crowded = state.before.length > 0;
  const { system } = usePreferences();
  const figure = figureOf(state, current, live, left, now, zone, system);
  const lastReading = state.readings.findLast(
    (r) => r.step === current.id && (r.quantity === "SURFACE_C" || r.quantity === "UV"),
  );
  return (
    <main className="flex min-h-0 flex-1 flex-col" data-step={current.id}>
      <div className="firm-b flex h-[75px] shrink-0 items-stretch">
        <div className="n flex min-w-0 flex-1 items-center gap-3 truncate px-4 text-20 font-semibold sm:px-8 sm:text-24">
          <span className="truncate">
            Step {index + 1} of {state.steps.length}, {run.frozen.workup.name}
          </span>
          {current.loop && (
            <span className="waits shrink-0 px-2">
              <span className="bg-tape px-1">{current.loop}</span>
            </span>
          )}
        </div>
        {state.hands !== "" && state.hands !== me.name && (
          <TopButton onClick={() => happened(run.id, "TAKE")} label={`Take over from ${state.hands.split(" ")[0]}`}>
            <Hand size={24} aria-hidden="true" />
          </TopButton>
        )}
        <TopButton onClick={undo} disabled={!state.lastUndoable} label="Undo">
          <CornerUpLeft size={24} aria-hidden="true" />
        </TopButton>
        {step.asks.some((a) => a !== "FILLER_G" && a !== "CREAM_G") && (
          <TopButton onClick={() => setDialog("reading")} label="Reading">
            <Thermometer size={24} aria-hidden="true" />
          </TopButton>
        )}
        <TopButton onClick={() => setDialog("note")} label="Note">
          <NotebookPen size={24} aria-hidden="true" />
        </TopButton>
        <Link to="/bench" className="bg-ground n firm-l hidden items-center px-6 text-20 font-semibold sm:flex">
          Leave run
        </Link>
      </div>

      <div className="flex min-h-0 flex-1">
        <div
          className="flex min-w-0 flex-1 flex-col gap-2 overflow-y-auto px-4 pt-4 sm:px-8"
          tabIndex={0}
          role="region"
          aria-label="The step"
        >
          <div className="flex flex-wrap items-end justify-between gap-x-6">
            <h1 className="text-28 font-semibold sm:text-44" style={{ fontStretch: "88%" }}>
              {step.title}
            </h1>
            {/* Beside the title while the glance before a mix takes the room below. */}
            {crowded && <BigFigure figure={figure} size="clamp(72px, 7.5vw, 96px)" />}
          </div>
          <p className="text-20 leading-7 sm:text-[25px] sm:leading-8">{step.detail}</p>
          {step.cautions.map((c) => (
            <p key={c.id} className="flex items-center gap-2 text-16 font-bold sm:text-20">
              <ShieldAlert className="text-oxide shrink-0" size={26} aria-label="Caution" />
              {c.text}
            </p>
          ))}
          {state.before.length > 0 && <BeforeMixGlance musts={state.before} />}
          {state.findings.map((f) => (
            <p
              key={f.said}
              className={`flex items-start gap-2 text-20 font-bold sm:text-24 ${f.stop ? "text-oxide-text" : ""}`}
              role="status"
            >
              {f.stop ? (
                <OctagonX className="text-oxide mt-1 shrink-0" size={26} aria-label="Stop" />
              ) : (
                <Check className="text-pine-text mt-1 shrink-0" size={26} aria-label="Holds" />
              )}
              {f.said}
            </p>
          ))}
          <WantedHere run={run.id} at={current} lacking={lacking} onReading={() => setDialog("reading")} />
          {step.kind === "MIX" && mix && (
            <Weighing mix={mix} pour={plan.mixes.find((m) => m.id === mix.mix)?.pour} onReading={read} />
          )}
          {!crowded && (
            <div className="mt-auto pb-4">
              <BigFigure figure={figure} size="clamp(72px, 15vw, 150px)" />
            </div>
          )}
          {(live?.warning || lastReading || by === CURED_BY.light) && (
            <p className="pb-3 text-20 font-bold sm:text-24" role="status">
              {live?.warning && <span className="text-oxide-text">{live.warning} </span>}
              {(lastReading || by === CURED_BY.light) && live?.note}
            </p>
          )}
        </div>
        <div
          className={`firm-l hidden shrink-0 lg:block ${crowded ? "w-[30%] max-w-[420px]" : "w-[38%] max-w-[560px]"}`}
        >
          <LitProvider fixed={litByStep(step)}>
            <DrawingPair
              drawing={run.frozen.workup.drawing}
              sectionShare={0.42}
              around={WIDE.has(step.zone ?? "CLEAN") ? "FINE_320" : "FINE_240"}
            />
          </LitProvider>
        </div>
      </div>

      {live && <ClockBand clock={live} of={by.word} now={now} zone={zone} />}
      <AnswerBar
        step={step}
        mixing={mixing}
        branching={branching}
        setBranching={setBranching}
        early={step.kind === "WAIT" && left !== undefined && left > 0 ? left : 0}
        against={against}
        lacking={lacking !== undefined}
        never={live !== undefined && live.endsAt === undefined ? by.passed : undefined}
        primary={primary}
        other={other}
        answer={answer}
      />
      <footer className="flex min-h-[52px] shrink-0 items-center justify-between gap-4 bg-[#14201d] px-4 py-1 text-[#f6f7f4] sm:px-8">
        <span className="n min-w-0 truncate text-20 sm:text-24">
          <b className="mr-3">Next</b>
          {next ? next.step.title : "finished"}
        </span>
        <span className="n hidden shrink-0 text-20 font-semibold md:block">
          pedal:{" "}
          {against
            ? "held, a reading says stop"
            : lacking
              ? "held, the house wants something"
              : gate
                ? "yes and on"
                : mixing
                  ? "start the clock"
                  : "done and on"}
        </span>
      </footer>
      <NoteDialog
        open={dialog === "note"}
        onOpenChange={(o) => setDialog(o ? "note" : undefined)}
        onNote={(text) => happened(run.id, "NOTE", { step: current.id, text })}
      />
      <ReadingDialog
        key={current.id}
        asks={step.asks}
        open={dialog === "reading"}
        onOpenChange={(o) => setDialog(o ? "reading" : undefined)}
        onReading={read}
      />
      <KeysDialog open={dialog === "keys"} onOpenChange={(o) => setDialog(o ? "keys" : undefined)} />
    </main>
  );
}
