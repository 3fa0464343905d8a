import { msg } from "../../messages/messages";
import { TriangleAlert } from "lucide-react";
import { useId, useState } from "react";
import { ask, type Api } from "../../api/client";
import { useRules, useTold } from "../../api/queries";
import { Hatches } from "../../marks/hatch";
import { lengthTicks } from "../../marks/rule";
import { Measure } from "../../shell/field";
import { usePreferences } from "../../shell/preferences";
import { grams, length, millilitres, minutes, percent, stretch } from "../../units/units";
import { creamFor } from "../run/dose";
import { Big, Head } from "../sheet";
import type { DraftOnScreen } from "../use-draft";

/** One mix: filler first, cream by what was weighed; bead and puddle beside it; ways to dry. */
export function PourPanel({ mix, on, frozen }: { mix: Api["MixPlan"]; on: DraftOnScreen; frozen: boolean }) {
  const { pour } = mix;
  const [tried, setTried] = useState<number>();
  const filler = tried ?? pour.fillerG;
  return (
    <section>
      <Head title={msg("Pour: {material}", { material: pour.material })}>
        {msg("lot {lot}; work time {workMin}, mixed inside {mixMin}, all on the part by {onPartByMin}", {
          lot: pour.lot,
          workMin: stretch(pour.workMin * 60, "down"),
          mixMin: stretch(pour.mixMin * 60, "down"),
          onPartByMin: stretch(pour.onPartByMin * 60, "down"),
        })}
      </Head>
      <div className="grid min-[900px]:grid-cols-[minmax(0,1fr)_320px]">
        <div className="min-[900px]:firm-r p-4 max-[499px]:px-2 max-[899px]:firm-b">
          <ScaleRow
            n={1}
            title={pour.thinner ? msg("Filler and putty first") : msg("Filler first")}
            note={
              pour.thinner
                ? msg("{putty} of it {material}; a little over is fine", {
                    putty: grams(filler * pour.thinner.share),
                    material: pour.thinner.material,
                  })
                : msg("a little over is fine")
            }
            max={pour.fillerG * 1.35}
            mark={filler}
            value={filler}
            hatch={mix.id === "putty" ? "finish" : "fill"}
            figure={grams(filler)}
          />
          <ScaleRow
            n={2}
            title={msg("Cream to {filler}", { filler: grams(creamFor(filler, pour.percent)) })}
            note={msg("{percent} of the {filler} on the board", {
              percent: percent(pour.percent),
              filler: grams(filler),
            })}
            max={(filler * 4) / 100}
            mark={creamFor(filler, pour.percent)}
            value={creamFor(filler, pour.percent)}
            band={[(filler * 1.5) / 100, (filler * 3) / 100]}
            hatch="cream"
            figure={grams(creamFor(filler, pour.percent))}
          />
          <p>
            {msg("One {grams} step of the scale is {stepPercent} of cream. {doseSaid}", {
              grams: grams(0.1),
              stepPercent: percent(pour.stepPercent),
              doseSaid: mix.doseSaid,
            })}
          </p>
          <div className="mt-3 max-w-60">
            <Measure
              label={msg("Try another weight of filler")}
              quantity={{ unit: "g" }}
              value={tried}
              onChange={(v) => setTried(v !== undefined && v > 0 && v < 3000 ? v : undefined)}
            />
          </div>
          <Spreader pour={pour} on={on} frozen={frozen} />
          <Volumes volume={pour.volume} />
          {pour.notes.map((n) => (
            <p key={n} className="mt-2 flex gap-2 font-bold">
              <TriangleAlert className="text-oxide shrink-0" size={20} aria-label={msg("Mind")} />
              {n}
            </p>
          ))}
        </div>
        <BeadPanel pour={pour} putty={mix.id === "putty"} />
      </div>
      <Routes mix={mix} on={on} frozen={frozen} />
    </section>
  );
}

function ScaleRow({
  n,
  title,
  note,
  max,
  mark,
  value,
  hatch,
  figure,
  band,
}: {
  n: number;
  title: string;
  note: string;
  max: number;
  mark: number;
  value: number;
  hatch: "fill" | "finish" | "cream";
  figure: string;
  band?: [number, number];
}) {
  const id = useId();
  const width = 390;
  const perG = width / max;
  const ticks = lengthTicks(0, max, perG, "metric");
  return (
    <div className="mb-3 grid items-end gap-x-3 min-[700px]:grid-cols-[minmax(0,1fr)_130px]">
      <div>
        <div className="flex items-center gap-2.5">
          <span
            className={`n grid size-6 shrink-0 place-items-center text-14 font-semibold ${n === 1 ? "bg-ink text-sheet" : "bg-violet text-[#fff]"}`}
          >
            {n}
          </span>
          <span className="hd">{title}</span>
          <span className="lab">{note}</span>
        </div>
        <svg viewBox={`0 0 ${width} 62`} className="mt-2 w-full" aria-hidden="true">
          <Hatches id={id} />
          <rect
            x="0.75"
            y="0.75"
            width={width - 1.5}
            height="50"
            fill="var(--sheet)"
            stroke="var(--ink)"
            strokeWidth="1.5"
          />
          {band && (
            <rect
              x={band[0] * perG}
              y="22"
              width={(band[1] - band[0]) * perG}
              height="29"
              fill="var(--done)"
              stroke="var(--pine-text)"
            />
          )}
          <rect
            x="1.5"
            y="26"
            width={Math.max(0, value * perG - 1.5)}
            height="24.5"
            fill={hatch === "cream" ? "var(--cream)" : `url(#${id}-${hatch})`}
            stroke="var(--ink)"
          />
          {(ticks.length > 3
            ? ticks
            : lengthTicks(0, max * 100, perG / 100, "metric").map((t) => ({
                ...t,
                at: t.at / 100,
                label: t.label && String(Number(t.label) / 100),
              }))
          ).map((t) => (
            <g key={t.at}>
              <path
                d={`M${t.at * perG} 0v${t.size === "long" ? 10 : t.size === "middle" ? 7 : 5}`}
                stroke="var(--tick)"
              />
              {t.label && t.at > 0 && t.at * perG < width - 16 && (
                <text x={t.at * perG} y="22" textAnchor="middle">
                  {t.label}
                </text>
              )}
            </g>
          ))}
          <path d={`M${mark * perG} 2V56`} stroke="var(--ink)" strokeWidth="3" />
        </svg>
        {band && <span className="lab">{msg("green: 1.5 to 3 % of this filler, where the clock is honest")}</span>}
      </div>
      <span className="n pb-4 text-44 font-semibold min-[700px]:text-right" style={{ fontStretch: "88%" }}>
        {figure.split("\u202f")[0]}
        <span className="text-28 font-medium">{"\u202fg"}</span>
      </span>
    </div>
  );
}

/** The spreader in hand: its strokes follow; the minutes stay those of the shop's own spreading rate. */
function Spreader({ pour, on, frozen }: { pour: Api["Pour"]; on: DraftOnScreen; frozen: boolean }) {
  return (
    <div className="mt-3 flex flex-wrap items-end gap-3">
      <div className="w-60">
        <Measure
          label={msg("Spreader in hand, width")}
          quantity="length"
          value={on.draft?.spreaderMm ?? pour.spreaderMm}
          onChange={(spreaderMm) => on.change((d) => ({ ...d, spreaderMm }))}
          problem={on.problems.find((p) => p.field === "spreaderMm")?.message}
          disabled={frozen}
        />
      </div>
      <p className="n min-w-40 flex-1 pb-2">
        {pour.strokes === 1 ? msg("One stroke a pass.") : msg("{n} strokes a pass.", { n: pour.strokes })}{" "}
        {msg("On a crown a wide one drags hollow.")}
      </p>
    </div>
  );
}

function Volumes({ volume: v }: { volume: Api["FillVolume"] }) {
  const rows = [
    [msg("the hollow"), v.hollowMl],
    [msg("coats that came off"), v.coatsMl],
    [msg("left proud"), v.proudMl],
    [msg("tight coat"), v.skimMl],
    [msg("stays on the board"), v.lossMl],
  ] as const;
  const total = rows.reduce((s, [, ml]) => s + ml, 0);
  return (
    <p className="mt-3">
      <b>{msg("{total} in all:", { total: millilitres(total) })}</b>{" "}
      {rows
        .filter(([, ml]) => ml > 0.05)
        .map(([word, ml]) => `${millilitres(ml)} ${word}`)
        .join(", ")}
      .
    </p>
  );
}

function BeadPanel({ pour, putty }: { pour: Api["Pour"]; putty: boolean }) {
  const id = useId();
  const { system } = usePreferences();
  const high = useRules().data?.values.find((v) => v.id === "mix.puddle-height")?.value;
  const [bead, setBead] = useState<number>();
  const [puddle, setPuddle] = useState<number>();
  const asked = { puddleMm: puddle ?? pour.puddleMm, beadMm: bead ?? pour.beadMm };
  const answer = useTold({
    queryKey: ["bead", asked.puddleMm, asked.beadMm],
    queryFn: () => ask<Api["BeadView"]>(`/api/bead?puddleMm=${asked.puddleMm}&beadMm=${asked.beadMm}`),
    enabled: bead !== undefined || puddle !== undefined,
    retry: false,
    placeholderData: (last) => last,
  });
  const r = 64;
  const half = (asked.beadMm / asked.puddleMm) * r;
  return (
    <div className="p-4">
      <h3 className="hd">{msg("No scale: bead and puddle")}</h3>
      <div className="mt-2 grid grid-cols-[140px_1fr] gap-3">
        <svg width="140" height="140" aria-hidden="true">
          <Hatches id={id} />
          <circle
            cx="70"
            cy="70"
            r={r}
            fill={`url(#${id}-${putty ? "finish" : "fill"})`}
            stroke="var(--ink)"
            strokeWidth="1.5"
          />
          <rect
            x={70 - Math.min(half, 69)}
            y="66"
            width={2 * Math.min(half, 69)}
            height="8"
            rx="4"
            fill="var(--cream)"
            stroke="var(--ink)"
          />
        </svg>
        <div>
          <div className="lab">
            {high === undefined ? msg("Puddle") : msg("Puddle, {high} high", { high: length(high, system) })}
          </div>
          <div className="n text-28 font-semibold">{length(pour.puddleMm, system)}</div>
          <div className="lab mt-2">{msg("Bead for {percent}", { percent: percent(pour.percent) })}</div>
          <div className="n text-28 font-semibold">{length(pour.beadMm, system)}</div>
        </div>
      </div>
      <p className="mt-2 font-bold">
        {msg("A bead half the puddle wide would give {halfBeadPercent}.", {
          halfBeadPercent: percent(pour.halfBeadPercent),
        })}
      </p>
      <div className="mt-2 grid grid-cols-2 gap-2">
        <Measure label={msg("Try a puddle")} quantity="length" value={puddle} onChange={setPuddle} />
        <Measure label={msg("Try a bead")} quantity="length" value={bead} onChange={setBead} />
      </div>
      {(bead !== undefined || puddle !== undefined) && (
        <p className="mt-2" role="status">
          {answer.isError ? (
            <span className="font-bold text-oxide-text">{answer.error.message}</span>
          ) : answer.data ? (
            <>
              <b className="n text-20">{percent(answer.data.percent)}</b>{" "}
              {msg("of cream. {said}", { said: answer.data.said })}{" "}
              {answer.data.workFactor !== undefined &&
                msg("Times go × {workFactor}. ", { workFactor: answer.data.workFactor.toFixed(2) })}
              {msg("Right for {nominalPercent}: {rightBeadMm}.", {
                nominalPercent: percent(answer.data.nominalPercent),
                rightBeadMm: length(answer.data.rightBeadMm, system),
              })}
            </>
          ) : null}
        </p>
      )}
    </div>
  );
}

function Routes({ mix, on, frozen }: { mix: Api["MixPlan"]; on: DraftOnScreen; frozen: boolean }) {
  return (
    <div className="firm-t firm-b grid grid-cols-2 divide-x divide-hair">
      {mix.routes.map((r) => {
        const chosen = r.kind === mix.route.kind;
        const lamp = r.kind === "LAMP";
        const cures = r.sandFromMin !== undefined;
        return (
          <button
            key={r.kind}
            type="button"
            aria-pressed={chosen}
            disabled={frozen || !cures}
            className={`text-left ${chosen ? "outline-violet outline-3 -outline-offset-3" : ""}`}
            onClick={() => on.change((d) => ({ ...d, dryings: { ...d.dryings, [mix.id]: r.kind } }))}
          >
            <Big
              small
              label={`${lamp ? msg("Under the lamp") : msg("In the shop's air")}${chosen ? msg(", planned") : ""}`}
              value={r.sandFromMin !== undefined ? minutes(r.sandFromMin) : msg("does not cure")}
              note={
                lamp && cures
                  ? msg("ramp {rampMin}, hold {holdMin}, cool {coolMin} min. {note}", {
                      rampMin: Math.ceil(r.rampMin),
                      holdMin: Math.ceil(r.holdMin),
                      coolMin: Math.ceil(r.coolMin),
                      note: r.note,
                    })
                  : r.note ||
                    (mix.law.fitted
                      ? msg("from the label's own times")
                      : msg("by the usual law of temperature: recalled, verify"))
              }
            />
          </button>
        );
      })}
    </div>
  );
}
