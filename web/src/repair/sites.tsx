import { msg } from "../messages/messages";
import type { Api } from "../api/client";
import type { Station } from "./stations";

/** One of several sites of a part, each mended its own way in one plan. */
export type Site = Api["Site"];

/** What {@code step} is done at, as said; empty where that is the whole part. */
export const siteOf = (sites: readonly Site[], step: Api["Step"]) =>
  sites
    .filter((s) => step.sites.includes(s.id))
    .map((s) => s.said)
    .join(", ");

/** The drawing that a step is looked at on: its site's own, or the whole part. */
export const drawingOf = (workup: Api["Workup"], step: Api["Step"]) =>
  (step.sites.length === 1 && workup.sites.find((s) => s.id === step.sites[0])?.drawing) || workup.drawing;

/** Stack and footprint are looked at site by site; the drawing shows the whole part elsewhere, until a site is picked. */
export const bySite = (station: Station) => station === "stack" || station === "footprint";

/** Which of the sites {@code station} is looked at for, {@code id} being the one that was picked last. */
export const pickedSite = (sites: readonly Site[], id: string | undefined, station: Station) =>
  sites.find((s) => s.id === id)?.id ?? (bySite(station) ? sites[0]?.id : undefined);

/** The workup as one site has it, the first where none was picked; all of it where there are no sites. */
export function atSite(workup: Api["Workup"], id: string | undefined): Api["Workup"] {
  const site = workup.sites.find((s) => s.id === id);
  return site ? { ...workup, drawing: site.drawing, stack: site.stack } : workup;
}

/** The plan lot by lot: what each site mixes, takes, waits for and sands by itself; the whole of it where there is one. */
export function lotsOf(plan: Api["Plan"], sites: readonly Site[]): { said: string; plan: Api["Plan"] }[] {
  if (sites.length === 0) return [{ said: "", plan }];
  const at = (uses: (s: Api["Step"]) => boolean) => plan.steps.find((s) => uses(s.step))?.step.sites[0] ?? sites[0]?.id;
  return sites.map(({ id, said }) => ({
    said,
    plan: {
      ...plan,
      mixes: plan.mixes.filter((m) => at((s) => s.mix === m.id) === id),
      portions: plan.portions.filter((p) => at((s) => s.portion === p.id) === id),
      waits: plan.waits.filter((w) => at((s) => s.clock?.waitId === w.id) === id),
      ladder: { ...plan.ladder, rungs: plan.ladder.rungs.filter((r) => at((s) => s.id === r.id) === id) },
    },
  }));
}

/** Which site is looked at: each by its damage, and the whole part where that says more. */
export function SitePick({
  sites,
  at,
  whole,
  onPick,
}: {
  sites: readonly Site[];
  at: string | undefined;
  /** Whether the whole part can be picked too. */
  whole: boolean;
  onPick: (id: string | undefined) => void;
}) {
  if (sites.length === 0) return null;
  return (
    <div
      className="no-print firm-b bg-ground flex shrink-0 gap-2 p-2 max-[1099px]:overflow-x-auto min-[1100px]:flex-wrap"
      role="group"
      aria-label={msg("Sites")}
    >
      {whole && (
        <button
          type="button"
          aria-pressed={at === undefined}
          className={`firm n min-h-14 shrink-0 px-4 font-semibold ${at === undefined ? "bg-ink text-sheet" : "bg-sheet"}`}
          onClick={() => onPick(undefined)}
        >
          {msg("Whole part")}
        </button>
      )}
      {sites.map((s) => (
        <button
          key={s.id}
          type="button"
          aria-pressed={at === s.id}
          className={`firm n min-h-14 shrink-0 px-4 font-semibold ${at === s.id ? "bg-ink text-sheet" : "bg-sheet"}`}
          onClick={() => onPick(s.id)}
        >
          {s.said}
        </button>
      ))}
    </div>
  );
}
