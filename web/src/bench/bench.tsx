import { useId } from "react";
import { Link } from "react-router";
import type { Api } from "../api/client";
import { useNow } from "../api/clock";
import { useBench } from "../api/queries";
import { Hatches } from "../marks/hatch";
import { useSize } from "../marks/use-size";
import { VerdictMark } from "../repair/verdict-mark";
import { clockWords } from "../shell/clock-rail";
import { usePreferences } from "../shell/preferences";
import { dayAndTime, minutes, moment, said, temperature, timeOfDay } from "../units/units";

/** The bench: every run on a rule of hours, what waits, and the next thing for each pair of hands. */
export function BenchPlace() {
  const bench = useBench();
  const now = useNow();
  if (bench.isError && !bench.data)
    return <p className="p-6 text-20 font-bold text-oxide-text">{bench.error.message}</p>;
  if (!bench.data) return <p className="p-6 text-20">One moment.</p>;
  const { live, hands, waiting, shop, air, again, forOthers } = bench.data;
  const day = new Intl.DateTimeFormat("en-GB", {
    weekday: "long",
    day: "numeric",
    month: "long",
    timeZone: shop.zone,
  }).format(now);
  const ready = waiting.filter((w) => w.standing === "PLANNED");
  const held = waiting.filter((w) => w.standing !== "PLANNED");
  return (
    <div className="flex min-h-0 flex-1">
      <section className="flex min-w-0 flex-1 flex-col" aria-label="Runs">
        <div className="firm-b flex h-[58px] shrink-0 items-stretch">
          <h1 className="flex flex-1 items-center px-4 text-28 font-semibold" style={{ fontStretch: "88%" }}>
            {day}
          </h1>
          <HeadFigure label="Running" value={String(live.length)} />
          <HeadFigure label="Ready to begin" value={String(ready.length)} />
          <HeadFigure label="Held up" value={String(held.length)} />
        </div>
        <div className="min-h-0 flex-1 overflow-y-auto">
          <HourRule live={live} forOthers={forOthers} now={now} zone={shop.zone} />
          {live.length === 0 && (
            <p className="border-b border-hair p-4 text-20">
              {ready.length > 0
                ? "Nothing runs. Take the first repair below and begin."
                : "Nothing runs and nothing is ready to begin: make or finish a plan under Repairs."}
            </p>
          )}
          <Waiting title="Ready to begin" lines={ready} to="steps" now={now} zone={shop.zone} />
          <Waiting title="Held up" lines={held} to="verdict" now={now} zone={shop.zone} />
        </div>
      </section>
      <section className="firm-l flex w-[300px] shrink-0 flex-col overflow-y-auto" aria-label="Next for your hands">
        <h2 className="firm-b flex h-[58px] shrink-0 items-center px-4 text-20 font-semibold">Next for your hands</h2>
        {hands.map((h) => (
          <HandsCard
            key={h.person.id}
            hands={h}
            live={live.find((l) => l.id === h.repair)}
            now={now}
            zone={shop.zone}
          />
        ))}
        <ForOthers waiting={forOthers} live={live} now={now} zone={shop.zone} />
        <AirToday shop={shop} effects={air} />
        <Again looks={again} now={now} zone={shop.zone} />
      </section>
    </div>
  );
}

/** What a repair waits for, as said: the lamp, the oven or whose hands. */
const thing = (w: Api["Waiting"]) =>
  w.what === "LAMP" ? "the lamp" : w.what === "OVEN" ? "the oven" : (w.whose.split(" ")[0] ?? "hands");

/** What could go on but for a lamp, an oven or hands that are at another repair. */
function ForOthers({
  waiting,
  live,
  now,
  zone,
}: {
  waiting: readonly Api["Waiting"][];
  live: readonly Api["LiveView"][];
  now: number;
  zone: string;
}) {
  if (waiting.length === 0) return null;
  return (
    <>
      <h2 className="firm-b firm-t bg-ground hd px-4 py-2">What waits for what</h2>
      {waiting.map((w) => (
        <Link
          key={`${w.repair}${w.what}`}
          to={`/repairs/${w.repair}/run`}
          className="hover:bg-ground block border-b border-hair px-4 py-2"
        >
          <span className="lab flex justify-between">
            <span>waits for {thing(w)}</span>
            <span className="n font-semibold text-ink">until {moment(w.until, now, zone, "up")}</span>
          </span>
          <b className="block leading-5">{live.find((l) => l.id === w.repair)?.name}</b>
          <span className="block leading-5">
            {w.title}: ready {moment(w.from, now, zone, "up")}, {w.hasName} has{" "}
            {w.what === "HANDS" ? "the hands" : "it"}
          </span>
        </Link>
      ))}
    </>
  );
}

/** What today's air does to the times on the labels. */
function AirToday({ shop, effects }: { shop: Api["ShopView"]; effects: readonly Api["AirEffect"][] }) {
  const { system } = usePreferences();
  return (
    <>
      <h2 className="firm-b firm-t bg-ground hd px-4 py-2">
        In today’s {temperature(shop.tempC, system)}, {Math.round(shop.rhPercent)}
        {"\u202f"}%
      </h2>
      {effects.length === 0 && <p className="px-4 py-3">Nothing on the shelf has a time that follows the air.</p>}
      {effects.length > 0 && (
        <table className="w-full">
          <thead>
            <tr className="lab border-b border-hair text-right">
              <th className="py-1 pl-4 text-left font-medium">label’s figure below</th>
              <th className="px-1 font-medium">workable</th>
              <th className="py-1 pr-4 font-medium">sand or flash</th>
            </tr>
          </thead>
          <tbody>
            {[...new Set(effects.map((e) => e.name))].map((name) => {
              const of = effects.filter((e) => e.name === name);
              return (
                <tr key={name} className="border-b border-hair align-top">
                  <td className="py-1.5 pl-4 leading-5">{name}</td>
                  <Effect effect={of.find((e) => e.what === "WORK")} />
                  <Effect effect={of.find((e) => e.what !== "WORK")} last />
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
    </>
  );
}

function Effect({ effect: e, last = false }: { effect: Api["AirEffect"] | undefined; last?: boolean }) {
  return (
    <td className={`n w-[72px] py-1.5 text-right whitespace-nowrap ${last ? "pr-4" : "px-1"}`}>
      {e && (
        <>
          <b className={e.todayMin === undefined ? "text-oxide-text" : ""}>
            {e.todayMin === undefined ? "never" : minutes(e.todayMin, e.what === "WORK" ? "down" : "up")}
          </b>
          <span className="lab block">{minutes(e.labelMin)}</span>
        </>
      )}
    </td>
  );
}

/** Later looks at finished work. */
function Again({ looks, now, zone }: { looks: readonly Api["AgainView"][]; now: number; zone: string }) {
  if (looks.length === 0) return null;
  return (
    <>
      <h2 className="firm-b bg-ground hd px-4 py-2">Look again</h2>
      {looks.map((a) => (
        <Link
          key={`${a.repair}${a.look.due}`}
          to={`/repairs/${a.repair}/record`}
          className="hover:bg-ground block border-b border-hair px-4 py-2"
        >
          <span className="lab flex justify-between">
            <span>{a.vehicle}</span>
            <span className={`n font-semibold ${Date.parse(a.look.due) <= now ? "text-oxide-text" : "text-ink"}`}>
              {Date.parse(a.look.due) <= now ? "due since " : ""}
              {dayAndTime(a.look.due, zone)}
            </span>
          </span>
          <b className="block leading-5">{a.name}</b>
          <span className="block leading-5">{a.look.what}</span>
        </Link>
      ))}
    </>
  );
}

function HeadFigure({ label, value }: { label: string; value: string }) {
  return (
    <div className="border-l border-hair px-4 pt-2">
      <span className="lab block">{label}</span>
      <span className="n block text-20 font-semibold">{value}</span>
    </div>
  );
}

const NAME_PX = 240;
const ROW_PX = 56;
const HEAD_PX = 34;

/** Runs on a rule of hours: the past squeezed into a margin, the future wide enough to read. */
function HourRule({
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
    <div ref={ref} className="firm-b relative" style={{ minHeight: height }}>
      {width > 0 && (
        <svg width={width} height={height} aria-hidden="true" className="block">
          <Hatches id={id} />
          <rect width={width} height={HEAD_PX} fill="var(--ground)" />
          <text x="16" y="22" style={{ fontWeight: 700, fontSize: 16 }}>
            Repairs
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
                          {a.title.replace(/^Guide coat, /, "").slice(0, Math.floor((w - 10) / 6.4))}
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
            {l.hands.split(" ")[0]}, step {l.stepsDone + 1} of {l.steps}
          </span>
        </Link>
      ))}
      <p className="lab flex items-center gap-5 px-4 py-1.5">
        <span className="flex items-center gap-2">
          <span className="bg-pine inline-block h-4 w-6 border border-ink" /> hands on
        </span>
        <span className="flex items-center gap-2">
          <span className="waits inline-block h-4 w-6 border border-ink" /> waits
        </span>
        <span className="flex items-center gap-2">
          <span className="inline-block h-4 w-1.5 bg-oxide" /> promised
        </span>
        {forOthers.length > 0 && (
          <span className="flex items-center gap-2">
            <span className="inline-block w-6 border-t-2 border-dotted border-ink" /> for another
          </span>
        )}
        <span className="ml-auto">the rest of each plan from now, one thing at one part at a time</span>
      </p>
    </div>
  );
}

function Waiting({
  title,
  lines,
  to,
  now,
  zone,
}: {
  title: string;
  lines: readonly Api["RepairLine"][];
  to: string;
  now: number;
  zone: string;
}) {
  const { system } = usePreferences();
  if (lines.length === 0) return null;
  return (
    <>
      <h2 className="firm-b bg-ground hd px-4 py-2">{title}</h2>
      <ul>
        {lines.map((w) => (
          <li key={w.id} className="border-b border-hair">
            <Link
              to={`/repairs/${w.id}/${w.standing === "DRAFT" ? "damage" : to}`}
              className="hover:bg-ground flex min-h-[62px] items-center gap-4 px-4 py-1.5"
            >
              <span className="w-[210px] min-w-0 shrink-0">
                <span className="hd block truncate">{w.name}</span>
                <span className="lab block truncate">{w.vehicle}</span>
              </span>
              {w.verdict && <VerdictMark outcome={w.verdict} />}
              <span className="line-clamp-2 min-w-0 flex-1">
                {w.waitsFor ? said(w.waitsFor, system) : `${w.steps} steps`}
              </span>
              {w.promisedAt && (
                <span className="n shrink-0 font-semibold">promised {moment(w.promisedAt, now, zone)}</span>
              )}
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}

function HandsCard({
  hands,
  live,
  now,
  zone,
}: {
  hands: Api["HandsView"];
  live: Api["LiveView"] | undefined;
  now: number;
  zone: string;
}) {
  const clock = live?.clocks[0];
  // What never comes by waiting wants hands now; what stands after it in the plan must not be begun.
  const never = clock && !clock.endsAt ? clockWords(clock, now, zone).words : undefined;
  const body = (
    <>
      <span className="lab flex justify-between">
        <span>{hands.person.name}</span>
        {hands.from && (
          <span className="n font-semibold text-ink">
            {never || Date.parse(hands.from) <= now + 30_000 ? "now" : `from ${moment(hands.from, now, zone, "up")}`}
          </span>
        )}
      </span>
      <span className="n block text-20 leading-6 font-semibold" style={{ fontStretch: "88%" }}>
        {never ?? hands.title}
      </span>
      {hands.name && <span className="lab block">{hands.name}</span>}
      {clock && !never && (
        <span className="lab block">
          {clockWords(clock, now, zone).words}, {clockWords(clock, now, zone).figure}
        </span>
      )}
    </>
  );
  return hands.repair !== undefined ? (
    <Link to={`/repairs/${hands.repair}/run`} className="hover:bg-ground block border-b border-hair px-4 py-3">
      {body}
    </Link>
  ) : (
    <div className="border-b border-hair px-4 py-3">{body}</div>
  );
}
