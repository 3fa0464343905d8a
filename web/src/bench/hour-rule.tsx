import { firstName } from "../shell/first-name";
import { msg } from "../messages/messages";
import type { Api } from "../api/client";
import { Hatches } from "../marks/hatch";
import { useSize } from "../marks/use-size";
import { minutes, timeOfDay } from "../units/units";
import { thing } from "./waiting";
import { HourList } from "./hour-list";
import { useId } from "react";
import { Link } from "react-router";

const NAME_PX = 240;

const ROW_PX = 56;

const HEAD_PX = 34;

/** Runs on a rule of hours: the past squeezed into a margin, the future wide enough to read. */
export function HourRule({
  live,
  forOthers,
  now,
  zone,
}: {
  live: readonly Api["LiveView"][];
  forOthers: readonly Api["Waiting"][];
  now: number;
  zone: string;
}) {
  const id = useId();
  const [ref, { width }] = useSize();
  const end = Math.max(now + 2.5 * 3600_000, ...live.flatMap((l) => l.ahead.map((a) => Date.parse(a.to))));
  const from = NAME_PX + 26;
  const perMs = (width - from - 12) / (end - now);
  const x = (ms: number) => from + Math.max(-14, (ms - now) * perMs);
  const half = 30 * 60_000;
  const marks: number[] = [];
  for (let t = Math.ceil(now / half) * half; t < end; t += half) marks.push(t);
  const height = HEAD_PX + live.length * ROW_PX;
  return (
    <>
      <HourList live={live} forOthers={forOthers} now={now} zone={zone} />
      <div ref={ref} className="firm-b relative max-[699px]:hidden" style={{ minHeight: height }}>
        {width > 0 && (
          <svg width={width} height={height} aria-hidden="true" className="block">
            <Hatches id={id} />
            <rect width={width} height={HEAD_PX} fill="var(--ground)" />
            <text x="16" y="22" style={{ fontWeight: 700, fontSize: 16 }}>
              {msg("Repairs")}
            </text>
            {marks.map((t) => {
              const hour = t % 3600_000 === 0;
              const at = x(t);
              return (
                <g key={t}>
                  <path
                    d={`M${at} ${HEAD_PX - (hour ? 14 : 8)}V${height}`}
                    stroke={hour ? "var(--tick)" : "var(--hair)"}
                  />
                  {at > from + 62 && at < width - 46 && (hour || perMs * half > 90) && (
                    <text x={at + 4} y="16" style={{ fontWeight: hour ? 700 : 500 }}>
                      {timeOfDay(t, zone)}
                    </text>
                  )}
                </g>
              );
            })}
            {live.map((l, row) => {
              const y = HEAD_PX + row * ROW_PX;
              return (
                <g key={l.id}>
                  <path d={`M0 ${y}H${width}`} stroke="var(--ink)" strokeWidth={row === 0 ? 1.5 : 1} />
                  {l.ahead.map((a) => {
                    const [s, e] = [x(Date.parse(a.from)), x(Date.parse(a.to))];
                    const w = Math.max(1.5, e - s);
                    const mid = (Math.max(s, from + 2) + e) / 2;
                    return (
                      <g key={a.step}>
                        <rect
                          x={s}
                          y={a.handsOn ? y + 12 : y + 18}
                          width={w}
                          height={a.handsOn ? 32 : 20}
                          fill={a.handsOn ? "var(--pine)" : `url(#${id}-wait)`}
                          stroke="var(--ink)"
                          strokeWidth="1"
                        />
                        {a.handsOn && w > 64 && (
                          <text x={s + 6} y={y + 33} style={{ fill: "var(--on-pine)", fontWeight: 600 }}>
                            {a.brief.slice(0, Math.floor((w - 10) / 6.4))}
                          </text>
                        )}
                        {!a.handsOn && w > 44 && (
                          <>
                            <rect x={mid - 19} y={y + 19} width="38" height="18" fill="var(--sheet)" />
                            <text x={mid} y={y + 33} textAnchor="middle" style={{ fontWeight: 700 }}>
                              {minutes((Date.parse(a.to) - Math.max(now, Date.parse(a.from))) / 60_000)}
                            </text>
                          </>
                        )}
                      </g>
                    );
                  })}
                  {l.ahead.map((a, i) => {
                    // Where the next stretch does not begin when the last one ends, it waits for what another repair has.
                    const [s, e] = [x(i === 0 ? now : Date.parse(l.ahead[i - 1]?.to ?? a.from)), x(Date.parse(a.from))];
                    const told = forOthers.find((w) => w.repair === l.id && w.step === a.step);
                    return (
                      e - s > 3 && (
                        <g key={a.step}>
                          <path
                            d={`M${s} ${y + 28}H${e}`}
                            stroke="var(--ink)"
                            strokeWidth="2"
                            strokeDasharray="2 5"
                            fill="none"
                          />
                          {told && e - s > 60 && (
                            <text x={(s + e) / 2} y={y + 22} textAnchor="middle">
                              {thing(told)}
                            </text>
                          )}
                        </g>
                      )
                    );
                  })}
                  {l.promisedAt && Date.parse(l.promisedAt) < end && (
                    <path
                      d={`M${x(Date.parse(l.promisedAt))} ${y + 4}v${ROW_PX - 8}M${x(Date.parse(l.promisedAt))} ${y + 4}h12l-12 9`}
                      stroke="var(--oxide)"
                      strokeWidth="4"
                      fill="var(--oxide)"
                    />
                  )}
                </g>
              );
            })}
            <path d={`M${from} 0V${height}`} stroke="var(--ink)" strokeWidth="3" />
            <rect x={from - 27} y="4" width="54" height="22" fill="var(--ink)" />
            <text x={from} y="20" textAnchor="middle" style={{ fill: "var(--sheet)", fontWeight: 700, fontSize: 16 }}>
              {timeOfDay(now, zone)}
            </text>
          </svg>
        )}
        {live.map((l, row) => (
          <Link
            key={l.id}
            to={`/repairs/${l.id}/run`}
            className="hover:bg-ground absolute left-0 flex flex-col justify-center overflow-hidden px-4"
            style={{ top: HEAD_PX + row * ROW_PX + 2, width: NAME_PX - 4, height: ROW_PX - 3 }}
          >
            <span className="hd truncate">{l.name}</span>
            <span className="lab truncate">
              {msg("{hands}, step {step} of {steps}", {
                hands: firstName(l.hands),
                step: l.stepsDone + 1,
                steps: l.steps,
              })}
            </span>
          </Link>
        ))}
        <p className="lab flex items-center gap-5 px-4 py-1.5">
          <span className="flex items-center gap-2">
            <span className="bg-pine inline-block h-4 w-6 border border-ink" /> {msg("hands on")}
          </span>
          <span className="flex items-center gap-2">
            <span className="waits inline-block h-4 w-6 border border-ink" /> {msg("waits")}
          </span>
          <span className="flex items-center gap-2">
            <span className="inline-block h-4 w-1.5 bg-oxide" /> {msg("promised")}
          </span>
          {forOthers.length > 0 && (
            <span className="flex items-center gap-2">
              <span className="inline-block w-6 border-t-2 border-dotted border-ink" /> {msg("for another")}
            </span>
          )}
          <span className="ml-auto">{msg("the rest of each plan from now, one thing at one part at a time")}</span>
        </p>
      </div>
    </>
  );
}
