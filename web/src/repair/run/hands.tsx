import { msg } from "../../messages/messages";
import { Crosshair } from "lucide-react";
import { useMemo, useState } from "react";
import { useNavigate } from "react-router";
import type { Api } from "../../api/client";
import { useNow } from "../../api/clock";
import { useFilm, useZone } from "../../api/queries";
import { isDeadline, secondsLeft } from "../../marks/clock-rule";
import { dialogOpen, typing, useKeys } from "../../shell/keys";
import { usePreferences } from "../../shell/preferences";
import { useHeard } from "../../shell/use-heard";
import { HelpDialog } from "../../shell/help-dialog";
import { Explained } from "../../words/explained";
import { tone } from "../../shell/tone";
import { DrawingPair } from "../drawing/drawing-pair";
import { litByStep, LitProvider } from "../drawing/lit";
import { drawingOf, siteOf } from "../sites";
import { aheadOfServer } from "./ahead-of-server";
import { AnswerBar } from "./answer-bar";
import type { Ask } from "./asks";
import { BeforeMixGlance } from "./before-mix";
import { Cautions } from "./cautions";
import { ClockBand } from "./clock-band";
import { CURED_BY, curedBy } from "./cured-by";
import { Ended } from "./ended";
import { BigFigure, figureOf } from "./figure";
import { FilmWarnings } from "./film-warnings";
import { Findings } from "./finding";
import { Finished } from "./finished";
import { heldBy, unread } from "./held";
import { changedBy, mustsNow, walkable } from "./in-hand";
import { keyAction, type KeyAction } from "./key-action";
import { happened } from "./happened";
import { NoteDialog } from "./note-dialog";
import { usePending } from "./outbox";
import { useOwnLast } from "./own-last";
import { PlannedAnew } from "./planned-anew";
import { ReadHere } from "./read-here";
import { type RunDialog, RunDialogs } from "./run-dialogs";
import { ReadingDialog } from "./reading-dialog";
import { Spots, spotsOf } from "./spots";
import { StepHead } from "./step-head";
import { StopBand, StopHere } from "./stop-here";
import { MixFigure } from "./mix-figure";
import { missing, WantedHere } from "./wanted";
import { Where } from "./where";
import { Weighing } from "./weighing";

type RunStep = Api["RunStep"];

/** One step fills the screen: verb first, the figure that matters, the clock, where, the gate, what is next. */
export function Hands({ run }: { run: Api["RunView"] }) {
  const pending = usePending(run.id);
  const plan = run.frozen.workup.plan;
  const state = useMemo(() => (plan ? aheadOfServer(plan, run.state, pending) : run.state), [plan, run.state, pending]);
  const i = state.steps.findIndex((s) => s.id === state.current);
  const current = state.steps[i];
  if (!plan) return <p className="p-6 text-28">{msg("This run has no plan.")}</p>;
  if (state.ended) return <Ended run={run} state={state} ended={state.ended} />;
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
  const [branching, setBranching] = useState(false);
  const [dialog, setDialog] = useState<RunDialog>();
  const [heldPedal, setHeldPedal] = useState("");
  const [weighAgain, setWeighAgain] = useState<Ask>();
  const mix = state.mixes.find((m) => m.step === current.id);
  const live =
    state.clocks.find((c) => c.step === current.id) ??
    state.clocks.find((c) => isDeadline(c) && step.kind === "SPREAD");
  // What is done at the table while something flashes: the wait's clock runs already.
  const beside = live ? undefined : state.clocks.find((c) => !isDeadline(c));
  const shown = live ?? beside;
  const meanwhile = beside && state.steps.find((s) => s.id === beside.step)?.step;
  const left = live ? secondsLeft(live, now) : undefined;
  const mixing = step.kind === "MIX" && !mix?.clockAt;
  const by = curedBy(step);
  const gate = step.gate;

  const done = () => happened(run.id, "DONE", { step: current.id });
  const answer = (a: string, why = "") =>
    happened(run.id, "GATE", { step: current.id, answer: a, ...(why && { text: why }) });
  const readAt = (step: string, quantity: Ask, value: number, source: string) =>
    happened(run.id, "READING", { step, quantity, value, ...(source && { text: source }) });
  const read = (quantity: Ask, value: number, source: string) => readAt(current.id, quantity, value, source);
  const startClock = (why = "") => happened(run.id, "CLOCK", { step: current.id, ...(why && { text: why }) });
  const last = useOwnLast(run, state);
  const undo = () => last !== undefined && happened(run.id, "UNDO", { target: last });
  const lacking = missing(state, current);
  const early = step.kind === "WAIT" && left !== undefined && left > 0 ? left : 0;
  const never = live !== undefined && live.endsAt === undefined ? by.passed : undefined;
  const pour = plan.mixes.find((m) => m.id === mix?.mix)?.pour;
  const musts = mustsNow(state, mix, mixing ? pour?.window : undefined);
  const held = heldBy({
    state,
    musts,
    current,
    mixing,
    early,
    never: never !== undefined,
    lacking: lacking !== undefined,
  });
  const stopped = state.stops.length > 0 && !walkable(state, current);
  const reads = unread(state, current);
  // By hand: what is not as it should be is asked for in words first.
  const primary = () => {
    if (mixing || (step.kind !== "MIX" && musts.length > 0)) {
      if (musts.some((m) => m.never)) return;
      if (musts.some((m) => !m.holds)) setDialog("start");
      else if (mixing) startClock();
      else done();
    } else if (gate) {
      if (early > 0 || never) setDialog("early");
      else answer("yes");
    } else if (early > 0) setDialog("early");
    else done();
  };
  const other = () => {
    if (!gate) return;
    const only = gate.branches.length === 1 ? gate.branches[0] : undefined;
    if (only) answer(only.id);
    else setBranching(true);
  };

  const does = (action: KeyAction, own: () => void) => {
    if (action.held) {
      own();
      setHeldPedal(held ?? "");
      if (heldPedal !== held) tone(true);
      return;
    }
    if (stopped && (action.does === "reading" || action.does === "other")) {
      own();
      return setDialog("measure");
    }
    if (action.own) own();
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
      case "reading":
        return gate && gate.reads.length > 0 ? undefined : setDialog("reading");
      default:
        return setDialog(action.does);
    }
  };
  const here = { mixing, held: held !== undefined };
  useKeys((e) => {
    if (dialogOpen()) return;
    const onButton = e.target instanceof HTMLElement && e.target.closest("button, a") !== null;
    const plain = !(e.ctrlKey || e.metaKey || e.altKey || e.repeat);
    const action = keyAction(e.key, { typing: typing(e), plain, onButton, ...here });
    if (action) does(action, () => e.preventDefault());
  });
  // What is said is held where the pedal is: nobody may be looking.
  useHeard((key) => {
    if (dialogOpen()) return;
    const action = keyAction(key, { typing: false, plain: true, onButton: false, ...here });
    if (action) does(action, () => undefined);
  });

  const { system, far } = usePreferences();
  const around = WIDE.has(step.zone ?? "CLEAN") ? ("FINE_320" as const) : ("FINE_240" as const);
  const drawing = drawingOf(run.frozen.workup, step);
  const drawnHere = state.spots.filter((s) => s.step === current.id);
  const spots = useMemo(() => spotsOf(state, current), [state, current]);
  const film = useFilm(run.id, run.state.lastUndoable ?? "", spots.length > 0).data?.film;
  const figure = figureOf(state, current, live, left, now, zone, system);
  const lastReading = state.readings.findLast(
    (r) => r.step === current.id && (r.quantity === "SURFACE_C" || r.quantity === "UV"),
  );
  return (
    <main className="flex min-h-0 flex-1 flex-col" data-step={current.id}>
      <StepHead
        run={run}
        state={state}
        current={current}
        index={index}
        stopped={stopped}
        onUndo={last === undefined ? undefined : undo}
        open={setDialog}
      />
      <StopBand stops={state.stops} />
      {run.anew !== undefined && <PlannedAnew id={run.id} why={run.anew} />}
      {stopped && (
        <div className="flex min-h-0 flex-1 flex-col max-lg:overflow-y-auto">
          <StopHere
            key={`${state.stops[0]?.event} ${dialog === "measure" ? "m" : ""}`}
            run={run.id}
            current={current}
            stops={state.stops}
            asking={dialog === "measure" ? "measure" : undefined}
            onReading={readAt}
            answer={answer}
          />
        </div>
      )}
      <div
        className={
          stopped
            ? "hidden"
            : `grid min-h-0 flex-1 grid-cols-1 grid-rows-[minmax(0,1fr)_auto_auto] lg:grid-rows-[minmax(0,1fr)_auto] ${far && step.kind !== "MIX" ? "" : "lg:grid-cols-[minmax(0,1fr)_minmax(0,38%)]"}`
        }
      >
        {/* What is long gives way and can be moved; the figure, what is read and what is weighed stay in view below it. */}
        <div
          className="flex min-h-0 flex-col gap-2 overflow-y-auto px-4 pt-3 sm:px-8"
          tabIndex={0}
          role="region"
          aria-label={msg("The step")}
        >
          <h1
            className={`font-semibold ${far ? "text-44 leading-[1.05] sm:text-[68px]" : "text-28 sm:text-44"}`}
            style={{ fontStretch: "88%" }}
          >
            {step.title}
          </h1>
          <FilmWarnings warnings={spots.length > 0 ? (film?.warnings ?? []) : []} />
          <Cautions run={run.id} cautions={step.cautions} />
          {/* From two metres nobody reads a sentence; where it is done stays a tap away. */}
          <Explained
            text={far ? "" : step.detail}
            className="min-h-18 shrink-0 text-20 leading-7 sm:text-[25px] sm:leading-8"
          />
          {musts.length > 0 && <BeforeMixGlance musts={musts} />}
          <Findings findings={state.findings} mix={changedBy(plan, state)} />
          {gate && step.asks.includes("SPOT_MM") && (
            <button
              type="button"
              className="btn min-h-[60px] shrink-0 self-start text-20"
              onClick={() => setDialog("spots")}
            >
              <Crosshair size={24} aria-hidden="true" />
              {drawnHere.length > 0
                ? msg("Draw what is wrong ({n} drawn)", { n: drawnHere.length })
                : msg("Draw what is wrong")}
            </button>
          )}
          <WantedHere run={run.id} at={current} lacking={lacking} onReading={() => setDialog("reading")} />
        </div>
        <div className="flex flex-col gap-2 px-4 pt-1 pb-3 sm:px-8">
          {gate && gate.reads.length > 0 && !stopped && (
            <ReadHere asks={reads.length > 0 ? reads : gate.reads} onReading={read} />
          )}
          {meanwhile && (
            <p className="shrink-0 text-20 font-semibold sm:text-24">
              {msg("Meanwhile runs: {step}", {
                step: [siteOf(run.frozen.workup.sites, meanwhile), meanwhile.title].filter(Boolean).join(", "),
              })}
            </p>
          )}
          {mix && pour && mixing ? (
            <MixFigure figure={figure} mix={mix} window={pour.window} again={weighAgain} />
          ) : (
            <BigFigure figure={figure} far={far} />
          )}
          {(live?.warning || lastReading || by === CURED_BY.light) && (
            <p className="text-20 font-bold sm:text-24" role="status">
              {live?.warning && <span className="text-oxide-text">{live.warning} </span>}
              {(lastReading || by === CURED_BY.light) && live?.note}
            </p>
          )}
        </div>
        {mix && step.kind === "MIX" ? (
          <div className="px-4 pb-2 sm:px-8 lg:firm-l lg:col-start-2 lg:row-span-2 lg:row-start-1 lg:overflow-y-auto lg:p-4">
            <Weighing mix={mix} pour={pour} again={weighAgain} setAgain={setWeighAgain} onReading={read} />
          </div>
        ) : (
          <div className={far ? "hidden" : "firm-l hidden lg:col-start-2 lg:row-span-2 lg:row-start-1 lg:block"}>
            <LitProvider fixed={litByStep(step)}>
              <DrawingPair drawing={drawing} sectionShare={0.42} around={around} spots={spots} />
            </LitProvider>
          </div>
        )}
      </div>

      {shown && !stopped && <ClockBand clock={shown} of={by.word} now={now} zone={zone} />}
      {!stopped && (
        <AnswerBar
          step={step}
          mixing={mixing}
          branching={branching}
          setBranching={setBranching}
          early={early}
          unread={reads.length > 0}
          lacking={lacking !== undefined}
          never={never}
          musts={musts}
          primary={primary}
          other={other}
          answer={answer}
          scrap={() => setDialog("scrap")}
          weigh={mix?.creamG === undefined ? undefined : () => setWeighAgain("CREAM_G")}
          weighed={mix?.fillerG !== undefined}
        />
      )}
      <footer className="flex min-h-[52px] shrink-0 items-center justify-between gap-4 bg-[#14201d] px-4 py-1 text-[#f6f7f4] sm:px-8">
        <span className="n min-w-0 truncate text-20 sm:text-24">
          <b className="mr-3">{msg("Next")}</b>
          {next ? next.step.title : msg("finished")}
        </span>
        <span className="n hidden shrink-0 text-20 font-semibold md:block">
          {held
            ? msg("pedal: held, {held}", { held })
            : gate
              ? msg("pedal: yes and on")
              : mixing
                ? msg("pedal: start the clock")
                : msg("pedal: done and on")}
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
      {heldPedal !== "" && heldPedal === held && (
        <p role="alert" className="bg-[#8e2b1f] px-4 py-2 text-20 font-bold text-[#fff6f2] sm:px-8">
          {msg("The pedal does nothing here: {heldPedal}.", { heldPedal })}
        </p>
      )}
      <RunDialogs
        run={run.id}
        current={current}
        musts={musts}
        mixing={mixing}
        early={early}
        never={never}
        open={dialog}
        setOpen={setDialog}
      />
      <Where
        drawing={drawing}
        step={step}
        around={around}
        spots={spots}
        open={dialog === "where"}
        onOpenChange={(o) => setDialog(o ? "where" : undefined)}
      />
      {gate && dialog === "spots" && (
        <Spots
          {...{ run, state, current, answer }}
          open
          onOpenChange={(o) => setDialog(o ? "spots" : undefined)}
          onSpot={(spot) => happened(run.id, "SPOT", { step: current.id, ...spot })}
          onTakeBack={last === undefined ? undefined : undo}
        />
      )}
      <HelpDialog open={dialog === "keys"} onOpenChange={(o) => setDialog(o ? "keys" : undefined)} />
    </main>
  );
}
