import { msg } from "../../messages/messages";
import { Check, X } from "lucide-react";
import { useId, useState } from "react";
import type { Api } from "../../api/client";
import { LiveFigureLine } from "../../devices/live-figure";
import { Hatches } from "../../marks/hatch";
import { Measure } from "../../shell/field";
import { usePreferences } from "../../shell/preferences";
import { grams, length, percent } from "../../units/units";
import { type Ask, useAsked } from "./asks";
import { creamFor, honest, percentOf } from "./dose";
import { dueOf, useOnScale, type Weight } from "./on-scale";

/**
 * Weigh, weigh, go: filler, then cream to what was really weighed, on one sheet with the scale live; what was weighed may be weighed again. Enter
 * takes a weight.
 */
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
  const thinner = pour?.thinner;
  const first = thinner ? msg("Filler and putty") : msg("Filler");
  const on = again === "FILLER_G" || again === "CREAM_G" ? again : dueOf(mix);
  const filler = useOnScale("FILLER_G");
  const take = (quantity: Ask, value: number, source: string) => {
    setAgain(undefined);
    onReading(quantity, value, source);
  };
  const live = on === undefined || filler === undefined || filler < 0 ? undefined : filler;
  return (
    <section aria-label={msg("Weigh, weigh, go")} className="flex flex-col gap-2">
      <Row
        no={1}
        active={on === "FILLER_G"}
        word={first}
        asked={mix.fillerTargetG}
        weighed={on === "FILLER_G" ? undefined : mix.fillerG}
        live={on === "FILLER_G" ? live : undefined}
        hatch="fill"
        told={
          thinner
            ? msg("filler to {filler}, then putty to {amount}; a little over is fine", {
                filler: grams(mix.fillerTargetG * (1 - thinner.share)),
                amount: grams(mix.fillerTargetG),
              })
            : msg("asked {amount}, a little over is fine", { amount: grams(mix.fillerTargetG) })
        }
        onAgain={
          mix.fillerG !== undefined && on !== "FILLER_G" && !mix.clockAt ? () => setAgain("FILLER_G") : undefined
        }
      />
      <Cream mix={mix} pour={pour} on={on} live={live} setAgain={setAgain} />
      {on && (
        <div className="flex flex-wrap items-end gap-2">
          <WeightField
            key={on}
            label={
              on === "FILLER_G"
                ? msg("{what} on the scale", { what: first })
                : msg("Cream, asked {amount}", { amount: grams(mix.creamTargetG) })
            }
            quantity={on}
            onReading={take}
          />
          <div className="min-w-[270px] flex-1">
            <LiveFigureLine
              ask={on}
              verb={on === "FILLER_G" ? msg("Take as filler") : msg("Take as cream")}
              onTake={(value, source) => take(on, value, source)}
            />
          </div>
        </div>
      )}
      {mix.said && <p className="text-20 font-bold text-oxide-text">{mix.said}</p>}
      {pour && mix.fillerG === undefined && filler === undefined && (
        <NoScale share={mix.fillerTargetG / pour.fillerG} pour={pour} />
      )}
    </section>
  );
}

/** Cream is judged by the filler that was really weighed; until then the rule stands for what is asked. */
function Cream({
  mix,
  pour,
  on,
  live,
  setAgain,
}: {
  mix: Api["MixDone"];
  pour: Api["Pour"] | undefined;
  on: Weight | undefined;
  live: number | undefined;
  setAgain: (what: Ask | undefined) => void;
}) {
  const filler = mix.fillerG ?? mix.fillerTargetG;
  const window = pour?.window;
  const weighed = on === "CREAM_G" ? undefined : mix.creamG;
  const now = weighed ?? (on === "CREAM_G" ? live : undefined);
  const share = now === undefined ? undefined : percentOf(filler, now);
  const off =
    share === undefined || !window || honest(share, window)
      ? undefined
      : share < window.from
        ? msg("{amount} more", { amount: grams(Math.max(0.1, creamFor(filler, window.from) - (now ?? 0))) })
        : msg("too much: take it off");
  const range = window ? msg("{from} to {to}", { from: percent(window.from), to: percent(window.to) }) : "";
  return (
    <Row
      no={2}
      active={on === "CREAM_G"}
      word={msg("Cream")}
      asked={mix.creamTargetG}
      weighed={weighed}
      live={on === "CREAM_G" ? live : undefined}
      hatch="paint"
      band={window ? [(filler * window.from) / 100, (filler * window.to) / 100] : undefined}
      off={off}
      told={
        share === undefined
          ? msg("asked {amount}; holds from {range}", { amount: grams(mix.creamTargetG), range })
          : msg("{share}; holds from {range}", { share: percent(share), range })
      }
      onAgain={mix.creamG !== undefined && on !== "CREAM_G" && !mix.clockAt ? () => setAgain("CREAM_G") : undefined}
    />
  );
}

/** One of the two on a rule of grams: what is asked, what holds, what is there. */
function Row({
  no,
  word,
  asked,
  weighed,
  live,
  hatch,
  band,
  off,
  told,
  active,
  onAgain,
}: {
  no: number;
  word: string;
  asked: number;
  weighed: number | undefined;
  live: number | undefined;
  hatch: "fill" | "paint";
  band?: [number, number];
  off?: string;
  told: string;
  /** Whether this one is on the scale now. */
  active: boolean;
  onAgain: (() => void) | undefined;
}) {
  const id = useId();
  const there = weighed ?? live;
  const most = Math.max(asked * 1.4, band ? band[1] * 1.15 : 0, 0.1);
  const x = (g: number) => Math.min(100, Math.max(0, (g / most) * 100));
  const said = weighed === undefined ? "" : off ? off : "holds";
  return (
    <div className="flex items-stretch gap-2">
      <div className="min-w-0 flex-1">
        <div className="n flex items-center justify-between gap-2 text-20 font-semibold">
          <span className="flex min-w-0 items-center gap-2">
            <span
              className={`grid size-7 shrink-0 place-items-center text-16 ${weighed === undefined ? "firm" : off ? "bg-oxide text-[#fff6f2]" : "bg-pine text-on-pine"}`}
            >
              {weighed === undefined ? (
                no
              ) : off ? (
                <X size={18} aria-hidden="true" />
              ) : (
                <Check size={18} aria-hidden="true" />
              )}
            </span>
            {word}
          </span>
          <span className={off ? "text-oxide-text" : ""}>{there === undefined ? "" : grams(there)}</span>
        </div>
        <svg
          width="100%"
          height="26"
          aria-hidden="true"
          className={`firm block bg-sheet ${active ? "" : "max-sm:hidden"}`}
        >
          <Hatches id={id} />
          {band && (
            <rect x={`${x(band[0])}%`} y="2" width={`${x(band[1]) - x(band[0])}%`} height="22" fill="var(--done)" />
          )}
          {there !== undefined && (
            <rect x="1" y="8" width={`${x(there)}%`} height="16" fill={`url(#${id}-${hatch})`} stroke="var(--ink)" />
          )}
          <line x1={`${x(asked)}%`} x2={`${x(asked)}%`} y1="0" y2="26" stroke="var(--ink)" strokeWidth="3" />
        </svg>
        <div className={`lab flex flex-wrap justify-between gap-x-2 ${active ? "" : "max-sm:hidden"}`}>
          <span>{told}</span>
          <b className={off ? "text-oxide-text" : ""}>{said || (live !== undefined && off ? off : "")}</b>
        </div>
      </div>
      {onAgain && (
        <button
          type="button"
          className="btn min-h-[72px] shrink-0 px-3"
          aria-label={msg("{word} weighed: {weighed}. Weigh it again.", { word, weighed: grams(weighed ?? 0) })}
          onClick={onAgain}
        >
          {msg("Again")}
        </button>
      )}
    </div>
  );
}

/** A puddle's area goes with its filler, the bead across it with the area. */
function NoScale({ share, pour }: { share: number; pour: Api["Pour"] }) {
  const { system } = usePreferences();
  const puddle = length(pour.puddleMm * Math.sqrt(share), system);
  const bead = length(pour.beadMm * share, system);
  return (
    <p className="n text-20 leading-6">{msg("No scale: puddle {puddle} across, bead {bead}.", { puddle, bead })}</p>
  );
}

function WeightField({
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
  const problem = value !== undefined && (value < from || value > to) ? msg("Expected {told}.", { told }) : undefined;
  const take = () => value !== undefined && !problem && onReading(quantity, value, "");
  return (
    <div className="flex items-end gap-1">
      <div className="w-36">
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
        {msg("Take")}
      </button>
    </div>
  );
}
