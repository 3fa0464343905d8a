import { msg } from "../../messages/messages";
import { Play } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import { ask, type Api } from "../../api/client";
import { keys, queryClient } from "../../api/queries";
import { useLeadOn } from "../../shell/lead-on";
import { grams, minutes } from "../../units/units";
import { Assumed } from "../assumed-line";
import { useDraft } from "../use-draft";
import { VerdictMark } from "../verdict-mark";

/** Before the work begins: what will be frozen, and one big button. */
export function Begin({ id, anew }: { id: number; anew?: string }) {
  const asking = useLeadOn();
  const on = useDraft(id);
  const [eventId] = useState(() => crypto.randomUUID());
  const [refused, setRefused] = useState("");
  const [busy, setBusy] = useState(false);
  const plan = on.workup?.plan;
  const begin = async () => {
    setBusy(true);
    setRefused("");
    const leadOn = asking();
    try {
      const version = await on.settle();
      const run = await ask<Api["RunView"]>(`/api/repairs/${id}/start`, { method: "POST", body: { eventId }, version });
      queryClient.setQueryData(keys.run(id), run);
      if (anew !== undefined) leadOn(`/repairs/${id}/run`, { replace: true });
    } catch (e) {
      setRefused(e instanceof Error ? e.message : String(e));
      await on.reload();
    } finally {
      setBusy(false);
    }
  };
  const keep = async () => {
    setBusy(true);
    const leadOn = asking();
    try {
      await ask<Api["RepairView"]>(`/api/repairs/${id}/anew`, { method: "DELETE" });
      await queryClient.invalidateQueries({ queryKey: keys.run(id) });
      leadOn(`/repairs/${id}/run`, { replace: true });
    } catch (e) {
      setRefused(e instanceof Error ? e.message : String(e));
    } finally {
      setBusy(false);
    }
  };
  const blockers = on.problems.map((p) => p.message).concat(on.workup?.blockers ?? []);
  return (
    <main className="flex min-h-0 flex-1 flex-col overflow-auto">
      <div className="firm-b flex flex-wrap items-center gap-4 px-6 py-4">
        <h1 className="text-44 font-semibold" style={{ fontStretch: "88%" }}>
          {on.draft?.part?.name || msg("New repair")}
        </h1>
        {on.workup && <VerdictMark outcome={on.workup.verdict.outcome} />}
      </div>
      {plan ? (
        <div className="flex flex-col gap-4 px-6 py-6 text-28">
          <p>
            {msg("{steps} steps, {active} hands on, {total} in all at today’s air.", {
              steps: plan.steps.length,
              active: minutes(plan.activeMin),
              total: minutes(plan.totalMin),
            })}
          </p>
          {plan.mixes.map((m) => (
            <p key={m.id}>
              {msg("{material}, lot {lot}: {filler}, cream {cream}.", {
                material: m.pour.material,
                lot: m.pour.lot,
                filler: m.pour.batches > 1 ? `${grams(m.pour.fillerG)} × ${m.pour.batches}` : grams(m.pour.fillerG),
                cream: grams(m.pour.creamG),
              })}
            </p>
          ))}
          {anew !== undefined && (
            <p className="text-20">
              {msg(
                "The plan before is left: {why}. What was done under it and is the same in this plan counts as done; the rest is asked again.",
                { why: anew },
              )}
            </p>
          )}
          <p className="text-20 text-muted">
            {msg("Beginning freezes this plan; a later change of rules does not reach it.")}
          </p>
          <div className="text-20">
            <Assumed part={on.draft?.part} />
          </div>
          <p className="text-20 text-muted">{plan.closing}</p>
        </div>
      ) : (
        <ul className="flex flex-col gap-3 px-6 py-6 text-28">
          {on.draft === undefined && <li>{msg("One moment.")}</li>}
          {blockers.map((b) => (
            <li key={b} className="text-oxide-text">
              {b}
            </li>
          ))}
        </ul>
      )}
      {refused && (
        <p role="alert" className="text-oxide-text px-6 text-28 font-bold">
          {refused}
        </p>
      )}
      <div className="firm-t mt-auto flex flex-wrap">
        <Link
          to={`/repairs/${id}/steps`}
          className="n grid min-h-[96px] flex-1 place-items-center text-28 font-semibold"
        >
          {msg("Back to the plan")}
        </Link>
        {anew !== undefined && (
          <button
            type="button"
            className="firm-l n grid min-h-[96px] flex-1 place-items-center text-28 font-semibold"
            disabled={busy}
            onClick={() => void keep()}
          >
            {msg("Keep the plan that runs")}
          </button>
        )}
        <button
          type="button"
          className="bg-pine text-on-pine disabled:bg-ground disabled:text-muted n flex min-h-[96px] flex-[2] items-center justify-center gap-4 text-44 font-semibold"
          disabled={!plan || busy || on.safety === "crossed"}
          onClick={() => void begin()}
        >
          <Play size={40} className="fill-current" aria-hidden="true" />{" "}
          {anew === undefined ? msg("Begin the work") : msg("Go on by this plan")}
        </button>
      </div>
    </main>
  );
}
