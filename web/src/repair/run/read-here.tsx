import { msg } from "../../messages/messages";
import { useState } from "react";
import { LiveFigureLine } from "../../devices/live-figure";
import { Measure } from "../../shell/field";
import { type Ask, useAsked } from "./asks";

/** Readings that are part of the answer, on the same screen as the gate: one after the other, each taken with Enter. */
export function ReadHere({
  asks,
  onReading,
}: {
  asks: readonly Ask[];
  onReading: (quantity: Ask, value: number, source: string) => void;
}) {
  return (
    <section aria-label={msg("Read it")} className="flex flex-wrap items-end gap-x-6 gap-y-2">
      {asks.map((a, i) => (
        <One key={a} ask={a} first={i === 0} onReading={onReading} />
      ))}
    </section>
  );
}

function One({
  ask,
  first,
  onReading,
}: {
  ask: Ask;
  first: boolean;
  onReading: (quantity: Ask, value: number, source: string) => void;
}) {
  const { label, quantity, from, to, told } = useAsked()(ask);
  const [value, setValue] = useState<number>();
  const [taken, setTaken] = useState(0);
  const problem =
    value !== undefined && (value < from || value > to)
      ? msg("That cannot be right: expected {told}.", { told })
      : undefined;
  const take = (v: number | undefined, source: string) => {
    if (v === undefined || problem) return;
    onReading(ask, v, source);
    setValue(undefined);
    setTaken((n) => n + 1);
  };
  return (
    <div className="flex flex-wrap items-end gap-1">
      <div className="w-44">
        <Measure
          key={taken}
          large
          autoFocus={first}
          label={label}
          quantity={quantity}
          value={value}
          onChange={setValue}
          problem={problem}
          onEnter={() => take(value, "")}
        />
      </div>
      <button
        type="button"
        className="btn h-[75px]"
        disabled={value === undefined || problem !== undefined}
        onClick={() => take(value, "")}
      >
        {msg("Take")}
      </button>
      <LiveFigureLine ask={ask} verb={msg("Take it")} onTake={(v, source) => take(v, source)} />
    </div>
  );
}
