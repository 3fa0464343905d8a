import { msg, within } from "../../messages/messages";
import { Link } from "react-router";
import type { Api } from "../../api/client";
import { happened } from "./happened";
import { useOwnLast } from "./own-last";

/** The last step is done: take it back, or look at the record. */
export function Finished({ run, state }: { run: Api["RunView"]; state: Api["RunState"] }) {
  const last = useOwnLast(run, state);
  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <div className="flex-1 p-8">
        <h1 className="text-96 font-semibold" style={{ fontStretch: "88%" }}>
          {msg("Finished")}
        </h1>
        <p className="mt-4 text-28">
          {msg("{name}. Last done: {step}. Look at the record while you still know.", {
            name: run.frozen.workup.name,
            step: within(state.steps.at(-1)?.step.title ?? ""),
          })}
        </p>
      </div>
      <div className="firm-t flex">
        {last !== undefined && (
          <button
            type="button"
            className="n grid min-h-[96px] flex-1 place-items-center text-28 font-semibold"
            onClick={() => happened(run.id, "UNDO", { target: last })}
          >
            {msg("Undo last")}
          </button>
        )}
        <Link
          to={`/repairs/${run.id}/record`}
          className="bg-pine text-on-pine n grid min-h-[96px] flex-[2] place-items-center text-44 font-semibold"
        >
          {msg("To the record")}
        </Link>
      </div>
    </main>
  );
}
