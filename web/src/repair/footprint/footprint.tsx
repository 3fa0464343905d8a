import { msg } from "../../messages/messages";
import { Slider } from "radix-ui";
import { useId } from "react";
import type { Api } from "../../api/client";
import { Hatches, Swatch } from "../../marks/hatch";
import { usePreferences } from "../../shell/preferences";
import { length } from "../../units/units";
import { ZONE_HATCH } from "../drawing/zone-hatch";
import { litByZone, useLit } from "../drawing/lit";
import { Head } from "../sheet";
import type { DraftOnScreen } from "../use-draft";
import { NotYet } from "../verdict/verdict";

const area = (mm2: number, system: "metric" | "inch") =>
  system === "metric"
    ? mm2 < 500
      ? `${Math.round(mm2)}\u202fmm²`
      : `${Math.round(mm2 / 100)}\u202fcm²`
    : `${(mm2 / 645.16).toFixed(mm2 < 500 ? 2 : 1)}\u202fin²`;

/** Face before back, outer before inner. */
const outerFirst = (a: Api["DrawnZone"], b: Api["DrawnZone"]) =>
  a.side === b.side ? b.areaMm2 - a.areaMm2 : a.side === "FACE" ? -1 : 1;

/** Station 5: how far out each zone goes, and where the cut A–A lies. */
export function FootprintStation({
  on,
  workup,
  frozen,
}: {
  on: DraftOnScreen;
  workup: Api["Workup"] | undefined;
  frozen: boolean;
}) {
  const id = useId();
  const { system } = usePreferences();
  const { lit, light, heights, setHeights } = useLit();
  if (!workup) return <NotYet what={msg("a footprint")} />;
  const { drawing } = workup;
  if (!drawing.section) {
    return (
      <div className="p-4">
        <p className="text-20">{msg("Zones and the cut appear once the part has damage and a stack is settled.")}</p>
      </div>
    );
  }
  const cut = on.draft?.cutYMm ?? drawing.section.cutYMm;
  return (
    <>
      <svg className="absolute size-0" aria-hidden="true">
        <Hatches id={id} />
      </svg>
      <Head title={msg("Zones")}>{msg("past the damage, area")}</Head>
      <ul>
        {[...drawing.zones].sort(outerFirst).map((z) => (
          <li
            key={z.kind}
            className={`flex min-h-12 items-center gap-3 border-b border-hair px-4 ${lit.zone === z.kind ? "outline-violet outline-3 -outline-offset-3" : ""}`}
            onPointerEnter={() => light(litByZone(z.kind))}
            onPointerLeave={() => light({})}
          >
            <Swatch id={id} hatch={ZONE_HATCH[z.kind]} size={20} />
            <span className="min-w-0 flex-1">
              <span className="hd block">{z.word}</span>
              <span className="lab block">{z.note}</span>
            </span>
            <span className="n text-right font-semibold">
              {z.pastMm === 0 ? "" : length(z.pastMm, system)}
              <span className="lab block">{area(z.areaMm2, system)}</span>
            </span>
          </li>
        ))}
      </ul>
      <Head title={msg("Cut A to A")}>{msg("{cut} up", { cut: length(cut, system) })}</Head>
      <div className="no-print px-4 py-3">
        <Slider.Root
          className="relative flex h-14 w-full touch-none items-center"
          min={0}
          max={drawing.heightMm}
          step={1}
          disabled={frozen}
          value={[cut]}
          onValueChange={([v]) => on.change((d) => ({ ...d, cutYMm: v }))}
        >
          <Slider.Track className="bg-ground firm relative h-4 grow">
            <Slider.Range className="absolute h-full bg-[var(--hair)]" />
          </Slider.Track>
          <Slider.Thumb className="bg-ink block h-14 w-6 rounded-[2px]" aria-label={msg("Height of the cut")} />
        </Slider.Root>
        {!frozen && on.draft?.cutYMm !== undefined && (
          <button
            type="button"
            className="btn mt-2 w-full"
            onClick={() => on.change((d) => ({ ...d, cutYMm: undefined }))}
          >
            {msg("Back to the middle of it")}
          </button>
        )}
      </div>
      <div className="no-print">
        <Head title={msg("Heights in the cut")} />
      </div>
      <div className="no-print grid grid-cols-4 gap-1.5 px-4 py-3" role="group" aria-label={msg("Heights in the cut")}>
        {[0, 1, 5, 20].map((times) => (
          <button
            key={times}
            type="button"
            aria-pressed={heights === times}
            className={`firm n min-h-14 font-semibold ${heights === times ? "bg-ink text-sheet" : ""}`}
            onClick={() => setHeights(times)}
          >
            {times === 0 ? msg("fit") : `× ${times}`}
          </button>
        ))}
      </div>
      {drawing.flags.length > 0 && (
        <>
          <Head title={msg("Lines, edges, room")} />
          <ul className="flex flex-col gap-2 p-4">
            {drawing.flags.map((f) => (
              <li key={f}>{f}</li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}
