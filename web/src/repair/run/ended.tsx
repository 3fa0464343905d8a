import { msg, within } from "../../messages/messages";
import { useState } from "react";
import { Link } from "react-router";
import { ask, type Api } from "../../api/client";
import { useLeadOn } from "../../shell/lead-on";
import { ENDINGS } from "./cannot-go-on";
import { happened } from "./happened";
import { useOwnLast } from "./own-last";

/** The work was ended before its last step: why, and what can follow. */
export function Ended({ run, state, ended }: { run: Api["RunView"]; state: Api["RunState"]; ended: Api["Ended"] }) {
  const undoable = useOwnLast(run, state);
  const asking = useLeadOn();
  const [clientId] = useState(() => crypto.randomUUID());
  const [refused, setRefused] = useState("");
  const followUp = async () => {
    const leadOn = asking();
    try {
      const body = { clientId, draft: run.frozen.draft };
      const next = await ask<Api["RepairView"]>("/api/repairs", { method: "POST", body });
      leadOn(`/repairs/${next.id}/damage`);
    } catch (e) {
      setRefused(e instanceof Error ? e.message : String(e));
    }
  };
  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <div className="flex-1 overflow-y-auto p-4 sm:p-8">
        <h1 className="text-44 font-semibold sm:text-96" style={{ fontStretch: "88%" }}>
          {msg("Ended: {how}", { how: within(ENDINGS[ended.how]) })}
        </h1>
        <p className="mt-4 text-28">
          {run.frozen.workup.name}. {ended.why}
        </p>
        <p className="mt-4 text-20">
          {msg(
            "The plan was not finished. What was used stays used; the record says how far it came and why it ended.",
          )}
        </p>
        {refused && (
          <p role="alert" className="text-oxide-text mt-4 text-20 font-bold">
            {refused}
          </p>
        )}
      </div>
      <div className="firm-t flex flex-wrap">
        {undoable && (
          <button
            type="button"
            className="n grid min-h-[96px] flex-1 place-items-center px-4 text-28 font-semibold"
            onClick={() => happened(run.id, "UNDO", { target: undoable })}
          >
            {msg("Undo")}
          </button>
        )}
        <button
          type="button"
          className="firm-l n grid min-h-[96px] flex-1 place-items-center px-4 text-28 font-semibold"
          onClick={() => void followUp()}
        >
          {msg("Open a follow-up")}
        </button>
        <Link
          to={`/repairs/${run.id}/record`}
          className="bg-pine text-on-pine n grid min-h-[96px] flex-[2] place-items-center px-4 text-44 font-semibold"
        >
          {msg("To the record")}
        </Link>
      </div>
    </main>
  );
}
