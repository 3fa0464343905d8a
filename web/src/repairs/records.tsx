import { firstName } from "../shell/first-name";
import { msg } from "../messages/messages";
import { useMutation } from "@tanstack/react-query";
import { Search } from "lucide-react";
import { Link, useNavigate } from "react-router";
import { ask, type Api } from "../api/client";
import { useRecords, useTold, useZone } from "../api/queries";
import { Digits } from "../repair/record/signature";
import { VerdictMark } from "../repair/verdict-mark";
import { FileButton } from "../shell/file-button";
import { LongList, moreOf } from "../shell/long-list";
import { useMay } from "../shell/me";
import { useKeptSearch } from "../shell/use-kept-search";
import { useFindKey } from "../shell/use-find-key";
import { dayAndTime } from "../units/units";
import { useTitle } from "../shell/title";

const SORTS: Record<Api["Word"]["sort"], string> = {
  PART: "part",
  VEHICLE: "vehicle",
  SUBSTRATE: "substrate",
  METHOD: "method",
  DAMAGE: "damage",
  MATERIAL: "material",
  LOT: "lot",
  PERSON: "hands",
  DAY: "day",
  DEVIATION: "deviation",
  NOTE: msg("reading or note"),
  STATE: "state",
};

/** Every record, found by what is asked months later: vehicle, lot, material, damage, person, day. */
export default function Records() {
  useTitle(msg("Records"));
  const [find, setFind] = useKeptSearch("find");
  const lead = useMay("PEOPLE");
  const navigate = useNavigate();
  const search = useFindKey();
  const found = useRecords(find);
  const shown = found.data?.flatMap((p) => p.found);
  const unsorted = found.data?.[0]?.unsorted ?? 0;
  const read = useMutation({
    mutationFn: async (f: File) => {
      let body: unknown;
      try {
        body = JSON.parse(await f.text());
      } catch {
        throw new Error(`${f.name} is no record: expected a JSON file written out by Record.`);
      }
      return ask<Api["ReadInView"]>("/api/records", { method: "POST", body });
    },
    onSuccess: ({ id }) => navigate(`/repairs/${id}/record`),
  });
  return (
    <>
      <div className="firm-b flex min-h-[58px] shrink-0 flex-wrap items-stretch">
        <h1 className="flex items-center px-4 text-28 font-semibold" style={{ fontStretch: "88%" }}>
          {msg("Records")}
        </h1>
        <Link to="/repairs" className="firm-l n flex min-h-14 items-center px-5 text-20 font-semibold max-[499px]:px-3">
          {msg("All repairs")}
        </Link>
        <label className="firm-l ml-auto flex min-h-14 min-w-0 items-center gap-2 px-3 max-[899px]:order-last max-[899px]:basis-full max-[899px]:border-l-0">
          <Search size={20} aria-hidden="true" />
          <span className="sr-only">{msg("Find records by vehicle, lot, material, damage, person or day")}</span>
          <input
            ref={search}
            className="h-full w-96 min-w-0 flex-1 bg-transparent text-20"
            placeholder={msg("vehicle, lot, material, damage, person, day")}
            maxLength={200}
            value={find}
            onChange={(e) => setFind(e.target.value)}
          />
        </label>
        {lead && (
          <>
            <Link
              to="/people"
              className="firm-l n flex min-h-14 items-center px-5 text-20 font-semibold max-[499px]:px-3"
            >
              {msg("People")}
            </Link>
            <Link
              to="/audit"
              className="firm-l n flex min-h-14 items-center px-5 text-20 font-semibold max-[499px]:px-3"
            >
              {msg("Audit")}
            </Link>
            <FileButton
              label={msg("Read in")}
              files={msg("Record file")}
              accept="application/json,.json"
              className="firm-l n flex min-h-14 items-center gap-2 px-5 text-20 font-semibold max-[499px]:px-3"
              onFile={(f) => read.mutate(f)}
            />
          </>
        )}
      </div>
      {(read.isError || found.isError) && (
        <p role="alert" className="firm-b px-4 py-3 font-bold text-oxide-text">
          {read.error?.message ?? found.error?.message}
        </p>
      )}
      {unsorted > 0 && (
        <p role="status" className="firm-b px-4 py-3 font-bold">
          {msg(
            "{n, plural, one {# record is} other {# records are}} still being sorted in after an update and cannot be found here yet; under Repairs every one is there.",
            { n: unsorted },
          )}
        </p>
      )}
      <LongList items={shown ?? []} rowPx={75} idOf={(r) => r.id} row={(r) => <Row record={r} />} more={moreOf(found)}>
        {shown?.length === 0 && (
          <p className="p-6 text-20">
            {find
              ? msg("No record holds all of “{find}”. Ask for less: a lot, a vehicle, a day such as 2026-11-25.", {
                  find,
                })
              : msg("No record yet: one begins with the work.")}
          </p>
        )}
      </LongList>
      <SealKey />
    </>
  );
}

/** What the records that leave here are sealed with, for whoever wants to check one. */
function SealKey() {
  const key = useTold({ queryKey: ["record-key"], queryFn: () => ask<Api["KeyView"]>("/api/records/key") }).data;
  if (!key) return null;
  return (
    <p className="firm-t flex min-h-18 shrink-0 flex-wrap items-center gap-x-4 px-4">
      <span className="lab">
        {msg("Records written out here are sealed by")} <Digits of={key.fingerprint} />
      </span>
      <a
        className="btn"
        download="vane-mend-public-key.pem"
        href={`data:application/x-pem-file,${encodeURIComponent(key.pem)}`}
      >
        {msg("Public key")}
      </a>
    </p>
  );
}

function Row({ record: r }: { record: Api["FoundView"] }) {
  const zone = useZone();
  return (
    <Link
      to={`/repairs/${r.id}/record`}
      className="hover:bg-ground grid min-h-[74px] grid-cols-[minmax(0,1fr)_auto] min-[900px]:grid-cols-[minmax(0,1fr)_190px_minmax(0,1fr)_200px] items-center gap-4 px-4 py-2"
    >
      <span className="min-w-0">
        <span className="n block text-20 font-semibold" style={{ fontStretch: "90%" }}>
          {r.name}
        </span>
        <span className="lab block">
          {r.vehicle} · {r.method}
        </span>
      </span>
      <span>
        <VerdictMark outcome={r.verdict} />
      </span>
      <span className="min-w-0">
        {r.met.length > 0 ? (
          r.met.map((w) => (
            <span key={`${w.sort}${w.text}`} className="block">
              <span className="lab">{SORTS[w.sort]}</span> <b>{w.text}</b>
            </span>
          ))
        ) : (
          <span className="block">{r.people.join(", ")}</span>
        )}
        {r.again.map((a) => (
          <span key={a.due} className="lab block">
            {msg("look again {due}", { due: dayAndTime(a.due, zone) })}
          </span>
        ))}
      </span>
      <span className="text-right">
        <span className="lab block">
          {r.signed === undefined
            ? r.finishedAt
              ? msg("not signed")
              : msg("running")
            : r.signed.stands
              ? msg("signed by {by}", { by: firstName(r.signed.by) })
              : msg("sent back")}
          {r.deviations > 0 && `, ${msg("{n, plural, one {# deviation} other {# deviations}}", { n: r.deviations })}`}
        </span>
        <span className="n block font-semibold">{dayAndTime(r.finishedAt ?? r.startedAt ?? "", zone)}</span>
      </span>
    </Link>
  );
}
