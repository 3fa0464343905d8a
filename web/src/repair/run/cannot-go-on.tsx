import { msg } from "../../messages/messages";
import { useState } from "react";
import { ask, type Api, Unreachable } from "../../api/client";
import { keys, queryClient } from "../../api/queries";
import { Line } from "../../shell/field";
import { useLeadOn } from "../../shell/lead-on";
import { SheetDialog } from "../../shell/sheet-dialog";
import { happened } from "./happened";
import { SayDialog } from "./say-dialog";

type How = Api["Ended"]["how"];

export const ENDINGS: Record<How, string> = {
  REFERRED: msg("Referred"),
  SCRAPPED: msg("Scrapped or replaced"),
  REFINISH: msg("Handed to refinish"),
  WITHDRAWN: msg("Customer withdrew"),
};

/** Leaves the plan for one made anew, with what was found put into the draft; only the server can. */
export function usePlanAnew(run: number) {
  const asking = useLeadOn();
  const [refused, setRefused] = useState("");
  const planAnew = async (reason: string) => {
    setRefused("");
    const leadOn = asking();
    try {
      await ask<Api["RepairView"]>(`/api/repairs/${run}/anew`, { method: "POST", body: { reason } });
      void queryClient.invalidateQueries({ queryKey: keys.run(run) });
      leadOn(`/repairs/${run}/damage`);
    } catch (e) {
      setRefused(
        e instanceof Unreachable
          ? msg("Another plan needs the server, which is out of reach: the stop stays until then.")
          : e instanceof Error
            ? e.message
            : String(e),
      );
    }
  };
  return { planAnew, refused };
}

export function PlanAnewDialog({
  run,
  why,
  open,
  onOpenChange,
}: {
  run: number;
  why: string;
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  const { planAnew, refused } = usePlanAnew(run);
  return (
    <>
      <SayDialog
        title={msg("Plan anew from here")}
        told={msg(
          "The draft opens with what was read put into it. What is done and still holds counts; what was used stays used.",
        )}
        label={msg("Why is this plan left?")}
        first={why}
        act={msg("Open the draft")}
        open={open}
        onOpenChange={onOpenChange}
        onSaid={(reason) => void planAnew(reason)}
      />
      {refused && (
        <p role="alert" className="text-oxide-text px-4 text-20 font-bold sm:px-8">
          {refused}
        </p>
      )}
    </>
  );
}

/** The work ends before its last step: what becomes of the part, and why. */
export function EndDialog({
  run,
  why,
  open,
  onOpenChange,
}: {
  run: number;
  why: string;
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  return (
    <SheetDialog
      title={msg("End here")}
      told={msg(
        "The run is ended, not finished. The shelf keeps what was used; Bench, Repairs and the record say why.",
      )}
      open={open}
      onOpenChange={onOpenChange}
    >
      {open && <End run={run} why={why} onEnded={() => onOpenChange(false)} />}
    </SheetDialog>
  );
}

function End({ run, why, onEnded }: { run: number; why: string; onEnded: () => void }) {
  const [how, setHow] = useState<How>();
  const [text, setText] = useState(why);
  const ready = how !== undefined && text.trim() !== "";
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        if (!ready) return;
        happened(run, "END", { answer: how, text: text.trim() });
        onEnded();
      }}
    >
      <fieldset className="flex flex-col gap-2">
        <legend className="lab">{msg("What becomes of it?")}</legend>
        {(Object.keys(ENDINGS) as How[]).map((h) => (
          <label key={h} className="firm flex min-h-14 items-center gap-3 px-3 text-20 font-semibold">
            <input type="radio" name="how" className="size-6" checked={how === h} onChange={() => setHow(h)} />
            {ENDINGS[h]}
          </label>
        ))}
      </fieldset>
      <Line label={msg("Why?")} value={text} onChange={setText} />
      <button className="btn go min-h-[72px] text-20" disabled={!ready}>
        {msg("End the work")}
      </button>
    </form>
  );
}
