import { msg, within } from "../messages/messages";
import type { Api } from "../api/client";
import { firstName } from "../shell/first-name";
import { clockWords } from "../shell/clock-rail";
import { moment } from "../units/units";
import { Link } from "react-router";

export function HandsCard({
  hands,
  live,
  now,
  zone,
}: {
  hands: Api["HandsView"];
  live: Api["LiveView"] | undefined;
  now: number;
  zone: string;
}) {
  const clock = live?.clocks[0];
  // What never comes by waiting wants hands now; what stands after it in the plan must not be begun.
  const never = clock && !clock.endsAt ? clockWords(clock, now, zone).words : undefined;
  const stop = live?.stops[0];
  const body = (
    <>
      <span className="lab flex justify-between">
        <span>{hands.person.name}</span>
        {hands.from && (
          <span className="n font-semibold text-ink">
            {never || Date.parse(hands.from) <= now + 30_000
              ? msg("now")
              : msg("from {from}", { from: moment(hands.from, now, zone, "up") })}
          </span>
        )}
      </span>
      <span
        className={`n block text-20 leading-6 font-semibold ${stop ? "text-oxide-text" : ""}`}
        style={{ fontStretch: "88%" }}
      >
        {stop ? msg("Stop: {title}", { title: within(stop.title) }) : (never ?? hands.title)}
      </span>
      {stop && (
        <span className="block leading-5">
          {stop.by
            ? msg("since {since}, by {by}", { since: moment(stop.since, now, zone), by: firstName(stop.by) })
            : msg("since {since}", { since: moment(stop.since, now, zone) })}
        </span>
      )}
      {hands.name && <span className="lab block">{hands.name}</span>}
      {clock && !never && (
        <span className="lab block">
          {clockWords(clock, now, zone).words}, {clockWords(clock, now, zone).figure}
        </span>
      )}
    </>
  );
  return hands.repair !== undefined ? (
    <Link to={`/repairs/${hands.repair}/run`} className="hover:bg-ground block border-b border-hair px-4 py-3">
      {body}
    </Link>
  ) : (
    <div className="border-b border-hair px-4 py-3">{body}</div>
  );
}
