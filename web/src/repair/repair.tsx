import { msg } from "../messages/messages";
import { lazy, Suspense, useMemo, useState } from "react";
import { Undo2 } from "lucide-react";
import { Link, Navigate, useNavigate, useParams } from "react-router";
import { useRules, useRun, useZone } from "../api/queries";
import { dialogOpen, typing, useKeys } from "../shell/keys";
import type { Api } from "../api/client";
import { useTitle } from "../shell/title";
import { dayAndTime } from "../units/units";
import { useChosen } from "./damage/chosen";
import { DrawingSheet, StepsDrawing } from "./drawing-sheet";
import { Kept, useIdle } from "./kept";
import { LitProvider } from "./drawing/lit";
import { Figures } from "./figures";
import { NextBar, useWantedField } from "./next-bar";
import { askedOf, unansweredOf } from "./part/questions";
import { StationSheet } from "./station-sheet";
import { AT_WORK, STATIONS, standings, type Station, Stations, WORDS } from "./stations";
import { type DraftOnScreen, useDraft } from "./use-draft";
import { VerdictMark } from "./verdict-mark";
import { Skeleton } from "../shell/skeleton";

/** Asked for when the work is done: loaded when it is opened. */
const RecordStation = lazy(() => import("./record/record"));

/** The same ones each time: nothing is built anew for them. */
const NONE: never[] = [];
const NO_PART: Api["PartDraft"] = {};

/** A repair: its title, its eight stations, the drawing pair in the middle, the figures at the right. */
export function Repair() {
  const { id, station } = useParams();
  const known = STATIONS.find((s) => s === station && s !== "run");
  if (!id || !/^\d+$/.test(id)) return <Navigate to="/repairs" replace />;
  if (!known) return <Navigate to={`/repairs/${id}/part`} replace />;
  return <RepairScreen key={id} id={Number(id)} station={known} />;
}

function RepairScreen({ id, station }: { id: number; station: Station }) {
  const on = useDraft(id);
  const navigate = useNavigate();
  const frozen = on.frozen;
  const begun = frozen || on.anew !== undefined;
  const run = useRun(id, begun).data;
  const { undo, canUndo } = on;
  useWantedField();
  useTitle([on.draft?.part?.name, WORDS[station]].filter(Boolean).join(", "));
  const hand = useChosen(on.draft?.damages ?? NONE);
  const limits = useRules().data?.limits ?? NONE;
  const [seen, setSeen] = useState<{ station: Station; sheet: Sheet }>({ station, sheet: "work" });
  const [site, setSite] = useState<string>();
  // Another station opens with its own sheet.
  const sheet = seen.station === station ? seen.sheet : "work";
  const idle = useIdle(on.draft !== undefined);
  const unanswered = useMemo(() => {
    const part = on.draft?.part ?? NO_PART;
    return unansweredOf(askedOf(limits, part, on.draft?.damages ?? []), part);
  }, [limits, on.draft]);
  useKeys((e) => {
    if (typing(e) || dialogOpen() || e.ctrlKey || e.metaKey || e.altKey) return;
    const s = STATIONS[Number(e.key) - 1];
    if (s) void navigate(`/repairs/${id}/${s}`);
    if (e.key === "u" && canUndo) undo();
  });

  if (on.failed && !on.draft) {
    return (
      <div className="flex flex-col items-start gap-4 p-6">
        <h1 className="text-28 font-semibold">{on.failed}</h1>
        <button className="btn" onClick={() => void navigate("/repairs")}>
          {msg("To all repairs")}
        </button>
      </div>
    );
  }
  if (!on.draft) return <Skeleton />;
  const whole = on.workup ?? (on.problems.length > 0 ? on.lastWorkup : undefined);
  const standing = standings(on.workup, on.problems, run?.state, begun ? 0 : unanswered.length);
  const steps = station === "steps";
  const record = station === "record";
  const drawn = steps || record || station === "run" ? "verdict" : station;
  const shared = { id, on, frozen, hand, whole, site, onSite: setSite };
  return (
    <>
      <Title
        on={on}
        frozen={frozen}
        stepsDone={run?.state.steps.filter((s) => s.doneAt).length}
        steps={run?.state.steps.length}
        record={record}
      />
      <Crossed on={on} />
      {on.anew !== undefined && <AnewBand id={id} why={on.anew} />}
      <Stations id={id} at={station} standing={standing} />
      <LitProvider>
        <Kept shown={record}>
          <Suspense fallback={<Skeleton />}>
            <RecordStation id={id} frozen={begun} />
          </Suspense>
        </Kept>
        <Kept shown={!record}>
          <div className="print-flow flex min-h-0 flex-1 max-[1099px]:flex-col">
            <SheetPick station={station} sheet={sheet} onSheet={(s) => setSeen({ station, sheet: s })} />
            {AT_WORK.map((s) => (
              <Kept key={s} shown={station === s} early={idle}>
                <StationSheet {...shared} station={s} className={narrow(sheet === "work")} />
              </Kept>
            ))}
            <Kept shown={!steps} early={idle}>
              <DrawingSheet {...shared} station={drawn} early={idle} className={narrow(sheet === "drawing")} />
              <Figures
                id={id}
                workup={on.workup}
                problems={on.problems}
                unanswered={begun ? NONE : unanswered}
                part={on.draft.part ?? NO_PART}
                frozenAt={on.frozenAt}
                className={`print-flow min-h-0 max-[1099px]:flex-1 min-[1100px]:w-[248px] min-[1100px]:shrink-0 min-[1100px]:firm-l ${narrow(sheet === "figures")}`}
              />
            </Kept>
            <Kept shown={steps} early={idle}>
              <StepsDrawing
                whole={whole}
                stale={!on.workup}
                site={site}
                onSite={setSite}
                className={narrow(sheet === "drawing")}
              />
            </Kept>
          </div>
        </Kept>
      </LitProvider>
      {!frozen && station !== "record" && (
        <NextBar id={id} at={station} unanswered={begun ? [] : unanswered} problems={on.problems} workup={on.workup} />
      )}
    </>
  );
}

/** What a narrow screen shows of a station: what is typed or read there, the drawing, or the figures. */
type Sheet = "work" | "drawing" | "figures";

/** On a narrow screen one sheet is shown, over its full width. */
const narrow = (shown: boolean) => (shown ? "" : "max-[1099px]:hidden");

function SheetPick({ station, sheet, onSheet }: { station: Station; sheet: Sheet; onSheet: (sheet: Sheet) => void }) {
  const sheets: [Sheet, string][] = [
    ["work", WORDS[station]],
    ["drawing", msg("Drawing")],
  ];
  if (station !== "steps") sheets.push(["figures", msg("Figures")]);
  return (
    <div className="no-print firm-b flex shrink-0 min-[1100px]:hidden" role="group" aria-label={msg("Sheet")}>
      {sheets.map(([s, word]) => (
        <button
          key={s}
          type="button"
          aria-pressed={sheet === s}
          className={`n min-h-14 flex-1 px-2 text-20 font-semibold ${sheet === s ? "bg-ink text-sheet" : ""}`}
          onClick={() => onSheet(s)}
        >
          {word}
        </button>
      ))}
    </div>
  );
}

const SAFETY: Record<DraftOnScreen["safety"], string> = {
  saved: msg("Saved"),
  saving: msg("Saving"),
  kept: msg("Kept here, server not reached"),
  crossed: msg("Not saved"),
};

function Title({
  on,
  frozen,
  stepsDone,
  steps,
  record,
}: {
  on: DraftOnScreen;
  frozen: boolean;
  stepsDone?: number;
  steps?: number;
  /** The record prints a heading of its own. */
  record: boolean;
}) {
  const { id } = useParams();
  const zone = useZone();
  const part = on.draft?.part;
  const workup = on.workup;
  return (
    <div
      className={`firm-b bg-sheet flex min-h-[58px] shrink-0 items-center gap-x-4 overflow-hidden pl-4 max-[1099px]:flex-wrap print:flex-wrap ${record ? "no-print" : ""}`}
    >
      <h1
        className="min-w-0 truncate max-[1099px]:w-full max-[1099px]:pt-2 max-[1099px]:whitespace-normal text-28 font-semibold print:w-full print:whitespace-normal"
        style={{ fontStretch: "88%" }}
      >
        {part?.name || msg("New repair")}
      </h1>
      <span className="n min-w-20 shrink truncate text-muted max-[699px]:min-w-0">{part?.vehicle}</span>
      {workup && (
        <span
          className="firm bg-ground n shrink truncate px-2 leading-7 font-semibold max-[699px]:hidden"
          style={{ fontStretch: "98%" }}
        >
          {workup.mark}
        </span>
      )}
      {workup && <VerdictMark outcome={workup.verdict.outcome} />}
      <div className="ml-auto flex min-h-[58px] shrink-0">
        {!frozen && (
          <button
            type="button"
            className="n no-print flex items-center gap-2 border-l border-hair px-4 font-semibold disabled:text-muted"
            disabled={!on.canUndo}
            onClick={on.undo}
          >
            <Undo2 size={20} aria-hidden="true" /> {msg("Undo")}
          </button>
        )}
        <TitleFigure
          label={frozen ? msg("Frozen") : msg("Draft")}
          value={frozen ? dayAndTime(on.frozenAt ?? "", zone) : SAFETY[on.safety]}
        />
        {steps !== undefined && (
          <TitleFigure label={msg("Steps done")} value={msg("{done} of {all}", { done: stepsDone ?? 0, all: steps })} />
        )}
        {workup && !record && (
          <Link
            to={`/day?repair=${id}`}
            className={`no-print hover:bg-ground flex ${on.draft?.promisedAt ? "" : "max-[1099px]:hidden"}`}
          >
            <TitleFigure
              label={on.draft?.promisedAt ? msg("Promised") : msg("Promise")}
              value={on.draft?.promisedAt ? dayAndTime(on.draft.promisedAt, zone) : msg("Can I?")}
            />
          </Link>
        )}
      </div>
    </div>
  );
}

function TitleFigure({ label, value }: { label: string; value: string }) {
  return (
    <div className="border-l border-hair px-3.5 pt-2.5">
      <span className="lab block">{label}</span>
      <span className="n block font-semibold whitespace-nowrap">{value}</span>
    </div>
  );
}

/** A run is being planned anew: what is typed here goes into the plan that it goes on by. */
function AnewBand({ id, why }: { id: number; why: string }) {
  return (
    <div role="status" className="firm-b flex flex-wrap items-center gap-x-4 gap-y-1 bg-tape px-4 py-1 text-on-tape">
      <span className="min-w-0 flex-1">
        <b>{msg("Planned anew while the work goes on:")}</b>{" "}
        {msg("{why}. What was read is in the draft: look at it, then go on.", { why })}
      </span>
      <Link to={`/repairs/${id}/run`} className="btn">
        {msg("Back to the run")}
      </Link>
      <Link to={`/repairs/${id}/run/anew`} className="btn go">
        {msg("Go on by the new plan")}
      </Link>
    </div>
  );
}

/** Two people at one repair: nothing is lost on either side until one of them says so. */
function Crossed({ on }: { on: DraftOnScreen }) {
  if (on.safety !== "crossed") return null;
  return (
    <div role="alert" className="firm-b flex items-center gap-4 bg-tape px-4 text-on-tape">
      <span className="flex-1 font-bold">
        {msg("{crossedBy} changed this repair meanwhile. What you typed is kept on this screen.", {
          crossedBy: on.crossedBy,
        })}
      </span>
      <button type="button" className="btn my-1" onClick={on.takeTheirs}>
        {msg("Take theirs")}
      </button>
      <button type="button" className="btn my-1" onClick={on.keepMine}>
        {msg("Keep mine")}
      </button>
    </div>
  );
}
