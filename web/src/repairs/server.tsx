import { msg } from "../messages/messages";
import { CircleCheck, TriangleAlert } from "lucide-react";
import type { ReactNode } from "react";
import { Link } from "react-router";
import { ask, type Api } from "../api/client";
import { useTold, useZone } from "../api/queries";
import { dayAndTime, minutes } from "../units/units";
import { useTitle } from "../shell/title";

const WORRIES: Record<Api["ServerView"]["worries"][number], string> = {
  NO_BACKUP: msg("No backup was ever made of this store: ./vanemend backup FILE writes one while the work goes on."),
  OLD_BACKUP: msg("The newest backup is more than two days old."),
  LITTLE_ROOM: msg("The disk of the server has little room left: bench events need some."),
  LITTLE_MEMORY: msg("The server has nearly used up its memory. It is started again by itself where it runs out."),
  LATE_EVENTS: msg(
    "Within the hour something done at a bench waited long before it arrived: a screen was off the network.",
  ),
};

const PLACES = [
  { to: "people", word: msg("People") },
  { to: "audit", word: msg("Audit") },
  { to: "records", word: msg("Records") },
] as const;

const EVERY_MS = 10_000;

const gigabytes = (b: number) =>
  b < 1e6
    ? `${Math.round(b / 1e3)}\u202fkB`
    : b < 1e9
      ? `${Math.round(b / 1e6)}\u202fMB`
      : `${(b / 1e9).toFixed(1)}\u202fGB`;

/** For the lead: is all well with the server. */
export default function ServerPlace() {
  useTitle(msg("Server"));
  const zone = useZone();
  const server = useTold({
    queryKey: ["server"],
    queryFn: () => ask<Api["ServerView"]>("/api/server"),
    refetchInterval: EVERY_MS,
  });
  const s = server.data;
  return (
    <>
      <div className="firm-b flex min-h-[58px] shrink-0 flex-wrap items-stretch">
        <h1 className="flex flex-1 items-center px-4 text-28 font-semibold" style={{ fontStretch: "88%" }}>
          {msg("Server")}
        </h1>
        {PLACES.map(({ to, word }) => (
          <Link key={to} to={`/${to}`} className="firm-l n flex min-h-14 items-center px-5 text-20 font-semibold">
            {word}
          </Link>
        ))}
      </div>
      <div
        className="min-h-0 flex-1 overflow-y-auto p-4"
        tabIndex={0}
        role="region"
        aria-label={msg("How the server is")}
      >
        {server.isError && (
          <p role="alert" className="pb-4 text-20 font-bold text-oxide-text">
            {server.error.message}
          </p>
        )}
        {s && (
          <>
            {s.worries.length === 0 ? (
              <p className="flex items-center gap-3 text-28 font-semibold">
                <CircleCheck className="text-pine" size={32} aria-hidden="true" /> {msg("All is well")}
              </p>
            ) : (
              <ul>
                {s.worries.map((w) => (
                  <li key={w} className="flex gap-3 py-1.5 text-20 font-semibold">
                    <TriangleAlert className="text-oxide mt-0.5 shrink-0" size={24} aria-hidden="true" /> {WORRIES[w]}
                  </li>
                ))}
              </ul>
            )}
            <dl className="mt-5 grid grid-cols-[repeat(auto-fill,minmax(220px,1fr))] gap-x-6 gap-y-4">
              <Told label={msg("Newest backup")}>
                {s.backup ? `${dayAndTime(s.backup.at, zone)}, ${gigabytes(s.backup.bytes)}` : msg("none")}
              </Told>
              <Told label={msg("Kept in the store, about")}>{gigabytes(s.storeBytes)}</Told>
              <Told label={msg("Room on the disk")}>{gigabytes(s.freeBytes)}</Told>
              <Told label={msg("Memory in use")}>
                {msg("{memoryBytes} of {memoryMost}", {
                  memoryBytes: gigabytes(s.memoryBytes),
                  memoryMost: gigabytes(s.memoryMost),
                })}
              </Told>
              <Told label={msg("Store answered in")}>{`${s.storeMs}\u202fms`}</Told>
              <Told label={msg("Running since")}>{dayAndTime(s.began, zone)}</Told>
              <Told label={msg("Servers at work")}>{s.servers}</Told>
              <Told label={msg("Signed in")}>{s.signedIn}</Told>
              <Told label={msg("Bench events within the hour")}>{s.events}</Told>
              <Told label={msg("Longest wait of one of them")}>
                {s.longestWaitSeconds < 60 ? `${s.longestWaitSeconds}\u202fs` : minutes(s.longestWaitSeconds / 60)}
              </Told>
              <Told label={msg("Java")}>{s.java}</Told>
              <Told label={msg("Database")}>{s.database}</Told>
              <Told label={msg("Tables laid out as of")}>{s.layout}</Told>
              <Told label={msg("Rule book")}>{s.ruleBook}</Told>
            </dl>
          </>
        )}
      </div>
    </>
  );
}

function Told({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="min-w-0">
      <dt className="lab">{label}</dt>
      <dd className="n text-20 font-semibold break-words">{children}</dd>
    </div>
  );
}
