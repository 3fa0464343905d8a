import { useNavigate, useParams } from "react-router";
import { Problem } from "../../api/client";
import { useBell, useRun } from "../../api/queries";
import { ClockRail } from "../../shell/clock-rail";
import { Refusals } from "../../shell/shell";
import { TooLate } from "./too-late";
import { Begin } from "./begin";
import { Hands } from "./hands";
import { useServerWatch } from "./use-server-watch";

/** Station 7, full screen: one step at a time. */
export function RunScreen() {
  const { id, part } = useParams();
  const repair = Number(id);
  const navigate = useNavigate();
  useBell();
  useServerWatch();
  const run = useRun(repair);
  const notStarted = run.error instanceof Problem && run.error.status === 409;
  return (
    <div className="bg-sheet flex h-full flex-col overflow-hidden">
      <ClockRail except={repair} slim />
      <Refusals />
      <TooLate />
      {run.data?.anew !== undefined && part === "anew" ? (
        <Begin id={repair} anew={run.data.anew} />
      ) : run.data ? (
        <Hands key={repair} run={run.data} />
      ) : notStarted ? (
        <Begin id={repair} />
      ) : run.isError ? (
        <div className="flex flex-col items-start gap-4 p-6">
          <h1 className="text-28 font-semibold">{run.error.message}</h1>
          <button className="btn" onClick={() => void run.refetch()}>
            Try again
          </button>
          <button className="btn" onClick={() => void navigate("/repairs")}>
            To all repairs
          </button>
        </div>
      ) : (
        <p className="p-6 text-28">One moment.</p>
      )}
    </div>
  );
}
