import { msg } from "../../messages/messages";
import { told } from "../../messages/told";
import { CornerUpLeft, Hand, MapPinned, NotebookPen, OctagonX, Thermometer, Trash2 } from "lucide-react";
import { Link } from "react-router";
import type { Api } from "../../api/client";
import { firstName } from "../../shell/first-name";
import { useMe } from "../../shell/me";
import { siteOf } from "../sites";
import { happened } from "./happened";
import { scrappable } from "./in-hand";
import type { RunDialog } from "./run-dialogs";
import { TopButton } from "./top-button";

/** Which step of which repair, and what can be done besides it. */
export function StepHead({
  run,
  state,
  current,
  index,
  stopped,
  onUndo,
  open,
}: {
  run: Api["RunView"];
  state: Api["RunState"];
  current: Api["RunStep"];
  index: number;
  stopped: boolean;
  /** Nothing of one's own to take back where it is undefined. */
  onUndo: (() => void) | undefined;
  open: (dialog: RunDialog) => void;
}) {
  const me = useMe();
  const { step } = current;
  const mix = state.mixes.find((m) => m.step === current.id);
  return (
    <div className="firm-b flex min-h-[75px] shrink-0 items-stretch max-sm:flex-wrap">
      <div className="n flex min-w-64 flex-1 items-center gap-3 px-4 text-20 font-semibold max-sm:min-h-9 max-sm:min-w-0 max-sm:basis-full sm:px-8">
        <span className="min-w-0 max-sm:flex max-sm:gap-2">
          <span className="block truncate max-sm:shrink-0 sm:text-24 sm:leading-7">
            {msg("Step {step} of {steps}", { step: index + 1, steps: state.steps.length })}
          </span>
          <span className="block truncate sm:text-16 sm:leading-5">{run.frozen.workup.name}</span>
        </span>
        {siteOf(run.frozen.workup.sites, step) && (
          <span className="firm bg-sheet max-w-[50%] shrink-0 truncate px-2 py-1 max-sm:py-0">
            {siteOf(run.frozen.workup.sites, step)}
          </span>
        )}
        {current.loop && (
          <span className="waits shrink-0 px-2">
            <span className="bg-tape px-1">{told(current.loop)}</span>
          </span>
        )}
      </div>
      {state.hands !== "" && state.hands !== me.name && (
        <TopButton
          onClick={() => happened(run.id, "TAKE")}
          label={msg("Take over from {who}", { who: firstName(state.hands) })}
        >
          <Hand size={24} aria-hidden="true" />
        </TopButton>
      )}
      {scrappable(step, mix) && (
        <TopButton onClick={() => open("scrap")} label={msg("Scrap the mix")}>
          <Trash2 size={24} aria-hidden="true" />
        </TopButton>
      )}
      <TopButton onClick={() => onUndo?.()} disabled={onUndo === undefined} label={msg("Undo")}>
        <CornerUpLeft size={24} aria-hidden="true" />
      </TopButton>
      {!stopped && step.asks.some((a) => a !== "FILLER_G" && a !== "CREAM_G" && !step.gate?.reads.includes(a)) && (
        <TopButton onClick={() => open("reading")} label={msg("Reading")}>
          <Thermometer size={24} aria-hidden="true" />
        </TopButton>
      )}
      <TopButton onClick={() => open("note")} label={msg("Note")}>
        <NotebookPen size={24} aria-hidden="true" />
      </TopButton>
      <TopButton onClick={() => open("where")} label={msg("Where")}>
        <MapPinned size={24} aria-hidden="true" />
      </TopButton>
      <TopButton onClick={() => open("cannot")} label={msg("Cannot go on")}>
        <OctagonX size={24} aria-hidden="true" />
      </TopButton>
      <Link to="/bench" className="bg-ground n firm-l hidden items-center px-6 text-20 font-semibold sm:flex">
        {msg("Leave run")}
      </Link>
    </div>
  );
}
