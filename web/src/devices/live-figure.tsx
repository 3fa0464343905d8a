import { msg } from "../messages/messages";
import { useState } from "react";
import { useNow } from "../api/clock";
import { ask } from "../api/client";
import { type Ask, useAsked } from "../repair/run/asks";
import { usePreferences } from "../shell/preferences";
import { amountOf, stretch } from "../units/units";
import { figureFor, useAnswer, useDevices } from "./live";

/**
 * What a device shows for a figure that is asked, beside the field where it may always be typed: taken with a tap while it is live and
 * steady; when it falls silent the last good figure stays with its age, to be looked at only.
 */
export function LiveFigureLine({
  ask: wanted,
  verb,
  onTake,
}: {
  ask: Ask;
  verb: string;
  onTake: (value: number, source: string) => void;
}) {
  const { system } = usePreferences();
  const now = useNow();
  const [refused, setRefused] = useState("");
  const asked = useAsked()(wanted);
  const live = figureFor(useAnswer(wanted), useDevices());
  if (!live) return null;
  const { shown, value } = live;
  const figure = value === undefined ? msg("nothing measured yet") : amountOf(value, asked.unit, system);
  const wrong = !live.heard ? msg("Out of reach: type it.") : shown.said || refused;
  const { from, to, told } = asked;
  const beyond = value !== undefined && (value < from || value > to);
  const age = shown.at ? (now - Date.parse(shown.at)) / 1000 : 0;
  return (
    <div className="n flex min-h-[72px] flex-wrap items-stretch gap-1 text-16">
      {/* Beside the button where both have room, else above it. */}
      <span className="firm flex min-h-[72px] min-w-0 flex-1 basis-32 items-center px-3 leading-5" role="status">
        <span>
          <span className="lab block">{shown.name}</span>
          {wrong ? (
            <b className="text-oxide-text">
              {wrong}
              {value !== undefined &&
                msg(" Last {figure}, {max} ago.", { figure, max: stretch(Math.max(1, age), "up") })}
            </b>
          ) : (
            <>
              {value === undefined ? figure : <b className="text-20">{figure}</b>}
              {value !== undefined && (
                <span className="lab ml-1.5">
                  {!shown.steady ? msg("moving") : beyond ? msg("steady; expected {told}", { told }) : msg("steady")}
                </span>
              )}
            </>
          )}
        </span>
      </span>
      {shown.kind === "SCALE" && !wrong && (
        <button
          type="button"
          className="btn max-sm:px-2"
          onClick={() =>
            void ask("/api/devices/SCALE/nought", { method: "POST" }).catch((e: unknown) =>
              setRefused(e instanceof Error ? e.message : String(e)),
            )
          }
        >
          {msg("Nought")}
        </button>
      )}
      <button
        type="button"
        className="btn"
        disabled={Boolean(wrong) || value === undefined || beyond || !shown.steady}
        onClick={() => value !== undefined && onTake(value, shown.name)}
      >
        {verb}
      </button>
    </div>
  );
}
