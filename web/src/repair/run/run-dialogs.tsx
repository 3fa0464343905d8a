import { msg } from "../../messages/messages";
import type { Api } from "../../api/client";
import { SheetDialog } from "../../shell/sheet-dialog";
import { stretch } from "../../units/units";
import { EndDialog, PlanAnewDialog } from "./cannot-go-on";
import { happened } from "./happened";
import { SayDialog } from "./say-dialog";

/** The sheets of a run; one is open at most. */
export type RunDialog =
  "note" | "reading" | "keys" | "early" | "start" | "scrap" | "cannot" | "anew" | "end" | "measure" | "where" | "spots";

const JUDGED_BY = [
  msg("Nail leaves no mark"),
  msg("Paper does not clog"),
  msg("Dry to a fingertip"),
  msg("Tacky, strings pull"),
];
const SCRAPPED_FOR = [msg("Dose out of bounds"), msg("Going off"), msg("Dirt in it"), msg("Wrong lot")];

/** What is done otherwise than planned, each with the words that stand in the record. */
export function RunDialogs({
  run,
  current,
  musts,
  mixing,
  early,
  never,
  open,
  setOpen,
}: {
  run: number;
  current: Api["RunStep"];
  musts: readonly Api["Must"][];
  mixing: boolean;
  /** Seconds that a wait still has. */
  early: number;
  /** Why a wait does not end by waiting. */
  never: string | undefined;
  open: RunDialog | undefined;
  setOpen: (open: RunDialog | undefined) => void;
}) {
  const { gate } = current.step;
  return (
    <>
      <SayDialog
        title={gate?.question ?? msg("Sooner than its clock")}
        told={
          never
            ? msg("By the clock {never}. Ended all the same, it stands in the record.", { never })
            : msg("{early} are left. Ended now it stands in the record, with what it was judged by.", {
                early: stretch(early, "up"),
              })
        }
        label={msg("What was it judged by?")}
        often={JUDGED_BY}
        act={gate?.yes ?? msg("Go on")}
        open={open === "early"}
        onOpenChange={(o) => setOpen(o ? "early" : undefined)}
        onSaid={(why) =>
          gate
            ? happened(run, "GATE", { step: current.id, answer: "yes", text: why })
            : happened(run, "DONE", { step: current.id, text: why })
        }
      />
      <SayDialog
        title={msg("It goes live all the same")}
        told={msg("Not all holds: {musts}. It stands in the record.", {
          musts: musts
            .filter((m) => !m.holds)
            .map((m) => m.said)
            .join(", "),
        })}
        label={msg("Why?")}
        act={msg("Start it")}
        open={open === "start"}
        onOpenChange={(o) => setOpen(o ? "start" : undefined)}
        onSaid={(why) => happened(run, mixing ? "CLOCK" : "DONE", { step: current.id, text: why })}
      />
      <SayDialog
        title={msg("Scrap the mix")}
        told={msg("It counts as used. The mix comes again.")}
        label={msg("Why?")}
        often={SCRAPPED_FOR}
        act={msg("Throw it away")}
        open={open === "scrap"}
        onOpenChange={(o) => setOpen(o ? "scrap" : undefined)}
        onSaid={(why) => happened(run, "SCRAP", { step: current.id, text: why })}
      />
      <SheetDialog
        title={msg("Cannot go on")}
        told={msg("Where the work shows more than the plan knew: plan it anew from here, or end it.")}
        open={open === "cannot"}
        onOpenChange={(o) => setOpen(o ? "cannot" : undefined)}
      >
        <div className="flex flex-col gap-3">
          <button type="button" className="btn min-h-[72px] text-20" onClick={() => setOpen("anew")}>
            {msg("Plan anew from here")}
          </button>
          <button type="button" className="btn min-h-[72px] text-20" onClick={() => setOpen("end")}>
            {msg("End here")}
          </button>
        </div>
      </SheetDialog>
      <PlanAnewDialog run={run} why="" open={open === "anew"} onOpenChange={(o) => setOpen(o ? "anew" : undefined)} />
      <EndDialog run={run} why="" open={open === "end"} onOpenChange={(o) => setOpen(o ? "end" : undefined)} />
    </>
  );
}
