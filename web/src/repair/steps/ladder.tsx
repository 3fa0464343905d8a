import { msg } from "../../messages/messages";
import { useId } from "react";
import type { Api } from "../../api/client";
import { useCatalogue } from "../../api/queries";
import { grainOf, Hatches, Swatch } from "../../marks/hatch";
import { useSize } from "../../marks/use-size";
import { micrometres, minutes } from "../../units/units";
import { ZONE_HATCH } from "../drawing/zone-hatch";
import { litByZone, useLit } from "../drawing/lit";
import { Head } from "../sheet";

const HEIGHT = 170;

/** The layer that a rung's step works on, where it names one. */
const litByRung = (step: Api["Step"] | undefined) => (step?.layer ? { layer: step.layer } : {});

/** Papers in order, on a log scale of their grain; before each the guide coat. */
export function LadderPanel({ plan }: { plan: Api["Plan"] }) {
  const { ladder } = plan;
  const steps = new Map(plan.steps.map((s) => [s.step.id, s.step]));
  const tools = useCatalogue().data?.tools ?? [];
  const id = useId();
  const [ref, { width }] = useSize();
  const { lit, light } = useLit();
  const n = Math.max(1, ladder.rungs.length);
  const left = 58;
  const cell = (width - left) / n;
  const grains = ladder.rungs.map((r) => r.grainUm);
  const top = Math.max(...grains, 220) * 1.1;
  const bottom = Math.min(...grains, 46) / 1.15;
  const stages = ladder.rungs.filter((r, i) => r.stage !== ladder.rungs[i - 1]?.stage);
  const y = (um: number) => 16 + ((Math.log(top) - Math.log(um)) / (Math.log(top) - Math.log(bottom))) * (HEIGHT - 34);
  if (ladder.rungs.length === 0) {
    return (
      <section>
        <Head title={msg("Sanding ladder")} />
        <p className="px-4 py-3 first-letter:uppercase">{ladder.missing || `${ladder.school}.`}</p>
      </section>
    );
  }
  return (
    <section>
      <Head title={msg("Sanding ladder")}>
        {msg("{school}: no paper more than × {ratioLimit} finer than the last; {minutes} hands on", {
          school: ladder.school,
          ratioLimit: ladder.ratioLimit,
          minutes: minutes(ladder.minutes),
        })}
      </Head>
      <div ref={ref} className="w-full">
        {width > 0 && (
          <svg width={width} height={HEIGHT} aria-hidden="true">
            <Hatches id={id} />
            {[800, 400, 200, 100, 60, 40, 20, 10]
              .filter((um) => um < top && um > bottom)
              .map((um) => (
                <g key={um}>
                  <path d={`M${left} ${y(um)}H${width}`} stroke="var(--hair)" />
                  <text x={left - 8} y={y(um) + 5} textAnchor="end">
                    {um}
                  </text>
                </g>
              ))}
            <path d={`M${left} 0V${HEIGHT}`} stroke="var(--ink)" strokeWidth="1.5" />
            {ladder.rungs.map((r, i) => {
              const x = left + i * cell;
              const next = ladder.rungs[i + 1];
              return (
                <g key={r.id}>
                  {next && (
                    <path
                      d={`M${x + cell} ${y(r.grainUm)}V${y(next.grainUm)}`}
                      stroke="var(--ink)"
                      strokeWidth={next.stage !== r.stage ? 1.5 : 4}
                      strokeDasharray={next.stage !== r.stage ? "3 4" : undefined}
                    />
                  )}
                  <rect
                    x={x + 1}
                    y={y(r.grainUm) - 9}
                    width={cell - 2}
                    height="18"
                    fill={`url(#${id}-${grainOf(r.paper)})`}
                    stroke={lit.step === r.id ? "var(--violet)" : "var(--ink)"}
                    strokeWidth={lit.step === r.id ? 4 : 1.5}
                  />
                  {r.ratio > 1 && (
                    <text x={x + 4} y={y(r.grainUm) - 14} style={{ fontWeight: 600 }}>
                      × {r.ratio.toFixed(2)}
                    </text>
                  )}
                </g>
              );
            })}
            {/* Bars go down to the right: its upper corner stays free. */}
            <text x={width - 8} y={16} textAnchor="end" style={{ fill: "var(--muted)" }}>
              {msg("median grain, µm, log scale")}
            </text>
          </svg>
        )}
      </div>
      {/* Under the bars where they are wide enough for words, else one below the other. */}
      <div className="firm-t firm-b flex max-[899px]:flex-col min-[900px]:pl-[58px]">
        {ladder.rungs.map((r) => (
          <div
            key={r.id}
            className={`min-w-0 flex-1 border-hair px-2 py-2 wrap-break-word max-[899px]:border-b min-[900px]:border-l ${lit.step === r.id ? "outline-violet outline-3 -outline-offset-3" : ""}`}
            onPointerEnter={() => light({ ...litByZone(r.zone), ...litByRung(steps.get(r.id)), step: r.id })}
            onPointerLeave={() => light({})}
          >
            <div className="flex flex-wrap items-baseline gap-x-3 min-[900px]:justify-between min-[900px]:gap-x-1">
              <span className="n text-28 font-semibold" style={{ fontStretch: "85%" }}>
                {r.grade}
              </span>
              <span className="n font-semibold">{minutes(r.minutes)}</span>
            </div>
            {stages.includes(r) && <div className="lab font-bold">{r.stage}</div>}
            <div className="hd">{tools.find((t) => t.tool === r.tool)?.word}</div>
            <div className="lab">{r.motion}</div>
            <div className="lab mt-1 [&>svg]:mr-1.5 [&>svg]:inline-block [&>svg]:align-text-bottom">
              <Swatch id={id} hatch={ZONE_HATCH[r.zone]} size={16} />
              {r.sign}
            </div>
            {(r.note || steps.get(r.id)?.acts.includes("GUIDE")) && (
              <div className="lab mt-1 [&>svg]:mr-1.5 [&>svg]:inline-block [&>svg]:align-text-bottom">
                <Swatch id={id} hatch="guide" size={16} />{" "}
                {r.note ? msg("sanded {note}", { note: r.note }) : msg("guide coat first")}
              </div>
            )}
            <div className="lab mt-1">
              {r.grading === "P" ? msg("P grade") : r.grading}, {micrometres(r.grainUm)};{" "}
              {msg("{n, plural, one {# sheet} other {# sheets}}", { n: r.discs })}
            </div>
          </div>
        ))}
      </div>
      <p className="px-4 py-3">
        {ladder.rungs.at(-1)?.note
          ? msg("Scratch left after the last paper: about {depth} (recalled, verify); polish takes it out.", {
              depth: micrometres(ladder.scratchLeftUm),
            })
          : msg("Scratch left after the last paper: about {depth} (recalled, verify); primer surfacer fills it.", {
              depth: micrometres(ladder.scratchLeftUm),
            })}
        {ladder.missing && <b className="text-oxide-text"> {ladder.missing}</b>}
      </p>
    </section>
  );
}
