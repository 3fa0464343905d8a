import { msg, within } from "../../messages/messages";
import { ShoppingBasket, TriangleAlert } from "lucide-react";
import { useId } from "react";
import type { Api } from "../../api/client";
import { useRules, useShelf } from "../../api/queries";
import { Hatches, type HatchName, Swatch } from "../../marks/hatch";
import { usePreferences } from "../../shell/preferences";
import { length, minutes, stretch } from "../../units/units";
import { useLit } from "../drawing/lit";
import { Head } from "../sheet";
import type { DraftOnScreen } from "../use-draft";
import { DaylightFields } from "./daylight";
import { amount } from "../../units/amount";

const FORM: Record<Api["Portion"]["form"], string> = {
  CARTRIDGE: msg("from a cartridge"),
  HAND_MIXED: msg("mixed by hand"),
  LAMINATE: msg("mixed by weight"),
  BEAD: msg("as a bead"),
  DROPS: msg("in drops"),
  GEL: "gel",
  BRUSHED: msg("brushed on"),
  SPRAYED: "sprayed",
  WIPED: "wiped",
  CUT: msg("cut to shape"),
  PIECES: msg("by the piece"),
};

/** Everything that is not filler and cream: how much, in the form it comes in. */
export function PortionsPanel({ plan }: { plan: Api["Plan"] }) {
  const id = useId();
  const { lit, light } = useLit();
  const { system } = usePreferences();
  const classes = useRules().data?.classes;
  const shelf = useShelf().data;
  const hatch = (item: string): HatchName => {
    const kind = shelf?.find((l) => l.item.id === item)?.item.classId;
    const known = classes?.find((c) => c.id === kind)?.hatch;
    return known && known !== "grain" ? (known as HatchName) : "clean";
  };
  const figure = (value: number, unit: string) => (unit === "mm" ? length(value, system) : amount(value, unit, system));
  if (plan.portions.length === 0) return null;
  const stepOf = (p: Api["Portion"]) => plan.steps.find((s) => s.step.portion === p.id)?.step;
  return (
    <section>
      <svg className="absolute size-0" aria-hidden="true">
        <Hatches id={id} />
      </svg>
      <Head title={msg("Amounts")}>{msg("by job")}</Head>
      <ul>
        {plan.portions.map((p) => {
          const step = stepOf(p);
          const on = step !== undefined && lit.step === step.id;
          return (
            <li
              key={p.id}
              className={`grid grid-cols-[1fr_170px] gap-4 border-b border-hair px-4 py-3 ${on ? "outline-violet outline-3 -outline-offset-3" : ""}`}
              onPointerEnter={() =>
                light(step ? { step: step.id, zone: step.zone, layer: step.layer || undefined } : {})
              }
              onPointerLeave={() => light({})}
            >
              <div className="min-w-0">
                <div className="flex items-center gap-2.5">
                  <Swatch id={id} hatch={hatch(p.itemId)} size={20} />
                  <span className="hd">{p.title}</span>
                  <span className="lab">
                    {msg("{material}, lot {lot}, {FORM}", { material: p.material, lot: p.lot, FORM: FORM[p.form] })}
                  </span>
                </div>
                <dl className="mt-2 grid grid-cols-[repeat(auto-fill,minmax(150px,1fr))] gap-x-4 gap-y-1.5">
                  {p.figures.map((f) => (
                    <div key={f.word}>
                      <dt className="lab">{f.word}</dt>
                      <dd className="n text-20 font-semibold">{figure(f.value, f.unit)}</dd>
                      {f.note && <dd className="lab">{f.note}</dd>}
                    </div>
                  ))}
                </dl>
                {p.notes.map((n) => (
                  <p key={n} className="mt-1.5">
                    {n}
                  </p>
                ))}
              </div>
              <div className="text-right">
                <div className="n text-28 font-semibold">{amount(p.needed, p.unit, system)}</div>
                {p.workMin > 0 && (
                  <div className="lab">
                    {msg("work {workMin}, on the part by {onPartByMin}", {
                      workMin: stretch(p.workMin * 60, "down"),
                      onPartByMin: stretch(p.onPartByMin * 60, "down"),
                    })}
                    {p.batches > 1 && msg(", {batches} goes", { batches: p.batches })}
                  </div>
                )}
              </div>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** What the plan takes from the shelf in all, and what is short. */
export function ShoppingPanel({ lines }: { lines: readonly Api["Shopping"][] }) {
  const { system } = usePreferences();
  if (lines.length === 0) return null;
  const short = lines.filter((l) => !l.enough);
  return (
    <section>
      <Head title={msg("From the shelf")}>
        {short.length === 0 ? msg("all there") : msg("{short} short", { short: short.length })}
      </Head>
      <ul>
        {[...short, ...lines.filter((l) => l.enough)].map((l) => (
          <li key={l.itemId} className="flex min-h-12 items-center gap-3 border-b border-hair px-4 py-1.5">
            {l.enough ? (
              <ShoppingBasket size={20} aria-hidden="true" />
            ) : (
              <TriangleAlert className="text-oxide" size={20} aria-label={msg("Short")} />
            )}
            <span className="min-w-0 flex-1">
              <span className="hd">{l.material}</span> <span className="lab">{msg("lot {lot}", { lot: l.lot })}</span>
              {l.said && <span className="block font-bold text-oxide-text">{l.said}</span>}
            </span>
            <span className="n font-semibold">
              {amount(Math.round(l.needed * 10) / 10, l.unit, system)}
              <span className="lab">
                {" "}
                {msg("of {have}", { have: amount(Math.round(l.have * 10) / 10, l.unit, system) })}
              </span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

const HANDS: Record<Api["DryingRoute"]["kind"], string> = {
  AIR: msg("nothing to set up"),
  LAMP: msg("takes the lamp, and a hand to set it and watch"),
  OVEN: msg("takes the oven; the part must fit and be off the vehicle"),
  SUN: msg("takes the part into direct sun"),
  CLOUD: msg("takes the part into open daylight"),
  UV_LAMP: msg("takes the UV lamp"),
};

const BY: Record<Api["DryingRoute"]["kind"], string> = {
  AIR: msg("In the shop's air"),
  LAMP: msg("Under the lamp"),
  OVEN: msg("In the oven"),
  SUN: msg("In the sun"),
  CLOUD: msg("Under cloud"),
  UV_LAMP: msg("UV lamp"),
};

/** Minutes to sanding; a way that does not cure comes after all others. */
const soonest = (r: Api["DryingRoute"]) => r.sandFromMin ?? Number.MAX_VALUE;

/** Which way is ready first, and by how much sooner than the one that is planned. */
export function Quickest({ routes, planned }: { routes: readonly Api["DryingRoute"][]; planned: Api["DryingRoute"] }) {
  const first = [...routes].sort((a, b) => soonest(a) - soonest(b))[0];
  const saves = first ? Math.floor(soonest(planned) - soonest(first)) : 0;
  if (!first || saves < 1) return null;
  return (
    <p className="mt-1">
      <b>{msg("Quickest: {by}", { by: first.kind === "UV_LAMP" ? msg("the UV lamp") : within(BY[first.kind]) })}</b>
      {msg(", ready {time} sooner; {what}.", { time: minutes(saves), what: HANDS[first.kind] })}
    </p>
  );
}

/** Every wait with its ways to cure side by side; tapping one plans it. */
export function WaitsPanel({ plan, on, frozen }: { plan: Api["Plan"]; on: DraftOnScreen; frozen: boolean }) {
  const mixed = new Set(plan.mixes.map((m) => m.id));
  const waits = plan.waits.filter((w) => !mixed.has(w.id));
  if (waits.length === 0) return null;
  return (
    <section>
      <Head title={msg("Waits")}>{msg("by today’s air")}</Head>
      {waits.map((w) => (
        <div key={w.id} className="border-b border-hair px-4 py-3">
          <div className="flex flex-wrap items-baseline justify-between gap-x-4">
            <span className="hd">{w.title}</span>
            <span className="lab">
              {w.material}; {w.source}
            </span>
          </div>
          <Quickest routes={w.routes} planned={w.route} />
          <div className="mt-2 grid grid-cols-[repeat(auto-fit,minmax(170px,1fr))] gap-1.5">
            {w.routes.map((r) => {
              const planned = r.kind === w.route.kind;
              const cures = r.sandFromMin !== undefined;
              return (
                <button
                  key={r.kind}
                  type="button"
                  aria-pressed={planned}
                  disabled={frozen || !cures || w.routes.length === 1}
                  className={`firm min-h-14 px-3 py-1.5 text-left ${planned ? "bg-ink text-sheet" : ""}`}
                  onClick={() => on.change((d) => ({ ...d, dryings: { ...d.dryings, [w.id]: r.kind } }))}
                >
                  <span className="text-14 block">
                    {BY[r.kind]}
                    {planned ? msg(", planned") : ""}
                  </span>
                  <span className="n block text-20 font-semibold">
                    {r.sandFromMin !== undefined
                      ? minutes(r.sandFromMin)
                      : on.draft?.lightAt && r.kind !== "UV_LAMP"
                        ? msg("not then")
                        : msg("not today")}
                  </span>
                  {(!cures || w.routes.length > 1) && (
                    <span className="text-14 block">
                      {cures && r.rampMin > 0
                        ? msg("ramp {rampMin}, hold {holdMin}, cool {coolMin} min; ", {
                            rampMin: Math.ceil(r.rampMin),
                            holdMin: Math.ceil(r.holdMin),
                            coolMin: Math.ceil(r.coolMin),
                          })
                        : ""}
                      {cures ? HANDS[r.kind] : r.note}
                    </span>
                  )}
                </button>
              );
            })}
          </div>
          {w.routes.some((r) => r.kind === "SUN") && <DaylightFields on={on} frozen={frozen} />}
          <p className="lab mt-1.5">{msg("Clock and sign: {sign}", { sign: w.sign })}</p>
        </div>
      ))}
    </section>
  );
}

/** Clear coat left after each grade. */
export function BudgetPanel({ budget }: { budget: Api["FilmBudget"] | undefined }) {
  if (!budget) return null;
  const top = budget.soundUm;
  return (
    <section>
      <Head title={msg("Film budget")}>{msg("recalled, verify with the gauge")}</Head>
      <p className="px-4 pt-3 text-20 font-bold">{budget.said}</p>
      <p className="n px-4 font-semibold">
        {msg("{toLevelUm} µm to level. The gauge shows {underUm} µm more than the clear: what lies beneath it.", {
          toLevelUm: Math.round(budget.toLevelUm),
          underUm: Math.round(budget.underUm),
        })}
      </p>
      <ul className="px-4 py-3">
        {[{ paper: "before", um: top }, ...budget.left].map((l) => (
          <li key={l.paper} className="grid grid-cols-[76px_1fr_84px] items-center gap-3 py-1">
            <span className="n font-semibold">{l.paper}</span>
            <span className="firm relative block h-6">
              <span
                className="bg-[var(--hair)] absolute inset-y-0 left-0"
                style={{ width: `${(l.um / top) * 100}%` }}
              />
              <span
                className="bg-oxide absolute inset-y-[-4px] w-[3px]"
                style={{ left: `${(budget.leastUm / top) * 100}%` }}
              />
            </span>
            <span className="n text-right font-semibold">{msg("{um} µm", { um: Math.round(l.um) })}</span>
          </li>
        ))}
      </ul>
      <p className="lab px-4 pb-3">
        {msg("Red post: {leastUm} µm must stay.", { leastUm: Math.round(budget.leastUm) })}
      </p>
    </section>
  );
}
