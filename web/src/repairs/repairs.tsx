import { firstName } from "../shell/first-name";
import { msg } from "../messages/messages";
import { Archive, Search } from "lucide-react";
import { useMemo } from "react";
import { Link } from "react-router";
import { type Api } from "../api/client";
import { useClosedRepairs, useRepairs, useZone } from "../api/queries";
import { VerdictMark } from "../repair/verdict-mark";
import { NewRepairLink } from "../shell/new-repair-link";
import { LongList, moreOf } from "../shell/long-list";
import { useKeptSearch } from "../shell/use-kept-search";
import { useFindKey } from "../shell/use-find-key";
import { dayAndTime } from "../units/units";
import { useTitle } from "../shell/title";

type Line = Api["RepairLine"];
type Standing = Line["standing"];

const STANDING: Record<Standing, { word: string; to: string; order: number }> = {
  RUNNING: { word: msg("Running"), to: "run", order: 0 },
  PLANNED: { word: msg("Ready to begin"), to: "steps", order: 1 },
  MATCHED: { word: msg("Stack settled"), to: "stack", order: 2 },
  BLOCKED: { word: msg("Held up"), to: "stack", order: 2 },
  DRAFT: { word: msg("Still to say"), to: "damage", order: 3 },
  REFERRED: { word: msg("Passed on"), to: "verdict", order: 4 },
  DONE: { word: msg("Finished"), to: "record", order: 5 },
  ENDED: { word: msg("Ended"), to: "record", order: 5 },
};

const late = "9999";

/** What a lead asks of the list: what waits for what, what is due first, what was touched last, whose it is. */
const BY: readonly [Order, ...Order[]] = [
  { by: "", word: msg("State"), sort: (a, b) => STANDING[a.standing].order - STANDING[b.standing].order },
  { by: "promised", word: msg("Promised"), sort: (a, b) => (a.promisedAt ?? late).localeCompare(b.promisedAt ?? late) },
  { by: "changed", word: msg("Changed"), sort: (a, b) => b.changedAt.localeCompare(a.changedAt) },
  { by: "who", word: msg("Who"), sort: (a, b) => a.changedBy.localeCompare(b.changedBy) },
];

interface Order {
  by: string;
  word: string;
  sort: (a: Line, b: Line) => number;
}

/** All repairs: those that wait or run by what they wait for, then those that are closed, the newest first. */
export default function Repairs() {
  useTitle(msg("Repairs"));
  const repairs = useRepairs();
  const [find, setFind] = useKeptSearch("find");
  const [by, setBy] = useKeptSearch("by");
  const order = BY.find((o) => o.by === by) ?? BY[0];
  const search = useFindKey();
  const closed = useClosedRepairs(find);
  const shown = useMemo(() => {
    const words = find.toLowerCase().split(/\s+/).filter(Boolean);
    const open = (repairs.data ?? [])
      .filter((r) =>
        words.every((w) => `${r.name} ${r.vehicle} ${r.mark} ${STANDING[r.standing].word}`.toLowerCase().includes(w)),
      )
      .sort(order.sort);
    return [...open, ...(closed.data ?? []).flatMap((p) => p.closed)];
  }, [repairs.data, closed.data, find, order]);
  return (
    <>
      <div className="firm-b flex min-h-[58px] shrink-0 flex-wrap items-stretch">
        <h1 className="flex items-center px-4 text-28 font-semibold" style={{ fontStretch: "88%" }}>
          {msg("Repairs")}
        </h1>
        <Link
          to="/records"
          className="firm-l n flex min-h-14 items-center gap-2 px-5 text-20 font-semibold max-[499px]:px-3"
        >
          <Archive size={22} aria-hidden="true" /> {msg("Records")}
        </Link>
        <label className="firm-l ml-auto flex min-h-14 min-w-0 items-center gap-2 px-3 max-[899px]:order-last max-[899px]:basis-full max-[899px]:border-l-0">
          <Search size={20} aria-hidden="true" />
          <span className="sr-only">{msg("Find by part, vehicle or state")}</span>
          <input
            ref={search}
            className="h-full w-52 min-w-0 flex-1 bg-transparent text-20"
            placeholder={msg("part, vehicle, state")}
            value={find}
            onChange={(e) => setFind(e.target.value)}
          />
        </label>
        <div
          role="group"
          aria-label={msg("Sort what is open by")}
          className="firm-l flex max-[899px]:order-last max-[899px]:basis-full max-[899px]:border-l-0"
        >
          {BY.map((o) => (
            <button
              key={o.by}
              type="button"
              aria-pressed={o === order}
              className={`n min-h-14 px-3 font-semibold max-[899px]:flex-1 ${o === order ? "bg-ink text-sheet" : ""}`}
              onClick={() => setBy(o.by)}
            >
              {o.word}
            </button>
          ))}
        </div>
        <NewRepairLink className="max-[899px]:ml-auto" />
      </div>
      {(repairs.isError || closed.isError) && (
        <p role="alert" className="firm-b px-4 py-3 font-bold text-oxide-text">
          {(repairs.error ?? closed.error)?.message}
        </p>
      )}
      <LongList items={shown} rowPx={75} idOf={(r) => r.id} row={(r) => <RepairRow line={r} />} more={moreOf(closed)}>
        {shown.length === 0 && !repairs.isPending && !closed.isPending && (
          <p className="p-6 text-20">
            {find
              ? msg("Nothing here is called “{find}”: try the vehicle or a part of the name.", { find })
              : msg("No repair yet: begin with New repair.")}
          </p>
        )}
      </LongList>
    </>
  );
}

function RepairRow({ line: r }: { line: Line }) {
  const zone = useZone();
  const { word, to } = STANDING[r.standing];
  const share = r.steps > 0 ? r.stepsDone / r.steps : 0;
  return (
    <Link
      to={`/repairs/${r.id}/${to}`}
      className="hover:bg-ground grid min-h-[74px] grid-cols-[minmax(0,1fr)_auto] min-[900px]:grid-cols-[minmax(0,1fr)_190px_minmax(0,300px)_170px] items-center gap-4 px-4 py-2"
    >
      <span className="min-w-0">
        <span className="n block text-20 font-semibold" style={{ fontStretch: "90%" }}>
          {r.name}
        </span>
        <span className="lab block">{[r.vehicle, r.mark].filter(Boolean).join(" · ")}</span>
      </span>
      <span>{r.verdict && <VerdictMark outcome={r.verdict} />}</span>
      <span className="min-w-0">
        <span className="hd block">{r.step || word}</span>
        {r.waitsFor ? (
          <span className="block text-14 leading-[18px]">{r.waitsFor}</span>
        ) : r.standing === "RUNNING" ? (
          <span className="lab flex items-center gap-2">
            <svg width="120" height="12" aria-hidden="true">
              <rect x="0.75" y="0.75" width="118.5" height="10.5" fill="none" stroke="var(--ink)" strokeWidth="1.5" />
              <rect x="1" y="1" width={118 * share} height="10" fill="var(--ink)" />
            </svg>
            {msg("step {stepsDone} of {steps}", { stepsDone: r.stepsDone + 1, steps: r.steps })}
          </span>
        ) : (
          <span className="lab">{r.steps > 0 ? msg("{steps} steps", { steps: r.steps }) : ""}</span>
        )}
      </span>
      <span className="text-right">
        <span className="lab block">
          {r.finishedAt
            ? msg("finished")
            : r.promisedAt
              ? msg("promised")
              : msg("last by {who}", { who: firstName(r.changedBy) })}
        </span>
        <span className="n block font-semibold">{dayAndTime(r.finishedAt ?? r.promisedAt ?? r.changedAt, zone)}</span>
      </span>
    </Link>
  );
}
