import { type PointerEvent, useId, useState } from "react";
import type { Api } from "../api/client";
import { Hatches } from "../marks/hatch";
import { useSize } from "../marks/use-size";
import { msg } from "../messages/messages";
import { firstName } from "../shell/first-name";
import { minutes, timeOfDay } from "../units/units";
import { dragged, type Drop } from "./drag";
import { beside, type Block, ms, past, rows, type Sheet, within, workedMin } from "./day-book";
import { NAME_PX, scale } from "./scale";

/** Between what is over and what is to come. */
const FOLD_PX = 8;
const HEAD_PX = 54;
const BLOCK_PX = 46;
const TAPE_PX = 22;
const GAP_PX = 8;
/** Readable where a promise's line runs through it. */
const OVER_A_LINE = {
  fontWeight: 700,
  fontSize: 15,
  paintOrder: "stroke",
  stroke: "var(--ground)",
  strokeWidth: 5,
} as const;
const LETTER_PX = 7.6;
/** Room for a number of two figures. */
const NUMBER_PX = 30;
const THINGS = { LAMP: msg("Lamp"), OVEN: msg("Oven") } as const;

/** As many whole words of `text` as there is room for `letters`, told to go on; none where that would be one short word. */
function wholeWords(text: string, letters: number): string {
  if (text.length <= letters) return text;
  const cut = text.lastIndexOf(" ", letters - 1);
  return cut > 4 ? `${text.slice(0, cut).replace(/[,:;]$/, "")}…` : "";
}

/** What is drawn in one line of the day: a person with what cures behind their hands, or a lamp. */
interface Lane {
  key: string;
  name: string;
  told: string;
  hands: ReturnType<typeof within<Block>>;
  tape: (ReturnType<typeof within<Block>>[number] & { row: number })[];
}

function lanes(day: Api["DayView"], sheet: Sheet): Lane[] {
  const here = within(day.blocks, sheet);
  const people = day.people.map((p) => {
    const own = here.filter(({ block }) => block.person === p.id);
    const hands = own.filter(({ block }) => block.work !== "WAIT");
    const worked = workedMin(hands, sheet);
    return {
      key: p.id,
      name: firstName(p.name),
      told: worked > 0 ? msg("{time} of work", { time: minutes(worked) }) : msg("free"),
      hands,
      tape: rows(own.filter(({ block }) => block.work === "WAIT")),
    };
  });
  const things = (["LAMP", "OVEN"] as const)
    .map((t) => ({
      key: t,
      name: THINGS[t],
      told: "",
      hands: [],
      tape: rows(here.filter(({ block }) => block.things.includes(t))),
    }))
    .filter((t) => t.tape.length > 0);
  const alone = here.filter(({ block }) => block.work === "WAIT" && !block.person);
  const waits =
    alone.length > 0
      ? [{ key: "WAIT", name: msg("Cures"), told: msg("begun before"), hands: [], tape: rows(alone) }]
      : [];
  return [...people, ...waits, ...things];
}

const heightOf = (l: Lane) =>
  (l.hands.length > 0 || l.told ? BLOCK_PX : 0) +
  (1 + Math.max(-1, ...l.tape.map((t) => t.row))) * TAPE_PX +
  2 * GAP_PX;

/** The day as lanes: whose hands are where, what cures behind them, what the lamps and ovens hold, when each repair is ready. */
export function Lanes({
  day,
  sheet,
  now,
  touched,
  drop,
}: {
  day: Api["DayView"];
  sheet: Sheet;
  now: number;
  touched: number | undefined;
  /** What becomes of a block that was dragged; without it none is. */
  drop?: (said: Drop) => void;
}) {
  const id = useId();
  const [drag, setDrag] = useState<Drag>();
  const [ref, { width: room }] = useSize();
  const minutesLong = (sheet.to - sheet.from) / 60_000;
  const before = past(day, sheet);
  const stands = beside(day, sheet);
  const { past: pastPx, left, perMin, width } = scale(room, minutesLong, before.done.length > 0);
  const perMs = perMin / 60_000;
  const x = (at: number) => left + (at - sheet.from) * perMs;
  const folded = (at: number) => NAME_PX + ((at - before.from) / (before.to - before.from)) * (pastPx - FOLD_PX);
  const all = lanes(day, sheet);
  const tops = all.map((_, i) => HEAD_PX + all.slice(0, i).reduce((sum, l) => sum + heightOf(l), 0));
  const height = HEAD_PX + all.reduce((sum, l) => sum + heightOf(l), 0);
  const laneAt = (y: number) => all.find((l, i) => y >= (tops[i] ?? 0) && y < (tops[i] ?? 0) + heightOf(l))?.key;
  const over = drag && dragged(day, drag.block, drag.dx / perMs, laneAt(drag.y));
  const pull = {
    move: (e: PointerEvent<SVGGElement>, block: Block) => {
      if (!e.currentTarget.hasPointerCapture(e.pointerId)) return;
      const top = e.currentTarget.ownerSVGElement?.getBoundingClientRect().top ?? 0;
      setDrag((d) => ({
        block,
        from: d?.from ?? e.clientX,
        dx: e.clientX - (d?.from ?? e.clientX),
        y: e.clientY - top,
      }));
    },
    end: () => {
      if (over?.drop) drop?.(over.drop);
      setDrag(undefined);
    },
    away: () => setDrag(undefined),
  };
  const hours: number[] = [];
  for (let t = Math.ceil(sheet.from / 3_600_000) * 3_600_000; t <= sheet.to; t += 3_600_000) hours.push(t);
  const inSheet = (at: number) => at > sheet.from && at <= sheet.to;
  const ready = day.jobs.filter((j) => inSheet(ms(j.ready)));
  const promised = day.jobs.filter((j) => j.promisedAt && inSheet(ms(j.promisedAt)));
  return (
    <div
      ref={ref}
      className="firm-b no-print shrink-0 overflow-x-auto overflow-y-hidden max-[699px]:hidden"
      tabIndex={0}
      role="group"
      aria-label={msg("The day as lanes")}
    >
      {room > 0 && (
        <svg width={width} height={height} aria-hidden="true" className="block">
          <Hatches id={id} />
          <rect x={NAME_PX} width={width - NAME_PX} height={HEAD_PX} fill="var(--ground)" />
          {before.done.length > 0 && (
            <g>
              <text x={NAME_PX + 4} y="18" style={{ fontWeight: 700, fontSize: 16 }}>
                {timeOfDay(before.from, day.zone)}
              </text>
              <text x={NAME_PX + 4} y="40" style={{ fontSize: 14 }}>
                {msg("done")}
              </text>
              <path d={`M${left - FOLD_PX / 2} 4V${height}`} stroke="var(--ink)" strokeDasharray="2 4" />
            </g>
          )}
          {sheet.breaks.map((b) => (
            <rect
              key={b.from}
              x={x(b.from)}
              y={HEAD_PX}
              width={x(b.to) - x(b.from)}
              height={height - HEAD_PX}
              fill="var(--ground)"
            />
          ))}
          {hours.map((t) => (
            <g key={t}>
              <path d={`M${x(t)} ${HEAD_PX - 12}V${height}`} stroke="var(--hair)" />
              {x(t) + 46 < width && (
                <text x={x(t) + 4} y="18" style={{ fontWeight: 700, fontSize: 16 }}>
                  {timeOfDay(t, day.zone)}
                </text>
              )}
            </g>
          ))}
          {promised.map((j) => (
            <path
              key={j.repair}
              d={`M${x(ms(j.promisedAt ?? ""))} ${HEAD_PX - 26}V${height}`}
              stroke={j.pin.wished ? "var(--ink)" : "var(--oxide)"}
              strokeWidth={touched === j.number ? 4 : 2}
              strokeDasharray={j.pin.wished ? "7 4" : undefined}
            />
          ))}
          {ready.map((j, i) => {
            const at = x(ms(j.ready));
            // Those that would lie on each other keep their notch; the number stands with the first.
            const crowded = ready.slice(0, i).some((o) => Math.abs(x(ms(o.ready)) - at) < 22);
            return (
              <g key={j.repair}>
                <path d={`M${at} ${HEAD_PX}l-7 -12h14z`} fill="var(--ink)" />
                {!crowded && (
                  <text x={at} y={HEAD_PX - 15} textAnchor="middle" style={OVER_A_LINE}>
                    {j.number}
                  </text>
                )}
              </g>
            );
          })}
          {all.map((l, i) => {
            const top = tops[i] ?? HEAD_PX;
            const tape = top + GAP_PX + (l.hands.length > 0 || l.told ? BLOCK_PX : 0);
            return (
              <g key={l.key}>
                <path d={`M0 ${top}H${width}`} stroke="var(--ink)" strokeWidth={i === 0 ? 2 : 1} />
                <text x="14" y={top + 28} style={{ fontWeight: 700, fontSize: 18 }}>
                  {l.name}
                </text>
                {l.told && (
                  <text x="14" y={top + 48} style={{ fontSize: 14 }}>
                    {l.told}
                  </text>
                )}
                {before.done
                  .filter((d) => d.person === l.key)
                  .map((d) => (
                    <Over
                      key={`${d.repair}-${d.from}`}
                      number={day.jobs.find((j) => j.repair === d.repair)?.number}
                      x={folded(ms(d.from))}
                      y={top + GAP_PX}
                      width={folded(Math.min(ms(d.to), before.to)) - folded(ms(d.from))}
                      touched={
                        touched !== undefined && day.jobs.some((j) => j.number === touched && j.repair === d.repair)
                      }
                    />
                  ))}
                {stands
                  .filter((b) => b.person === l.key)
                  .map(({ block, from, to }) => (
                    <rect
                      key={`beside-${block.number}-${block.from}`}
                      x={x(from)}
                      y={top + GAP_PX}
                      width={Math.max(3, x(to) - x(from) - 1)}
                      height={BLOCK_PX - 4}
                      fill="none"
                      stroke="var(--pine)"
                      strokeWidth="2"
                      strokeDasharray="4 3"
                    />
                  ))}
                {l.hands.map(({ block, from, to }) => (
                  <Hands
                    key={`${block.number}-${block.from}`}
                    block={block}
                    x={x(from)}
                    y={top + GAP_PX}
                    width={x(to) - x(from)}
                    touched={touched === block.number}
                    pull={drop && pull}
                  />
                ))}
                {l.tape.map(({ block, from, to, row }) => (
                  <Tape
                    key={`${block.number}-${block.from}-${row}`}
                    number={block.number}
                    fill={`url(#${id}-wait)`}
                    x={x(from)}
                    y={tape + row * TAPE_PX}
                    width={x(to) - x(from)}
                    lasts={(ms(block.to) - ms(block.from)) / 60_000}
                    touched={touched === block.number}
                  />
                ))}
              </g>
            );
          })}
          {drag && over && over.told !== "" && (
            <Pulled
              told={over.told}
              stays={!over.drop}
              x={x(Math.max(sheet.from, ms(drag.block.from))) + drag.dx}
              y={drag.y}
              width={(ms(drag.block.to) - ms(drag.block.from)) * perMs}
              room={width}
            />
          )}
          {now > sheet.from && now < sheet.to && (
            <g>
              <path d={`M${x(now)} ${HEAD_PX - 24}V${height}`} stroke="var(--ink)" strokeWidth="3" />
            </g>
          )}
        </svg>
      )}
    </div>
  );
}

/** A block on its way: where it was taken hold of, how far it is, px. */
interface Drag {
  block: Block;
  from: number;
  dx: number;
  y: number;
}

interface Pull {
  move: (e: PointerEvent<SVGGElement>, block: Block) => void;
  end: () => void;
  away: () => void;
}

/** What is being dragged, with what it would say; edged in oxide where it cannot be. */
function Pulled({
  told,
  stays,
  x,
  y,
  width,
  room,
}: {
  told: string;
  stays: boolean;
  x: number;
  y: number;
  width: number;
  room: number;
}) {
  const colour = stays ? "var(--oxide)" : "var(--violet)";
  const wide = told.length * LETTER_PX + 20;
  const at = Math.max(4, Math.min(x, room - wide - 4));
  return (
    <g pointerEvents="none">
      <rect
        x={x}
        y={y - BLOCK_PX / 2}
        width={Math.max(12, width)}
        height={BLOCK_PX - 4}
        fill="none"
        stroke={colour}
        strokeWidth="4"
      />
      <rect x={at} y={y - BLOCK_PX - 14} width={wide} height="30" fill="var(--ink)" />
      <text x={at + 10} y={y - BLOCK_PX + 6} style={{ fill: "var(--sheet)", fontWeight: 600, fontSize: 16 }}>
        {told}
      </text>
    </g>
  );
}

/** Hands at work: dark, what is live edged; the number always where there is room for it, words where there is room for them. */
function Hands({
  block,
  x,
  y,
  width,
  touched,
  pull,
}: {
  block: Block;
  x: number;
  y: number;
  width: number;
  touched: boolean;
  pull?: Pull;
}) {
  const words = wholeWords(
    block.steps > 1 ? msg("{title} and {n} more", { title: block.title, n: block.steps - 1 }) : block.title,
    Math.floor((width - 36) / LETTER_PX),
  );
  return (
    <g
      {...(pull && {
        className: "cursor-grab",
        style: { touchAction: "pan-y" },
        onPointerDown: (e: PointerEvent<SVGGElement>) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          pull.move(e, block);
        },
        onPointerMove: (e: PointerEvent<SVGGElement>) => pull.move(e, block),
        onPointerUp: pull.end,
        onPointerCancel: pull.away,
        onLostPointerCapture: pull.away,
      })}
    >
      <rect
        x={x}
        y={y}
        width={Math.max(2, width - 1)}
        height={BLOCK_PX - 4}
        fill="var(--pine)"
        stroke={touched ? "var(--violet)" : "var(--sheet)"}
        strokeWidth={touched ? 5 : 1}
      />
      {block.work === "LIVE" && (
        <rect x={x + Math.max(2, width - 1) - 4} y={y} width="4" height={BLOCK_PX - 4} fill="var(--oxide)" />
      )}
      {width > NUMBER_PX && (
        <text x={x + 6} y={y + 27} style={{ fill: "var(--on-pine)", fontWeight: 700, fontSize: 16 }}>
          {block.number}
        </text>
      )}
      {words && (
        <text x={x + 30} y={y + 26} style={{ fill: "var(--on-pine)", fontSize: 14 }}>
          {words}
        </text>
      )}
    </g>
  );
}

/** What was done, pale; numbered where its repair is still of the day. */
function Over({
  number,
  x,
  y,
  width,
  touched,
}: {
  number: number | undefined;
  x: number;
  y: number;
  width: number;
  touched: boolean;
}) {
  return (
    <g>
      <rect
        x={x}
        y={y}
        width={Math.max(2, width)}
        height={BLOCK_PX - 4}
        fill="var(--ground)"
        stroke={touched ? "var(--violet)" : "var(--ink)"}
        strokeWidth={touched ? 4 : 1}
      />
      {number !== undefined && width > NUMBER_PX && (
        <text x={x + 6} y={y + 27} style={{ fontWeight: 700, fontSize: 16 }}>
          {number}
        </text>
      )}
    </g>
  );
}

function Tape({
  number,
  fill,
  x,
  y,
  width,
  lasts,
  touched,
}: {
  number: number;
  fill: string;
  x: number;
  y: number;
  width: number;
  lasts: number;
  touched: boolean;
}) {
  const all = `${number} · ${minutes(lasts)}`;
  const words = [all, String(number)].find((w) => width > w.length * LETTER_PX + 18) ?? "";
  const wide = words.length * LETTER_PX + 8;
  return (
    <g>
      <rect
        x={x}
        y={y}
        width={Math.max(2, width - 1)}
        height={TAPE_PX - 3}
        fill={fill}
        stroke={touched ? "var(--violet)" : "var(--ink)"}
        strokeWidth={touched ? 4 : 1}
      />
      {words && (
        <>
          <rect x={x + 4} y={y + 1} width={wide} height={TAPE_PX - 5} fill="var(--sheet)" />
          <text x={x + 8} y={y + 15} style={{ fontWeight: 600, fontSize: 14 }}>
            {words}
          </text>
        </>
      )}
    </g>
  );
}
