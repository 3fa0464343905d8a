import { msg } from "../messages/messages";
import { useEffect } from "react";
import { Link } from "react-router";
import type { Api } from "../api/client";
import { useNow } from "../api/clock";
import { useBench } from "../api/queries";
import { ClockRule, isDeadline, secondsLeft } from "../marks/clock-rule";
import { useOutbox } from "../repair/run/outbox";
import { stretch, temperature, moment } from "../units/units";
import { usePreferences } from "./preferences";
import { AirDialog } from "./air-dialog";
import { firstName } from "./first-name";
import { speak, wordsAt } from "./spoken";
import { titleBiting } from "./title";
import { tone } from "./tone";

interface Biting {
  live: Api["LiveView"];
  clock: Api["LiveClock"];
}

/** Live clocks of all repairs, what bites first comes first. */
export function biting(bench: Api["BenchView"] | undefined, except?: number): Biting[] {
  return (bench?.live ?? [])
    .filter((live) => live.id !== except)
    .flatMap((live) => live.clocks.map((clock) => ({ live, clock })))
    .sort((a, b) => Date.parse(a.clock.endsAt ?? "9999-01-01") - Date.parse(b.clock.endsAt ?? "9999-01-01"));
}

/** What a clock says now, in words and figures. */
export function clockWords(clock: Api["LiveClock"], now: number, zone: string) {
  const left = secondsLeft(clock, now);
  if (left === undefined) return { figure: msg("never"), words: clock.warning || msg("does not cure") };
  const by = isDeadline(clock);
  if (left <= 0)
    return {
      figure: by ? msg("over") : msg("now"),
      words: by ? msg("work time is over") : `${clock.label} ${moment(clock.endsAt ?? "", now, zone, "up")}`,
    };
  return {
    figure: stretch(left, by ? "down" : "up"),
    words: `${clock.label} ${moment(clock.endsAt ?? "", now, zone, by ? "down" : "up")}`,
  };
}

function Clock({ live, clock, zone }: Biting & { zone: string }) {
  const now = useNow();
  const { figure, words } = clockWords(clock, now, zone);
  const hot = isDeadline(clock);
  return (
    <Link
      to={`/repairs/${live.id}/run`}
      className={`firm-r relative block w-[292px] max-w-[292px] min-w-[200px] shrink overflow-hidden max-[699px]:max-w-none max-[699px]:min-w-0 max-[699px]:flex-1 max-[699px]:[&:nth-child(n+2)]:hidden ${hot ? "bg-pine text-on-pine" : "text-ink"}`}
      aria-label={msg("{name}: {words}, {figure} left", { name: live.name, words, figure })}
    >
      <span
        className="n absolute top-1.5 left-3 max-w-[62%] truncate text-16 font-semibold"
        style={{ fontStretch: "85%" }}
      >
        {live.name}
      </span>
      <span className={`lab absolute top-[25px] left-3 max-w-[64%] truncate ${hot ? "text-on-pine" : ""}`}>
        {words}
      </span>
      <span className="n absolute top-2 right-3 text-28 font-semibold" style={{ fontStretch: "90%" }}>
        {figure}
      </span>
      <span className="absolute bottom-0 left-0">
        <ClockRule clock={clock} now={now} width={292} height={18} />
      </span>
    </Link>
  );
}

const WARN_S = 30;

/** One tone before a deadline, one at it; and the page's title counts along. */
function useAlarm(clocks: Biting[]) {
  const now = useNow();
  const { sound, voice } = usePreferences();
  const first = clocks.find((c) => isDeadline(c.clock));
  const label = first?.clock.label ?? "";
  const left = first ? Math.floor(secondsLeft(first.clock, now) ?? 1e9) : undefined;
  useEffect(() => {
    if (left !== undefined && sound && (left === WARN_S || left === 0)) tone(left === 0);
    const words = left !== undefined && voice ? wordsAt(left, label) : undefined;
    if (words) speak(words);
    titleBiting(left !== undefined && left > -60 ? `${stretch(left, "down")} ${first?.live.name}` : "");
  }, [left, sound, voice, label, first?.live.name]);
}

/** The rail across the top of every screen. */
export function ClockRail({ except, slim = false }: { except?: number; slim?: boolean }) {
  const bench = useBench().data;
  const { pending, keeping, reachable, trouble } = useOutbox();
  const zone = bench?.shop.zone ?? "UTC";
  useAlarm(biting(bench));
  const clocks = biting(bench, except).slice(0, slim ? 2 : 3);
  const next = bench?.hands.find((h) => h.repair !== undefined);
  return (
    <header
      className="no-print firm-b bg-sheet flex h-16 shrink-0 overflow-hidden"
      data-outbox={pending.length === 0 ? "empty" : "kept"}
    >
      <Link
        to="/bench"
        className="grid w-[76px] shrink-0 place-items-center bg-[#14201d] max-[699px]:w-14"
        aria-label={msg("Vane Mend, to the bench")}
      >
        <img src="/mark.svg" alt="" width="46" height="46" />
      </Link>
      <div className="flex min-w-0 flex-1">
        {clocks.map((c) => (
          <Clock key={`${c.live.id}-${c.clock.step}-${c.clock.kind}`} {...c} zone={zone} />
        ))}
        {clocks.length === 0 && (
          <div className="flex min-w-0 flex-col justify-center px-4">
            <span className="lab">
              {!bench
                ? msg("Asking the bench")
                : except
                  ? msg("No other clock is running")
                  : msg("No clock is running")}
            </span>
            <span className="n truncate text-16 font-semibold">
              {next
                ? msg("Next for {who}: {title}, {repair}", {
                    who: firstName(next.person.name),
                    title: next.title,
                    repair: next.name,
                  })
                : bench
                  ? msg("Nothing waits")
                  : ""}
            </span>
          </div>
        )}
        {(!reachable || pending.length > 0) && (
          <div
            role="status"
            className="waits n ml-auto flex w-44 flex-col max-[699px]:w-32 justify-center px-3 text-14 font-semibold"
          >
            <span className="bg-tape px-1">{trouble || (reachable ? msg("Sending") : msg("Server not reached"))}</span>
            <span className="bg-tape px-1">
              {pending.length === 0
                ? msg("trying again")
                : keeping > 0
                  ? msg("{n} not kept yet", { n: keeping })
                  : msg("{n} kept here", { n: pending.length })}
            </span>
          </div>
        )}
      </div>
      {bench && slim && (
        <div className="firm-l hidden shrink-0 gap-6 px-4 pt-[7px] sm:flex">
          <AirFigures shop={bench.shop} slim />
        </div>
      )}
      {bench && !slim && (
        <AirDialog shop={bench.shop}>
          <button
            className="firm-l flex shrink-0 gap-6 px-4 pt-[7px] text-left"
            aria-label={msg("Shop air: change it")}
          >
            <AirFigures shop={bench.shop} />
          </button>
        </AirDialog>
      )}
    </header>
  );
}

function AirFigures({ shop, slim = false }: { shop: Api["ShopView"]; slim?: boolean }) {
  const { system } = usePreferences();
  return (
    <>
      <Figure label={msg("Air")} value={temperature(shop.tempC, system)} />
      {!slim && <Figure wide label={msg("RH")} value={`${Math.round(shop.rhPercent)}\u202f%`} />}
      {!slim && <Figure wide label={msg("Dew")} value={temperature(shop.dewPointC, system)} />}
      <Figure
        wide
        label={msg("At the bench")}
        value={shop.present.map((p) => firstName(p.name)).join(", ") || msg("nobody")}
      />
    </>
  );
}

/** A figure of the rail; one that is only for `wide` screens stands in the dialog behind it on a phone. */
function Figure({ label, value, wide = false }: { label: string; value: string; wide?: boolean }) {
  return (
    <span className={`block max-w-44 ${wide ? "max-[699px]:hidden" : ""}`}>
      <span className="lab block">{label}</span>
      <span className="n block truncate text-20 font-semibold" style={{ fontStretch: "85%" }}>
        {value}
      </span>
    </span>
  );
}
