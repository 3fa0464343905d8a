import { msg } from "../messages/messages";
import type { Api } from "../api/client";
import { firstName } from "../shell/first-name";
import { VerdictMark } from "../repair/verdict-mark";
import { moment } from "../units/units";
import { Link } from "react-router";

/** What a repair waits for, as said: the lamp, the oven or whose hands. */
export const thing = (w: Api["Waiting"]) =>
  w.what === "LAMP" ? msg("the lamp") : w.what === "OVEN" ? msg("the oven") : firstName(w.whose);

type What = Api["Waiting"]["what"];

/** After what a stretch begins that waits for another repair, by the name of those whose hands it is. */
export const AFTER: Record<What, (who: string) => string> = {
  LAMP: () => msg("after the lamp is free"),
  OVEN: () => msg("after the oven is free"),
  SANDER: () => msg("after the sander is free"),
  HANDS: (who) => msg("after {who} is free", { who }),
};

const WAITS_FOR: Record<What, (who: string) => string> = {
  LAMP: () => msg("waits for the lamp"),
  OVEN: () => msg("waits for the oven"),
  SANDER: () => msg("waits for the sander"),
  HANDS: (who) => msg("waits for {who}", { who }),
};

const HAS: Record<What, (v: { title: string; from: string; other: string }) => string> = {
  LAMP: (v) => msg("{title}: ready {from}, {other} has it", v),
  OVEN: (v) => msg("{title}: ready {from}, {other} has it", v),
  SANDER: (v) => msg("{title}: ready {from}, {other} has it", v),
  HANDS: (v) => msg("{title}: ready {from}, {other} has the hands", v),
};

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
      <h2 className="firm-b firm-t bg-ground hd px-4 py-2">{msg("What waits for what")}</h2>
      {waiting.map((w) => (
        <Link
          key={`${w.repair}${w.what}`}
          to={`/repairs/${w.repair}/run`}
          className="hover:bg-ground block border-b border-hair px-4 py-2"
        >
          <span className="lab flex justify-between">
            <span>{WAITS_FOR[w.what](firstName(w.whose))}</span>
            <span className="n font-semibold text-ink">
              {msg("until {at}", { at: moment(w.until, now, zone, "up") })}
            </span>
          </span>
          <b className="block leading-5">{live.find((l) => l.id === w.repair)?.name}</b>
          <span className="block leading-5">
            {HAS[w.what]({ title: w.title, from: moment(w.from, now, zone, "up"), other: w.hasName })}
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
              {/* What a draft still lacks is said in English. */}
              <span
                className="min-w-0 flex-1"
                lang={w.standing === "DRAFT" || w.standing === "BLOCKED" ? "en" : undefined}
              >
                {w.waitsFor ? w.waitsFor : msg("{n, plural, one {# step} other {# steps}}", { n: w.steps })}
              </span>
              {w.promisedAt && (
                <span className="n shrink-0 font-semibold">
                  {msg("promised {at}", { at: moment(w.promisedAt, now, zone) })}
                </span>
              )}
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}
