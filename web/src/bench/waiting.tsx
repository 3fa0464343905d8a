import type { Api } from "../api/client";
import { VerdictMark } from "../repair/verdict-mark";
import { moment } from "../units/units";
import { Link } from "react-router";

/** What a repair waits for, as said: the lamp, the oven or whose hands. */
export const thing = (w: Api["Waiting"]) =>
  w.what === "LAMP" ? "the lamp" : w.what === "OVEN" ? "the oven" : (w.whose.split(" ")[0] ?? "hands");

/** What could go on but for a lamp, an oven or hands that are at another repair. */
export function ForOthers({
  waiting,
  live,
  now,
  zone,
}: {
  waiting: readonly Api["Waiting"][];
  live: readonly Api["LiveView"][];
  now: number;
  zone: string;
}) {
  if (waiting.length === 0) return null;
  return (
    <>
      <h2 className="firm-b firm-t bg-ground hd px-4 py-2">What waits for what</h2>
      {waiting.map((w) => (
        <Link
          key={`${w.repair}${w.what}`}
          to={`/repairs/${w.repair}/run`}
          className="hover:bg-ground block border-b border-hair px-4 py-2"
        >
          <span className="lab flex justify-between">
            <span>waits for {thing(w)}</span>
            <span className="n font-semibold text-ink">until {moment(w.until, now, zone, "up")}</span>
          </span>
          <b className="block leading-5">{live.find((l) => l.id === w.repair)?.name}</b>
          <span className="block leading-5">
            {w.title}: ready {moment(w.from, now, zone, "up")}, {w.hasName} has{" "}
            {w.what === "HANDS" ? "the hands" : "it"}
          </span>
        </Link>
      ))}
    </>
  );
}

export function Waiting({
  title,
  lines,
  to,
  now,
  zone,
}: {
  title: string;
  lines: readonly Api["RepairLine"][];
  to: string;
  now: number;
  zone: string;
}) {
  if (lines.length === 0) return null;
  return (
    <>
      <h2 className="firm-b bg-ground hd px-4 py-2">{title}</h2>
      <ul>
        {lines.map((w) => (
          <li key={w.id} className="border-b border-hair">
            <Link
              to={`/repairs/${w.id}/${w.standing === "DRAFT" ? "damage" : to}`}
              className="hover:bg-ground flex min-h-[62px] items-center gap-x-4 gap-y-1 px-4 py-1.5 max-[699px]:flex-wrap"
            >
              <span className="w-[38%] min-w-0 shrink-0 max-[699px]:w-full">
                <span className="hd block">{w.name}</span>
                <span className="lab block">{w.vehicle}</span>
              </span>
              {w.verdict && <VerdictMark outcome={w.verdict} />}
              <span className="min-w-0 flex-1">{w.waitsFor ? w.waitsFor : `${w.steps} steps`}</span>
              {w.promisedAt && (
                <span className="n shrink-0 font-semibold">promised {moment(w.promisedAt, now, zone)}</span>
              )}
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}
