import { CircleCheck, TriangleAlert } from "lucide-react";
import type { ReactNode } from "react";
import { Link } from "react-router";
import { ask, type Api } from "../api/client";
import { useTold, useZone } from "../api/queries";
import { dayAndTime, minutes } from "../units/units";
import { useTitle } from "../shell/title";

const WORRIES: Record<Api["ServerView"]["worries"][number], string> = {
  NO_BACKUP: "No backup was ever made of this store: ./vanemend backup FILE writes one while the work goes on.",
  OLD_BACKUP: "The newest backup is more than two days old.",
  LITTLE_ROOM: "The disk of the server has little room left: bench events need some.",
  LITTLE_MEMORY: "The server has nearly used up its memory. It is started again by itself where it runs out.",
  LATE_EVENTS: "Within the hour something done at a bench waited long before it arrived: a screen was off the network.",
};

const EVERY_MS = 10_000;

const gigabytes = (b: number) =>
  b < 1e6
    ? `${Math.round(b / 1e3)}\u202fkB`
    : b < 1e9
      ? `${Math.round(b / 1e6)}\u202fMB`
      : `${(b / 1e9).toFixed(1)}\u202fGB`;

/** For the lead: is all well with the server. */
export default function ServerPlace() {
  useTitle("Server");
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
          Server
        </h1>
        {(["people", "audit", "records"] as const).map((to) => (
          <Link
            key={to}
            to={`/${to}`}
            className="firm-l n flex min-h-14 items-center px-5 text-20 font-semibold capitalize"
          >
            {to}
          </Link>
        ))}
      </div>
      <div className="min-h-0 flex-1 overflow-y-auto p-4" tabIndex={0} role="region" aria-label="How the server is">
        {server.isError && (
          <p role="alert" className="pb-4 text-20 font-bold text-oxide-text">
            {server.error.message}
          </p>
        )}
        {s && (
          <>
            {s.worries.length === 0 ? (
              <p className="flex items-center gap-3 text-28 font-semibold">
                <CircleCheck className="text-pine" size={32} aria-hidden="true" /> All is well
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
              <Told label="Newest backup">
                {s.backup ? `${dayAndTime(s.backup.at, zone)}, ${gigabytes(s.backup.bytes)}` : "none"}
              </Told>
              <Told label="Kept in the store, about">{gigabytes(s.storeBytes)}</Told>
              <Told label="Room on the disk">{gigabytes(s.freeBytes)}</Told>
              <Told label="Memory in use">
                {gigabytes(s.memoryBytes)} of {gigabytes(s.memoryMost)}
              </Told>
              <Told label="Store answered in">{`${s.storeMs}\u202fms`}</Told>
              <Told label="Running since">{dayAndTime(s.began, zone)}</Told>
              <Told label="Servers at work">{s.servers}</Told>
              <Told label="Signed in">{s.signedIn}</Told>
              <Told label="Bench events within the hour">{s.events}</Told>
              <Told label="Longest wait of one of them">
                {s.longestWaitSeconds < 60 ? `${s.longestWaitSeconds}\u202fs` : minutes(s.longestWaitSeconds / 60)}
              </Told>
              <Told label="Java">{s.java}</Told>
              <Told label="Database">{s.database}</Told>
              <Told label="Tables laid out as of">{s.layout}</Told>
              <Told label="Rule book">{s.ruleBook}</Told>
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
