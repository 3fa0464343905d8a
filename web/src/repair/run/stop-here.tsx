import { ruleLabels } from "./rule-labels";
import { msg, within } from "../../messages/messages";
import { CornerDownRight, Lock, OctagonX, Ruler, RotateCcw, SquareSplitHorizontal } from "lucide-react";
import { type ReactNode, useState } from "react";
import { type Api, fresh } from "../../api/client";
import { useNow } from "../../api/clock";
import { useZone } from "../../api/queries";
import { useSize } from "../../marks/use-size";
import { useMay } from "../../shell/me";
import { usePreferences } from "../../shell/preferences";
import { amountOf, moment } from "../../units/units";
import { type Ask, useAsked } from "./asks";
import { EndDialog, PlanAnewDialog } from "./cannot-go-on";
import { useFigures } from "./finding";
import { happened } from "./happened";
import type { Finding, Stop } from "./judge";
import { ReadHere } from "./read-here";
import { SayDialog } from "./say-dialog";

/** What is wrong and since when, across the screen. */
export function StopBand({ stops }: { stops: readonly Stop[] }) {
  const figures = useFigures();
  const [first, ...others] = stops;
  if (!first) return null;
  return (
    <div className="flex shrink-0 items-center gap-5 bg-[#8e2b1f] px-4 py-3 text-[#fff6f2] sm:px-8" role="alert">
      <OctagonX size={56} strokeWidth={2.2} className="shrink-0 max-sm:hidden" aria-hidden="true" />
      <div className="min-w-0">
        <h1 className="n text-28 leading-8 font-bold sm:text-36 sm:leading-10">
          {msg("Stop: {title}", { title: within(first.title) })}
        </h1>
        <p className="text-20 leading-6">
          {first.finding && `${figures(first.finding)} `}
          {first.follows}
          {first.more > 1 && ` ${msg("{more} readings have to pass.", { more: first.more })}`}
        </p>
        {others.length > 0 && (
          <p className="text-20 font-semibold">
            {msg("Also: {others}.", { others: others.map((s) => within(s.title)).join(", ") })}
          </p>
        )}
      </div>
    </div>
  );
}

/** What was read on a rule, against its limit and the plan. */
function StopRule({ finding }: { finding: Finding }) {
  const [ref, { width }] = useSize();
  const { system } = usePreferences();
  const { unit } = useAsked()(finding.watch.quantity);
  const marks = [
    { at: finding.limit, word: msg("limit"), line: "var(--oxide)", ink: "var(--oxide-text)", wide: 3, dash: "5 4" },
    ...(finding.planned === undefined
      ? []
      : [{ at: finding.planned, word: msg("planned"), line: "var(--ink)", ink: "var(--ink)", wide: 3, dash: "" }]),
    { at: finding.value, word: msg("read"), line: "var(--oxide)", ink: "var(--oxide-text)", wide: 6, dash: "" },
  ].sort((a, b) => a.at - b.at);
  const low = Math.min(...marks.map((m) => m.at));
  const high = Math.max(...marks.map((m) => m.at));
  const pad = Math.max((high - low) * 0.35, Math.abs(high) * 0.05, 1e-6);
  const from = low >= 0 ? Math.max(0, low - pad) : low - pad;
  const x = (v: number) => 8 + ((v - from) / (high + pad - from)) * (width - 16);
  const words = marks.map((m) => `${m.word} ${amountOf(m.at, unit, system)}`);
  const labels = ruleLabels(
    marks.map((m, i) => ({ at: x(m.at), words: words[i] ?? "" })),
    width,
  );
  const step = niceStep((high + pad - from) / 8);
  const ticks = Array.from(
    { length: Math.min(60, Math.floor((high + pad - from) / step) + 1) },
    (_, k) => (Math.ceil(from / step) + k) * step,
  );
  return (
    <div ref={ref} className="relative h-[132px] min-w-[280px] max-w-[640px] flex-1" aria-hidden="true">
      {width > 0 && (
        <svg width={width} height={132}>
          <rect x={1} y={4} width={width - 2} height={48} fill="none" stroke="var(--ink)" strokeWidth={1.5} />
          {ticks.map((t) => (
            <path key={t} d={`M${x(t)} 4v16`} stroke="var(--ink)" />
          ))}
          <rect
            x={Math.min(x(finding.limit), x(finding.value))}
            y={36}
            width={Math.abs(x(finding.value) - x(finding.limit))}
            height={15}
            fill="var(--oxide)"
            opacity={0.35}
          />
          {marks.map((m, i) => (
            <g key={m.word}>
              <path
                d={`M${x(m.at)} 0V${62 + (labels[i]?.row ?? 0) * 22}`}
                stroke={m.line}
                strokeWidth={m.wide}
                strokeDasharray={m.dash}
              />
              <text
                x={labels[i]?.x}
                y={78 + (labels[i]?.row ?? 0) * 22}
                className="n text-16 font-semibold"
                fill={m.ink}
              >
                {words[i]}
              </text>
            </g>
          ))}
        </svg>
      )}
    </div>
  );
}

function niceStep(rough: number): number {
  const ten = 10 ** Math.floor(Math.log10(Math.max(rough, 1e-6)));
  return ([1, 2, 5, 10].find((n) => n * ten >= rough) ?? 10) * ten;
}

/** The ways out of a stop, all at once, each with what follows. */
export function StopHere({
  run,
  current,
  stops,
  asking,
  onReading,
  answer,
}: {
  run: number;
  current: Api["RunStep"];
  stops: readonly Stop[];
  /** The dialog that a key opened. */
  asking: "measure" | undefined;
  onReading: (step: string, quantity: Ask, value: number, source: string) => void;
  answer: (a: string, why?: string) => void;
}) {
  const stop = stops[0];
  const now = useNow();
  const zone = useZone();
  const { system } = usePreferences();
  const asked = useAsked();
  const lead = useMay("GO_AGAINST");
  const [way, setWay] = useState<"measure" | "look" | "anew" | "end" | "against" | undefined>(asking);
  if (!stop) return null;
  const f = stop.finding;
  const told = f ? amountOf(f.value, asked(f.watch.quantity).unit, system) : "";
  const why = f ? `${stop.title}: ${told}` : stop.title;
  const loop = stop.loop === "" ? undefined : current.step.gate?.branches.find((b) => b.loop === stop.loop);
  const open = (w: typeof way) => (o: boolean) => setWay(o ? w : undefined);
  return (
    <>
      <div
        className="flex shrink-0 flex-wrap content-start items-center gap-x-12 gap-y-3 px-4 py-4 sm:px-8 lg:min-h-0 lg:flex-1 lg:overflow-y-auto lg:pb-0"
        tabIndex={0}
        role="region"
        aria-label={msg("The stop")}
      >
        <div className="flex flex-wrap items-end gap-x-8 gap-y-2 lg:max-w-[50%]">
          {f && (
            <span
              className="n leading-none font-semibold text-oxide-text"
              style={{ fontSize: "clamp(72px, 12vw, 132px)" }}
              data-figure
            >
              {told.split("\u202f")[0]}
              <span className="ml-2 text-[0.4em] font-medium">{told.split("\u202f")[1]}</span>
            </span>
          )}
          <p className="n pb-2 text-20 leading-7 font-semibold">
            {f
              ? msg("{what} at “{step}”", { what: asked(f.watch.quantity).label, step: current.step.title })
              : msg("Seen at “{step}”", { step: current.step.title })}
            <br />
            {moment(stop.since, now, zone)}
            {stop.by && `, ${msg("by {by}", { by: stop.by })}`}
            {f?.watch.source && (
              <>
                <br />
                <span className="text-16 font-normal">{msg("limit: {source}", { source: f.watch.source })}</span>
              </>
            )}
          </p>
        </div>
        {f && <StopRule finding={f} />}
        {way === "measure" && f && (
          <ReadHere
            asks={[f.watch.quantity]}
            onReading={(q, v, source) =>
              onReading(current.step.asks.includes(q) ? current.id : stop.step, q, v, source)
            }
          />
        )}
      </div>
      <div className="firm-t grid shrink-0 grid-cols-1 sm:grid-cols-2 lg:auto-cols-fr lg:grid-flow-col lg:grid-cols-none">
        {f ? (
          <Way
            go
            Icon={Ruler}
            word={msg("Measure again")}
            note={msg("The stop stays until a reading passes.")}
            onClick={() => setWay("measure")}
          />
        ) : (
          <Way
            go
            Icon={Ruler}
            word={msg("Look again")}
            note={msg("If it holds after all: say what you saw. It stands in the record.")}
            onClick={() => setWay("look")}
          />
        )}
        {loop && (
          <Way
            Icon={RotateCcw}
            word={first(loop.note)}
            note={msg("Then it is read again.")}
            onClick={() => answer(loop.id)}
          />
        )}
        {stop.weight === "NEVER" && !f ? (
          <Way
            Icon={Lock}
            word={msg("Plan anew from here")}
            note={msg("No plan mends that.")}
            locked
            onClick={() => {}}
          />
        ) : (
          <Way
            Icon={CornerDownRight}
            word={msg("Plan anew from here")}
            note={msg("A second plan with what was found in it. What is done and still holds counts as done.")}
            onClick={() => setWay("anew")}
          />
        )}
        <Way
          Icon={SquareSplitHorizontal}
          word={msg("End here")}
          note={msg("Referred, replaced, handed on or called off. The Bench says why.")}
          onClick={() => setWay("end")}
        />
        {stop.weight === "STOP" && stop.care ? (
          <Way
            Icon={Lock}
            word={msg("Go against it")}
            note={
              lead
                ? msg("Signed by you, with a reason.")
                : msg("A lead only, signed with a reason: ask one to sign in here.")
            }
            locked={!lead}
            onClick={() => setWay("against")}
          />
        ) : (
          <Way
            Icon={Lock}
            word={msg("Go against it")}
            note={msg("Nobody may: it could hurt someone or spoil the part.")}
            locked
            onClick={() => {}}
          />
        )}
      </div>
      <SayDialog
        title={msg("Looked at again, it holds")}
        told={msg("What was answered before stays in the record, and what you saw now stands beside it.")}
        label={msg("What did you see?")}
        act={msg("It holds: go on")}
        open={way === "look"}
        onOpenChange={open("look")}
        onSaid={(said) => answer("yes", said)}
      />
      <SayDialog
        title={msg("Go against this stop")}
        told={msg("It is signed with your name and stands in the record with its reason.")}
        label={msg("Why?")}
        act={msg("Sign and go on")}
        open={way === "against"}
        onOpenChange={open("against")}
        onSaid={(said) =>
          void fresh().then((given) => given && happened(run, "AGAINST", { target: stop.event, text: said }))
        }
      />
      <PlanAnewDialog run={run} why={why} open={way === "anew"} onOpenChange={open("anew")} />
      <EndDialog run={run} why={why} open={way === "end"} onOpenChange={open("end")} />
    </>
  );
}

const first = (s: string) => s.charAt(0).toUpperCase() + s.slice(1);

function Way({
  go = false,
  locked = false,
  Icon,
  word,
  note,
  onClick,
}: {
  go?: boolean;
  locked?: boolean;
  Icon: typeof Lock;
  word: string;
  note: ReactNode;
  onClick: () => void;
}) {
  return (
    <button
      type="button"
      className={`firm-l flex min-h-[96px] flex-col gap-2 px-5 py-4 text-left lg:min-h-[188px] ${go ? "bg-pine text-on-pine" : locked ? "bg-ground text-muted" : "bg-sheet"}`}
      disabled={locked}
      onClick={onClick}
    >
      <span className="n flex items-center gap-3 text-28 leading-8 font-semibold" style={{ fontStretch: "84%" }}>
        <Icon size={32} className="shrink-0" aria-hidden="true" /> {word}
      </span>
      <span className="text-20 leading-6">{note}</span>
    </button>
  );
}
