import { msg } from "../../messages/messages";
import { useEffect, useState } from "react";
import { useNavigate, useParams } from "react-router";
import { Problem } from "../../api/client";
import { useBell, useRun } from "../../api/queries";
import { useTitle } from "../../shell/title";
import { useAwake } from "../../shell/use-awake";
import { ClockRail } from "../../shell/clock-rail";
import { Refusals } from "../../shell/shell";
import { TooLate } from "./too-late";
import { Begin } from "./begin";
import { Hands } from "./hands";
import { useServerWatch } from "./use-server-watch";
import { Skeleton } from "../../shell/skeleton";

/** Station 7, full screen: one step at a time. */
export function RunScreen() {
  const { id, part } = useParams();
  const repair = Number(id);
  const navigate = useNavigate();
  useBell();
  useServerWatch();
  useAwake();
  const run = useRun(repair);
  const waits = useWaitsForServer(run);
  useTitle([msg("Run"), run.data?.frozen.workup.name].filter(Boolean).join(", "));
  const notStarted = run.error instanceof Problem && run.error.status === 409;
  return (
    <div className="bg-sheet flex h-full flex-col overflow-hidden">
      <ClockRail except={repair} slim />
      <Refusals />
      <TooLate />
      {run.data?.anew !== undefined && !waits && part === "anew" ? (
        <Begin id={repair} anew={run.data.anew} />
      ) : run.data && !waits ? (
        <Hands key={repair} run={run.data} />
      ) : notStarted ? (
        <Begin id={repair} />
      ) : run.isError ? (
        <div className="flex flex-col items-start gap-4 p-6">
          <h1 className="text-28 font-semibold">{run.error.message}</h1>
          <button className="btn" onClick={() => void run.refetch()}>
            {msg("Try again")}
          </button>
          <button className="btn" onClick={() => void navigate("/repairs")}>
            {msg("To all repairs")}
          </button>
        </div>
      ) : (
        <Skeleton />
      )}
    </div>
  );
}

/** Longer than a server that is there takes to answer, ms. */
const PATIENCE_MS = 1_200;

/**
 * Whether what there is of a run was kept by an earlier page and the server may still say otherwise: a moment is waited for it, so that nobody's hand
 * falls on a step or a stop that is over. A server that does not answer in that moment is gone on without.
 */
function useWaitsForServer(run: { isFetching: boolean; dataUpdatedAt: number }): boolean {
  const [patient, setPatient] = useState(true);
  useEffect(() => {
    const timer = setTimeout(() => setPatient(false), PATIENCE_MS);
    return () => clearTimeout(timer);
  }, []);
  return patient && run.isFetching && run.dataUpdatedAt < performance.timeOrigin;
}
