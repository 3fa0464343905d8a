import { msg } from "../messages/messages";
import { lazy, Suspense, useState } from "react";
import { Undo2 } from "lucide-react";
import { Link, Navigate, useNavigate, useParams } from "react-router";
import { useRules, useRun, useZone } from "../api/queries";
import { dialogOpen, typing, useKeys } from "../shell/keys";
import { useTitle } from "../shell/title";
import { dayAndTime } from "../units/units";
import { useChosen } from "./damage/chosen";
import { DamageStation } from "./damage/damage";
import { Place } from "./damage/place";
import { DrawingPair } from "./drawing/drawing-pair";
import { Refused } from "./refused";
import { LitProvider } from "./drawing/lit";
import { Figures } from "./figures";
import { NextBar, useWantedField } from "./next-bar";
import { FootprintStation } from "./footprint/footprint";
import { PartStation } from "./part/part";
import { askedOf, unansweredOf } from "./part/questions";
import { StackStation } from "./stack/stack";
import { atSite, SitePick } from "./sites";
import { STATIONS, standings, type Station, Stations, WORDS } from "./stations";
import { StepsStation } from "./steps/steps";
import { type DraftOnScreen, useDraft } from "./use-draft";
import { VerdictMark } from "./verdict-mark";
import { VerdictStation } from "./verdict/verdict";
import { Skeleton } from "../shell/skeleton";

/** Asked for when the work is done: loaded when it is opened. */
const RecordStation = lazy(() => import("./record/record"));

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
  const hand = useChosen(on.draft?.damages ?? []);
  const limits = useRules().data?.limits ?? [];
  const [seen, setSeen] = useState<{ station: Station; sheet: Sheet }>({ station, sheet: "work" });
  const [site, setSite] = useState<string>();
  // Another station opens with its own sheet.
  const sheet = seen.station === station ? seen.sheet : "work";
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
  const steps = station === "steps";
  const all = on.workup ?? (on.problems.length > 0 ? on.lastWorkup : undefined);
  // Stack and footprint are looked at site by site; the drawing shows the whole part elsewhere, until a site is picked.
  const bySite = station === "stack" || station === "footprint";
  const sites = all?.sites ?? [];
  const picked = sites.find((s) => s.id === site)?.id ?? (bySite ? sites[0]?.id : undefined);
  const workup = all && atSite(all, picked);
  const current = on.workup && atSite(on.workup, picked);
  const part = on.draft.part ?? {};
  const unanswered = unansweredOf(askedOf(limits, part, on.draft.damages ?? []), part);
  const standing = standings(on.workup, on.problems, run?.state, begun ? 0 : unanswered.length);
  return (
    <>
      <Title
        on={on}
        frozen={frozen}
        stepsDone={run?.state.steps.filter((s) => s.doneAt).length}
        steps={run?.state.steps.length}
        record={station === "record"}
      />
      <Crossed on={on} />
      {on.anew !== undefined && <AnewBand id={id} why={on.anew} />}
      <Stations id={id} at={station} standing={standing} />
      <LitProvider>
        {station === "record" ? (
          <Suspense fallback={<Skeleton />}>
            <RecordStation id={id} frozen={begun} />
          </Suspense>
        ) : (
          <div className="print-flow flex min-h-0 flex-1 max-[1099px]:flex-col">
            <SheetPick station={station} sheet={sheet} onSheet={(s) => setSeen({ station, sheet: s })} />
            <section
              className={`print-flow min-h-0 ${steps ? "min-w-0 flex-1" : "bg-sheet relative overflow-y-auto max-[1099px]:flex-1 min-[1100px]:w-[264px] min-[1100px]:shrink-0 min-[1100px]:firm-r"} ${narrow(sheet === "work")}`}
              aria-label={WORDS[station]}
            >
              {station === "part" && <PartStation id={id} on={on} frozen={frozen} />}
              {station === "damage" && <DamageStation on={on} frozen={frozen} hand={hand} />}
              {station === "verdict" && <VerdictStation on={on} workup={on.workup} id={id} />}
              {bySite && <SitePick sites={sites} at={picked} whole={false} onPick={setSite} />}
              {station === "stack" && (
                <StackStation
                  on={on}
                  workup={current}
                  frozen={frozen}
                  site={picked === undefined ? undefined : sites.findIndex((s) => s.id === picked)}
                />
              )}
              {station === "footprint" && <FootprintStation on={on} workup={current} frozen={frozen} />}
              {steps && <StepsStation on={on} workup={on.workup} frozen={frozen} id={id} />}
            </section>
            <section
              className={`bg-sheet flex min-h-0 min-w-0 flex-col ${sites.length > 0 ? "max-[1099px]:overflow-y-auto" : ""} ${steps ? "no-print max-[1099px]:flex-1 min-[1100px]:firm-l min-[1100px]:w-[332px] min-[1100px]:shrink-0" : "print-flow flex-1"} ${narrow(sheet === "drawing")}`}
              aria-label={msg("Drawing")}
            >
              {station !== "damage" && (
                // Where there is room the column beside it has the sites of stack and footprint.
                <div className={bySite ? "min-[1100px]:hidden" : ""}>
                  <SitePick sites={sites} at={picked} whole={!bySite} onPick={setSite} />
                </div>
              )}
              {/* Under the row of sites what stands beside the drawing needs its height still: the sheet scrolls. */}
              <div
                className={`print-flow flex-1 ${sites.length > 0 ? "max-[1099px]:min-h-[440px] max-[1099px]:shrink-0 min-[1100px]:min-h-0" : "min-h-0"}`}
              >
                {(station === "damage" || (station === "part" && !workup)) && !frozen ? (
                  <Place id={id} on={on} hand={hand} />
                ) : workup ? (
                  // One for every station that shows it: it stays laid out while they change.
                  <DrawingPair
                    drawing={workup.drawing}
                    labels={steps ? 0 : 226}
                    sectionShare={steps ? 0.32 : undefined}
                    stale={!on.workup}
                    onCut={
                      station === "footprint" && !frozen ? (cutYMm) => on.change((d) => ({ ...d, cutYMm })) : undefined
                    }
                  />
                ) : steps ? null : (
                  <div className="grid h-full place-items-center p-8 text-center">
                    <p className="text-20 max-w-96">
                      {msg(
                        "The drawing appears as soon as the part has its size and one damage has its place and size.",
                      )}
                    </p>
                  </div>
                )}
              </div>
              {workup && !steps && <Refused workup={workup} />}
            </section>
            {!steps && (
              <Figures
                id={id}
                workup={on.workup}
                problems={on.problems}
                unanswered={begun ? [] : unanswered}
                part={part}
                frozenAt={on.frozenAt}
                className={`print-flow min-h-0 max-[1099px]:flex-1 min-[1100px]:w-[248px] min-[1100px]:shrink-0 min-[1100px]:firm-l ${narrow(sheet === "figures")}`}
              />
            )}
          </div>
        )}
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
