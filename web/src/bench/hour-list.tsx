import { firstName } from "../shell/first-name";
import { msg } from "../messages/messages";
import { Link } from "react-router";
import type { Api } from "../api/client";
import { moment } from "../units/units";
import { AFTER } from "./waiting";

/** Runs with what is still to come of each, in words: what the rule of hours says, spoken; on a phone it is what is seen. */
export function HourList({
  live,
  forOthers,
  now,
  zone,
}: {
  live: readonly Api["LiveView"][];
  forOthers: readonly Api["Waiting"][];
  now: number;
  zone: string;
}) {
  const at = (instant: string) => moment(instant, now, zone);
  const told = (l: Api["LiveView"]) =>
    [
      msg("{hands}, step {step} of {steps}", {
        hands: firstName(l.hands),
        step: l.stepsDone + 1,
        steps: l.steps,
      }),
      ...(l.promisedAt ? [msg("promised {at}", { at: at(l.promisedAt) })] : []),
    ].join(", ");
  return (
    <ul aria-label={msg("Runs hour by hour")} className="sr-only max-[699px]:not-sr-only">
      {live.map((l) => (
        <li key={l.id} className="border-b border-hair">
          {/* Where the rule is seen its own links are, and this is only heard. */}
          <p className="max-[699px]:hidden">
            {l.name}, {told(l)}
          </p>
          <Link
            to={`/repairs/${l.id}/run`}
            className="flex min-h-14 flex-col justify-center px-4 pt-2 min-[700px]:hidden"
          >
            <span className="hd">{l.name}</span>
            <span className="lab">{told(l)}</span>
          </Link>
          <ol className="px-4 pb-3">
            {l.ahead.map((a) => {
              const waits = forOthers.find((w) => w.repair === l.id && w.step === a.step);
              return (
                <li key={a.step} className="flex gap-3">
                  <span className="n w-36 shrink-0 font-semibold">
                    {at(a.from)} – {at(a.to)}
                  </span>
                  <span>
                    {a.handsOn ? a.brief : msg("waits: {brief}", { brief: a.brief })}
                    {waits && `, ${AFTER[waits.what](firstName(waits.whose))}`}
                  </span>
                </li>
              );
            })}
          </ol>
        </li>
      ))}
    </ul>
  );
}
