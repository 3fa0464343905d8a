import { msg } from "../../messages/messages";
import type { Api } from "../../api/client";
import { ClockRule, isDeadline } from "../../marks/clock-rule";
import { useSize } from "../../marks/use-size";
import { moment, stretch } from "../../units/units";

/** The clock of the step in hand as a rule that is used up from the left. */
export function ClockBand({
  clock,
  of,
  now,
  zone,
}: {
  clock: Api["LiveClock"];
  of: string;
  now: number;
  zone: string;
}) {
  const [ref, { width }] = useSize();
  const used = Math.max(0, (now - Date.parse(clock.startedAt)) / 1000);
  const by = isDeadline(clock);
  return (
    <div ref={ref} className="firm-t bg-ground relative h-[88px] shrink-0 overflow-hidden" data-clock>
      {width > 0 && <ClockRule clock={clock} now={now} width={width} height={64} numbers />}
      <span className="n absolute bottom-0 left-4 text-16 font-semibold text-muted max-sm:hidden sm:left-8">
        {msg("{used} used", { used: stretch(used, "down") })}
      </span>
      <span className={`n absolute right-4 bottom-0 text-20 font-bold ${by ? "text-oxide-text" : ""}`}>
        {clock.endsAt ? `${clock.label} ${moment(clock.endsAt, now, zone, by ? "down" : "up")}` : msg("never")}
        {clock.neededMin > 0 && (
          <>
            <span className="ml-4 font-semibold text-ink max-sm:hidden">
              {msg("{of} {share} % at last look", { of, share: reached(clock) })}
            </span>
            <span className="ml-3 font-semibold text-ink sm:hidden">{`${reached(clock)}\u202f%`}</span>
          </>
        )}
      </span>
    </div>
  );
}

/** How much of what it needs it has, in %. */
const reached = (clock: Api["LiveClock"]) => Math.min(999, Math.floor((clock.agedMin / clock.neededMin) * 100));
