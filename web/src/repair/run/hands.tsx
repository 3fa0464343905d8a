import {
  Check,
  CornerUpLeft,
  Hand,
  NotebookPen,
  OctagonX,
  RotateCcw,
  ShieldAlert,
  Thermometer,
  Timer,
  TriangleAlert,
} from "lucide-react";
import { type ReactNode, useMemo, useState } from "react";
import { Link, useNavigate } from "react-router";
import type { Api } from "../../api/client";
import { now as serverNow, useNow } from "../../api/clock";
import { useZone } from "../../api/queries";
import { ClockRule, isDeadline, secondsLeft } from "../../marks/clock-rule";
import { useSize } from "../../marks/use-size";
import { dialogOpen, typing, useKeys } from "../../shell/keys";
import { useSaid } from "../../shell/preferences";
import { KeysDialog } from "../../shell/keys-dialog";
import { grams, micrometres, minutes, moment, percent, stretch } from "../../units/units";
import { DrawingPair } from "../drawing/drawing-pair";
import { litByStep, LitProvider } from "../drawing/lit";
import { useMe } from "../../shell/me";
import { aheadOfServer } from "./ahead-of-server";
import type { Ask } from "./asks";
import { BeforeMixGlance } from "./before-mix";
import { NoteDialog } from "./note-dialog";
import { type BenchEvent, outbox, usePending } from "./outbox";
import { ReadingDialog } from "./reading-dialog";
import { depthMm } from "./rework";
import { Weighing } from "./weighing";

type RunStep = Api["RunStep"];
type Kind = BenchEvent["kind"];

/** What happened, kept at once and sent by itself. */
function happened(repair: number, kind: Kind, more: Partial<BenchEvent> = {}): void {
  outbox.push(repair, { id: crypto.randomUUID(), kind, at: new Date(serverNow()).toISOString(), ...more });
}

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

function Finished({ run, state }: { run: Api["RunView"]; state: Api["RunState"] }) {
  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <div className="flex-1 p-8">
        <h1 className="text-96 font-semibold" style={{ fontStretch: "88%" }}>
          Finished
        </h1>
        <p className="mt-4 text-28">
          {run.frozen.workup.name}. Last done: {state.steps.at(-1)?.step.title.toLowerCase()}. Look at the record while
          you still know.
        </p>
      </div>
      <div className="firm-t flex">
        {state.lastUndoable && (
          <button
            type="button"
            className="n grid min-h-[96px] flex-1 place-items-center text-28 font-semibold"
            onClick={() => happened(run.id, "UNDO", { target: state.lastUndoable })}
          >
            Undo last
          </button>
        )}
        <Link
          to={`/repairs/${run.id}/record`}
          className="bg-pine text-on-pine n grid min-h-[96px] flex-[2] place-items-center text-44 font-semibold"
        >
          To the record
        </Link>
      </div>
    </main>
  );
}

/** What a wait is for, and what is said where it does not come. */
const CURED_BY = {
  cure: { word: "cure", never: "this mix does not cure", passed: "this dose does not cure: it stands in the record" },
  light: {
    word: "light",
    never: "not in this light",
    passed: "the light is not in: it stands in the record",
  },
} as const;
const curedBy = (step: Api["Step"]) => CURED_BY[step.asks.includes("UV") ? "light" : "cure"];

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
  const say = useSaid();
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
  const primary = () => (mixing ? startClock() : gate ? answer("yes") : done());
  const other = () => {
    if (!gate) return;
    const only = gate.branches.length === 1 ? gate.branches[0] : undefined;
    if (only) answer(only.id);
    else setBranching(true);
  };

  useKeys((e) => {
    if (dialogOpen()) return;
    if (e.key === "PageDown") {
      e.preventDefault();
      // A reading that says stop is gone against by hand only, never by a foot.
      if (!against) primary();
      return;
    }
    if (typing(e) || e.ctrlKey || e.metaKey || e.altKey || e.repeat) return;
    // A focused button answers Enter and Space by itself.
    const onButton = e.target instanceof HTMLElement && e.target.closest("button, a") !== null;
    if (e.key === "Enter" && !onButton && !against) primary();
    else if (e.key === " " && !onButton) {
      e.preventDefault();
      if (mixing) startClock();
    } else if (e.key === "u") undo();
    else if (e.key === ".") {
      e.preventDefault();
      setDialog("note");
    } else if (e.key === "r") {
      e.preventDefault();
      setDialog("reading");
    } else if (e.key === "n") other();
    else if (e.key === "?") setDialog("keys");
    else if (e.key === "Escape") void navigate(`/repairs/${run.id}/steps`);
  });

  const crowded = state.before.length > 0;
  const figure = figureOf({ run, plan, state, current, index, next }, live, left, now, zone, say);
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
          <p className="text-20 leading-7 sm:text-[25px] sm:leading-8">{say(step.detail)}</p>
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
              {say(f.said)}
            </p>
          ))}
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
              {live?.warning && <span className="text-oxide-text">{say(live.warning)} </span>}
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
          {against ? "held, a reading says stop" : gate ? "yes and on" : mixing ? "start the clock" : "done and on"}
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

function TopButton({
  onClick,
  disabled = false,
  label,
  children,
}: {
  onClick: () => void;
  disabled?: boolean;
  label: string;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      className="bg-ground firm-l n flex min-w-[72px] items-center justify-center gap-2 px-4 text-20 font-semibold disabled:text-muted"
      disabled={disabled}
      aria-label={label}
      onClick={onClick}
    >
      {children}
      <span className="hidden sm:inline">{label}</span>
    </button>
  );
}

interface Figure {
  /** A deadline that bites within half a minute, or is over. */
  alarm?: boolean;
  value: string;
  unit?: string;
  note: string;
}

const ALARM_S = 30;

function BigFigure({ figure, size }: { figure: Figure; size: string }) {
  return (
    <div className={`flex flex-wrap items-end gap-x-6 ${figure.alarm ? "text-oxide-text" : ""}`}>
      {figure.alarm && <TriangleAlert size={96} strokeWidth={2.2} aria-label="Alarm" />}
      <span className="n leading-none font-semibold" style={{ fontSize: size, fontStretch: "88%" }} data-figure>
        {figure.value}
        {figure.unit && <span className="ml-2 text-[0.4em] font-medium">{figure.unit}</span>}
      </span>
      <span className="n max-w-72 pb-2 text-20 leading-7 font-semibold sm:text-28 sm:leading-8">{figure.note}</span>
    </div>
  );
}

const split = (text: string): { value: string; unit?: string } => {
  const [value = "", ...unit] = text.split("\u202f");
  return { value, unit: unit.join(" ") || undefined };
};

/** What was read at a step whose gate is about it: the lowest film, the last angle or surface. */
function readHere(state: Api["RunState"], current: RunStep): Figure | undefined {
  const of = (q: Ask) => state.readings.filter((r) => r.step === current.id && r.quantity === q).map((r) => r.value);
  const film = of("FILM_UM");
  if (film.length > 0)
    return {
      ...split(micrometres(Math.min(...film))),
      note: film.length === 1 ? "read" : `lowest of ${film.length} readings`,
    };
  const angle = of("ANGLE_DEG").at(-1);
  if (angle !== undefined) return { value: String(angle), unit: "°", note: "from square, read" };
  return undefined;
}

/** The one figure that matters in this step. */
function figureOf(
  { state, current }: InHand,
  live: Api["LiveClock"] | undefined,
  left: number | undefined,
  now: number,
  zone: string,
  say: (text: string) => string,
): Figure {
  const { step } = current;
  if (live && left === undefined) return { value: "never", note: curedBy(step).never };
  if (live && left !== undefined && isDeadline(live)) {
    return left > 0
      ? { ...split(stretch(left, "down")), note: "left to have it all on the part", alarm: left <= ALARM_S }
      : { value: "over", note: "work time is gone: what is not on the part stays off", alarm: true };
  }
  if (live && left !== undefined) {
    return left > 0
      ? {
          ...split(stretch(left, "up")),
          note: `${live.label.toLowerCase()} ${moment(live.endsAt ?? "", now, zone, "up")}`,
        }
      : {
          value: "now",
          note: `${live.label.toLowerCase()} ${moment(live.endsAt ?? "", now, zone, "up")}: ask for the sign`,
        };
  }
  const mix = state.mixes.find((m) => m.step === current.id);
  if (step.kind === "MIX" && mix) {
    if (mix.fillerG === undefined) {
      const again = step.asks.includes("DEPTH_MM");
      const deep = depthMm(current.at, state.readings);
      const note = !again
        ? "filler to weigh; a little over is fine"
        : deep === undefined
          ? "as the first time: read the depth, weigh less"
          : deep > 0
            ? `filler, for ${say(`${deep} mm`)} of depth`
            : "filler, for a coat";
      return { ...split(grams(mix.fillerTargetG)), note };
    }
    if (mix.creamG === undefined)
      return { ...split(grams(mix.creamTargetG)), note: `cream, for the ${grams(mix.fillerG)} really weighed` };
    return { ...split(percent(mix.percent ?? 0)), note: mix.said || "cream, really weighed" };
  }
  const read = readHere(state, current);
  if (read) return read;
  if (step.paper)
    return {
      value: step.paper,
      unit: "grade",
      note: `${step.tool}; about ${minutes(step.activeMin)}`,
    };
  if (step.figure) return { ...split(say(step.figure).replace(/ planned$/, "")), note: "planned" };
  if (step.activeMin > 0) return { ...split(minutes(step.activeMin)), note: "hands on, about" };
  return { value: "by test", note: "no clock: the sign decides" };
}

function ClockBand({ clock, of, now, zone }: { clock: Api["LiveClock"]; of: string; now: number; zone: string }) {
  const [ref, { width }] = useSize();
  const used = Math.max(0, (now - Date.parse(clock.startedAt)) / 1000);
  const by = isDeadline(clock);
  return (
    <div ref={ref} className="firm-t bg-ground relative h-[88px] shrink-0 overflow-hidden">
      {width > 0 && <ClockRule clock={clock} now={now} width={width} height={64} numbers />}
      <span className="n absolute bottom-0 left-4 text-16 font-semibold text-muted sm:left-8">
        {stretch(used, "down")} used
      </span>
      <span className={`n absolute right-4 bottom-0 text-20 font-bold ${by ? "text-oxide-text" : ""}`}>
        {clock.endsAt ? `${clock.label} ${moment(clock.endsAt, now, zone, by ? "down" : "up")}` : "never"}
        {clock.neededMin > 0 && (
          <span className="ml-4 font-semibold text-ink">
            {of} {Math.min(999, Math.floor((clock.agedMin / clock.neededMin) * 100))}
            {"\u202f"}% at last look
          </span>
        )}
      </span>
    </div>
  );
}

function AnswerBar({
  step,
  mixing,
  branching,
  setBranching,
  early,
  against,
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
  never: string | undefined;
  primary: () => void;
  other: () => void;
  answer: (a: string) => void;
}) {
  const say = useSaid();
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
          {say(gate.question)}
        </div>
        <Answer
          go={!against}
          Icon={Check}
          word={gate.yes}
          note={
            against
              ? "against what was read: it stands in the record"
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
          go
          Icon={Check}
          word={step.kind === "MIX" ? "Mixed, one colour" : step.kind === "SPREAD" ? "All on the part" : "Done"}
          note="and on"
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
