import type { Api } from "../../api/client";

type Watch = Api["Watch"];
type Reading = Api["Reading"];
type Step = Api["Step"];
export type Stop = Api["Stop"];
export type Finding = Api["ReadingFinding"];

const SAME = 1e-9;

/** Dew point in °C by the Magnus formula, b 17.62 and c 243.12 °C (WMO-No. 8); `rhPercent` above 0. */
export function dewPointC({ tempC, rhPercent }: Api["Air"]): number {
  const g = Math.log(rhPercent / 100) + (17.62 * tempC) / (243.12 + tempC);
  return (243.12 * g) / (17.62 - g);
}

const values = (readings: readonly Reading[], at: string, quantity: Reading["quantity"]) =>
  readings.filter((r) => r.step === at && r.quantity === quantity).map((r) => r.value);

/** For dew the coldest surface that holds in the air that was read here, to the tenth that a thermometer shows. */
function limitOf(w: Watch, at: string, readings: readonly Reading[], air: Api["Air"]): number {
  if (w.sense !== "OVER_DEW") return w.limit;
  const tempC = values(readings, at, "AIR_C").at(-1) ?? air.tempC;
  const rhPercent =
    values(readings, at, "RH_PERCENT")
      .filter((v) => v > 0)
      .at(-1) ?? air.rhPercent;
  return Math.ceil((dewPointC({ tempC, rhPercent }) + w.limit) * 10 - SAME) / 10;
}

function met(w: Watch, value: number, limit: number): boolean {
  if (w.sense === "AT_MOST") return value <= limit + SAME;
  if (w.sense === "PLANNED") return Math.abs(value - limit) <= SAME;
  return value >= limit - SAME;
}

const plannedOf = (step: Step, w: Watch) =>
  step.watches.find((x) => x.sense === "PLANNED" && x.quantity === w.quantity)?.limit;

function finding(w: Watch, step: Step, at: string, value: number, more: number, limit: number): Finding {
  const weight = met(w, value, limit) ? "FINE" : w.weight;
  return { step: at, watch: w, weight, value, limit, planned: plannedOf(step, w), more };
}

/** What the newest readings at a step say: of each quantity all that is not met, else what holds by least. */
export function findingsAt(step: Step, at: string, readings: readonly Reading[], air: Api["Air"]): Finding[] {
  const quantities = [...new Set(step.watches.map((w) => w.quantity))];
  return quantities.flatMap((q) => {
    const all = step.watches
      .filter((w) => w.quantity === q)
      .flatMap((w) => {
        const read = values(readings, at, q);
        const last = read.slice(-w.passes);
        if (last.length === 0) return [];
        const value = w.sense === "AT_MOST" ? Math.max(...last) : Math.min(...last);
        return [finding(w, step, at, value, Math.max(0, w.passes - read.length), limitOf(w, at, readings, air))];
      });
    const off = all.filter((f) => f.weight !== "FINE");
    if (off.length > 0) return off;
    const planned = (f: Finding) => (f.watch.sense === "PLANNED" ? 1 : 0);
    return all
      .toSorted((a, b) => planned(a) - planned(b) || Math.abs(a.value - a.limit) - Math.abs(b.value - b.limit))
      .slice(0, 1);
  });
}

export const stopping = (weight: Api["Watch"]["weight"]) => weight === "STOP" || weight === "NEVER";

/** The stops after `r` was read at `step`; `readings` holds it and all before it. */
export function stopsAfter(
  stops: readonly Stop[],
  r: Reading,
  step: Step,
  readings: readonly Reading[],
  air: Api["Air"],
): Stop[] {
  let open = [...stops];
  for (const w of step.watches) {
    const dew = w.sense === "OVER_DEW" && (r.quantity === "AIR_C" || r.quantity === "RH_PERCENT");
    if (!stopping(w.weight) || !(w.quantity === r.quantity || dew)) continue;
    const value = values(readings, r.step, w.quantity).at(-1);
    if (value === undefined) continue;
    const f = finding(w, step, r.step, value, 0, limitOf(w, r.step, readings, air));
    const standing = open.find((s) => s.watch === w.id);
    if (stopping(f.weight)) {
      const raised: Stop = {
        event: r.event,
        step: r.step,
        watch: w.id,
        weight: w.weight,
        care: w.care,
        loop: w.loop,
        title: w.title,
        follows: w.follows,
        finding: f,
        since: standing?.since ?? r.at,
        by: r.by,
        more: w.passes,
      };
      open = standing ? open.map((s) => (s === standing ? raised : s)) : [...open, raised];
    } else if (standing && standing.more > 1) {
      open = open.map((s) => (s === standing ? { ...s, more: s.more - 1 } : s));
    } else {
      open = open.filter((s) => s !== standing);
    }
  }
  return open;
}

/** The stop that a gate raises by its own answer. */
export const answered = (step: string, branch: Api["Branch"], event: string, at: string): Stop => ({
  event,
  step,
  watch: "",
  weight: branch.weight,
  care: false,
  loop: "",
  title: branch.label,
  follows: branch.note,
  since: at,
  by: "",
  more: 1,
});

/** Whether rework `loop` may be walked: every stop that stands leaves it open. */
export const leaves = (stops: readonly Stop[], loop: string) => stops.every((s) => s.loop === loop);
