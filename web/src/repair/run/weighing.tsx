import { useState } from "react";
import type { Api } from "../../api/client";
import { Measure } from "../../shell/field";
import { grams, percent } from "../../units/units";

type Ask = Api["Step"]["asks"][number];

const LARGEST: Partial<Record<Ask, number>> = { FILLER_G: 3000, CREAM_G: 150 };

/** Filler first; cream to what was really weighed. Enter takes a weight; both may be weighed again. */
export function Weighing({
  mix,
  pour,
  onReading,
}: {
  mix: Api["MixDone"];
  pour: Api["Pour"] | undefined;
  onReading: (quantity: Ask, value: number) => void;
}) {
  return (
    <div className="flex flex-wrap gap-3 pt-1">
      <Weight
        key={`f${mix.fillerG ?? ""}`}
        label={mix.fillerG === undefined ? "Filler on the scale" : `Filler weighed: ${grams(mix.fillerG)}`}
        quantity="FILLER_G"
        least={1}
        onReading={onReading}
        focus={mix.fillerG === undefined}
      />
      <Weight
        key={`c${mix.creamG ?? ""}${mix.fillerG ?? ""}`}
        label={
          mix.creamG === undefined
            ? `Cream, asked ${grams(mix.creamTargetG)}`
            : `Cream weighed: ${grams(mix.creamG)} = ${percent(mix.percent ?? 0)}`
        }
        quantity="CREAM_G"
        least={0}
        onReading={onReading}
        focus={mix.fillerG !== undefined && mix.creamG === undefined}
      />
      {mix.said && <p className="w-full text-20 font-bold text-oxide-text">{mix.said}</p>}
      {pour && mix.fillerG === undefined && (
        <p className="n w-full text-20">
          No scale: puddle {Math.round(pour.puddleMm)}
          {"\u202f"}mm across, bead {Math.round(pour.beadMm)}
          {"\u202f"}mm.
        </p>
      )}
    </div>
  );
}

function Weight({
  label,
  quantity,
  least,
  onReading,
  focus,
}: {
  label: string;
  quantity: Ask;
  least: number;
  onReading: (quantity: Ask, value: number) => void;
  focus: boolean;
}) {
  const [value, setValue] = useState<number>();
  const most = LARGEST[quantity] ?? 3000;
  const problem =
    value !== undefined && (value < least || value > most) ? `Expected ${least} to ${most}\u202fg.` : undefined;
  const take = () => value !== undefined && !problem && onReading(quantity, value);
  return (
    <div className={`flex items-end gap-1 ${focus ? "outline-violet outline-3 outline-offset-2" : ""}`}>
      <div className="w-52">
        <Measure
          label={label}
          quantity={{ unit: "g" }}
          value={value}
          onChange={setValue}
          problem={problem}
          onEnter={take}
          autoFocus={focus}
          large
        />
      </div>
      <button type="button" className="btn h-[75px]" disabled={value === undefined || Boolean(problem)} onClick={take}>
        Take
      </button>
    </div>
  );
}
