import { Minus, Plus } from "lucide-react";
import { useState } from "react";
import { LiveFigureLine } from "../../devices/live-figure";
import { msg } from "../../messages/messages";
import { Choice, Measure } from "../../shell/field";
import { usePreferences } from "../../shell/preferences";
import { length } from "../../units/units";
import {
  deepest,
  type DepthLine,
  firstAlong,
  firstLine,
  nextLine,
  readings,
  type Reading,
  takes,
  withPlace,
  withReadings,
} from "./depth-lines";
import type { FieldsProps } from "./fresh";

/** Depths along a straightedge instead of a shape: what was read is what is filled. A weld `along` mm long is read along itself, once. */
export function DepthLines({ along, ...f }: FieldsProps & { along?: number }) {
  const { system } = usePreferences();
  const weld = along !== undefined;
  const long = along ?? f.d.lengthMm ?? 100;
  const lines = f.d.lines ?? [];
  const set = (all: DepthLine[]) => {
    const deep = deepest(all);
    f.set({ lines: all, ...(deep === undefined ? {} : { depthMm: deep }) });
  };
  if (lines.length === 0) {
    return f.frozen ? null : (
      <button type="button" className="btn" onClick={() => set([weld ? firstAlong(f.d, long) : firstLine(f.d)])}>
        {weld ? msg("Read it along the weld") : msg("Read it along a straightedge")}
      </button>
    );
  }
  return (
    <section
      className="flex flex-col gap-3 border-t border-hair pt-3"
      aria-label={weld ? msg("Along the weld") : msg("Along a straightedge")}
    >
      <h3 className="hd">{weld ? msg("Along the weld") : msg("Along a straightedge")}</h3>
      <p>
        {msg(
          "Deepest read: {depth}. Places count from the end where the length begins; between them it runs straight.",
          {
            depth: length(deepest(lines) ?? 0, system, "depth"),
          },
        )}{" "}
        {weld
          ? msg("Beside the weld it rises straight to nothing.")
          : lines.length === 1
            ? msg("One line: across it, the hollow is taken as a bowl.")
            : msg("Lines are joined straight across, out to nothing at the rim.")}
      </p>
      {lines.map((line, i) => (
        <Line
          key={i}
          f={f}
          line={line}
          long={long}
          n={i}
          only={lines.length === 1}
          onLine={(next) => set(lines.map((l, k) => (k === i ? next : l)))}
        />
      ))}
      {!f.frozen && (
        <>
          {!weld && (
            <button type="button" className="btn" onClick={() => set([...lines, nextLine(f.d)])}>
              <Plus size={18} aria-hidden="true" /> {msg("One more line")}
            </button>
          )}
          <button
            type="button"
            className="btn"
            onClick={() => (lines.length > 1 ? set(lines.slice(0, -1)) : f.set({ lines: [] }))}
          >
            <Minus size={18} aria-hidden="true" />{" "}
            {lines.length > 1 ? msg("Last line out") : weld ? msg("As deep everywhere") : msg("Back to a shape")}
          </button>
        </>
      )}
    </section>
  );
}

function Line({
  f,
  line,
  long,
  n,
  only,
  onLine,
}: {
  f: FieldsProps;
  line: DepthLine;
  /** What is read along, mm. */
  long: number;
  n: number;
  only: boolean;
  onLine: (l: DepthLine) => void;
}) {
  const all = readings(line);
  const [crowned, setCrowned] = useState(all.some((r) => r.beside !== undefined));
  const [last, setLast] = useState(0);
  const put = (i: number, next: Partial<Reading>) => {
    setLast(i);
    onLine(
      withReadings(
        line,
        all.map((r, k) => (k === i ? { ...r, ...next } : r)),
      ),
    );
  };
  const at = (field: string) => f.at(`lines[${n}].${field}`);
  return (
    <div className="flex flex-col gap-2">
      {!only && (
        <Measure
          label={msg("Line {n}: from the middle, across", { n: n + 1 })}
          quantity="length"
          value={line.offsetMm ?? 0}
          disabled={f.frozen}
          problem={at("offsetMm")}
          field={`lines[${n}].offsetMm`}
          onChange={(offsetMm) => onLine({ ...line, offsetMm })}
        />
      )}
      <Shape all={all} length={long} />
      <Choice
        label={msg("Panel beside it")}
        columns={2}
        disabled={f.frozen}
        value={crowned ? "CROWNED" : "FLAT"}
        options={[
          { value: "FLAT", label: msg("Flat") },
          { value: "CROWNED", label: msg("Crowned") },
        ]}
        onChange={(v) => {
          setCrowned(v === "CROWNED");
          if (v === "FLAT")
            onLine(
              withReadings(
                line,
                all.map(({ place, depth }) => ({ place, depth })),
              ),
            );
        }}
      />
      {all.map((r, i) => (
        <div key={i} className="grid grid-cols-2 gap-2">
          <Measure
            label={msg("Place {n}", { n: i + 1 })}
            quantity="length"
            value={r.place}
            disabled={f.frozen}
            problem={at(`places[${i}]`)}
            field={`lines[${n}].places[${i}]`}
            onChange={(place) => put(i, { place })}
          />
          <Measure
            label={msg("Depth there")}
            quantity="depth"
            value={r.depth}
            disabled={f.frozen}
            problem={at(`depths[${i}]`)}
            field={`lines[${n}].depths[${i}]`}
            onChange={(depth) => put(i, { depth })}
          />
          {crowned && (
            <div className="col-start-2">
              <Measure
                label={msg("On sound panel beside it")}
                quantity="depth"
                value={r.beside}
                disabled={f.frozen}
                problem={at(`beside[${i}]`)}
                field={`lines[${n}].beside[${i}]`}
                onChange={(beside) => put(i, { beside })}
              />
            </div>
          )}
        </div>
      ))}
      {at("places") && <p role="alert">{at("places")}</p>}
      {!f.frozen && (
        <>
          <LiveFigureLine
            ask="DEPTH_MM"
            verb={msg("Take it for place {n}", { n: takes(all, last) + 1 })}
            onTake={(depth) => put(takes(all, last), { depth })}
          />
          <div className="grid grid-cols-2 gap-2">
            <button type="button" className="btn" onClick={() => onLine(withReadings(line, withPlace(all, long)))}>
              {msg("One more place")}
            </button>
            <button
              type="button"
              className="btn"
              disabled={all.length < 2}
              onClick={() => onLine(withReadings(line, all.slice(0, -1)))}
            >
              {msg("Last place out")}
            </button>
          </div>
        </>
      )}
    </div>
  );
}

const WIDE = 240;
const TALL = 56;

/** The line as it was read, deeper than it is long: a look whether a figure was mistyped. */
function Shape({ all, length }: { all: readonly Reading[]; length: number }) {
  const net = all.map((r) => ({ at: r.place ?? 0, d: Math.max(0, (r.depth ?? 0) - (r.beside ?? 0)) }));
  const most = Math.max(0.1, ...net.map((r) => r.d));
  const points = [{ at: 0, d: 0 }, ...net, { at: length, d: 0 }]
    .map((r) => `${((r.at / length) * WIDE).toFixed(1)},${(8 + (r.d / most) * (TALL - 12)).toFixed(1)}`)
    .join(" ");
  return (
    <svg viewBox={`0 0 ${WIDE} ${TALL}`} className="w-full" aria-hidden="true">
      <path d={`M0 8H${WIDE}`} stroke="var(--ink)" strokeWidth="1.5" strokeDasharray="5 4" />
      <polyline points={points} fill="none" stroke="var(--violet)" strokeWidth="2.5" />
    </svg>
  );
}
