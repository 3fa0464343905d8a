import { useState } from "react";
import type { Api } from "../../api/client";
import { LiveFigureLine } from "../../devices/live-figure";
import { Measure } from "../../shell/field";
import { usePreferences } from "../../shell/preferences";
import { grams, length, percent } from "../../units/units";
import { type Ask, useAsked } from "./asks";

/** Filler first, then cream to what was really weighed; what was weighed may be weighed again. Enter takes a weight. */
export function Weighing({
  mix,
  pour,
  again,
  setAgain,
  onReading,
}: {
  mix: Api["MixDone"];
  pour: Api["Pour"] | undefined;
  /** What is weighed once more. */
  again: Ask | undefined;
  setAgain: (what: Ask | undefined) => void;
  onReading: (quantity: Ask, value: number, source: string) => void;
}) {
  const due: Ask | undefined =
    mix.fillerG === undefined ? "FILLER_G" : mix.creamG === undefined ? "CREAM_G" : undefined;
  const on = again ?? due;
  const take = (quantity: Ask, value: number, source: string) => {
    setAgain(undefined);
    onReading(quantity, value, source);
  };
  return (
    <div className="flex flex-col gap-1 pt-1">
      <div className="flex flex-wrap items-end gap-2">
        {mix.fillerG !== undefined && on !== "FILLER_G" && (
          <Weighed said={`Filler weighed: ${grams(mix.fillerG)}`} onAgain={() => setAgain("FILLER_G")} />
        )}
        {mix.creamG !== undefined && on !== "CREAM_G" && (
          <Weighed
            said={`Cream weighed: ${grams(mix.creamG)} = ${percent(mix.percent ?? 0)}`}
            onAgain={() => setAgain("CREAM_G")}
          />
        )}
        {on && (
          <>
            <Weight
              key={on}
              label={on === "FILLER_G" ? "Filler on the scale" : `Cream, asked ${grams(mix.creamTargetG)}`}
              quantity={on}
              onReading={take}
            />
            <div className="min-w-[300px] flex-1">
              <LiveFigureLine
                ask={on}
                verb={on === "FILLER_G" ? "Take as filler" : "Take as cream"}
                onTake={(value, source) => take(on, value, source)}
              />
            </div>
          </>
        )}
      </div>
      {mix.said && <p className="text-20 font-bold text-oxide-text">{mix.said}</p>}
      {pour && mix.fillerG === undefined && <NoScale share={mix.fillerTargetG / pour.fillerG} pour={pour} />}
    </div>
  );
}

/** A puddle's area goes with its filler, the bead across it with the area. */
function NoScale({ share, pour }: { share: number; pour: Api["Pour"] }) {
  const { system } = usePreferences();
  const puddle = length(pour.puddleMm * Math.sqrt(share), system);
  const bead = length(pour.beadMm * share, system);
  return (
    <p className="n text-20 leading-6">
      No scale: puddle {puddle} across, bead {bead}.
    </p>
  );
}

function Weighed({ said, onAgain }: { said: string; onAgain: () => void }) {
  return (
    <button
      type="button"
      className="btn h-[75px] max-w-44 text-left leading-5"
      aria-label={`${said}. Weigh it again.`}
      onClick={onAgain}
    >
      {said}
    </button>
  );
}

function Weight({
  label,
  quantity,
  onReading,
}: {
  label: string;
  quantity: Ask;
  onReading: (quantity: Ask, value: number, source: string) => void;
}) {
  const [value, setValue] = useState<number>();
  const { from, to, told } = useAsked()(quantity);
  const problem = value !== undefined && (value < from || value > to) ? `Expected ${told}.` : undefined;
  const take = () => value !== undefined && !problem && onReading(quantity, value, "");
  return (
    <div className="flex items-end gap-1">
      <div className="w-40">
        <Measure
          label={label}
          quantity={{ unit: "g" }}
          value={value}
          onChange={setValue}
          problem={problem}
          onEnter={take}
          autoFocus
          large
        />
      </div>
      <button type="button" className="btn h-[75px]" disabled={value === undefined || Boolean(problem)} onClick={take}>
        Take
      </button>
    </div>
  );
}
