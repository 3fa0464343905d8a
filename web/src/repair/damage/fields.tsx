import { msg } from "../../messages/messages";
import { Minus, Plus } from "lucide-react";
import { LiveFigureLine } from "../../devices/live-figure";
import { Choice, Measure } from "../../shell/field";
import { usePreferences } from "../../shell/preferences";
import { length } from "../../units/units";
import type { Ask } from "../run/asks";
import { DepthLines } from "./depth-line-fields";
import { type DamageDraft, type FieldsProps, traceLength, withCorner } from "./fresh";
import { bearing, straight } from "./shape";

type Figure = "depthMm" | "lengthMm" | "widthMm" | "xMm" | "yMm" | "rustPastMm" | "soundMm";

function Figures({
  fields,
  d,
  frozen,
  at,
  set,
}: FieldsProps & { fields: readonly { key: Figure; label: string; wide?: boolean; gauge?: Ask }[] }) {
  return (
    <div className="grid grid-cols-2 gap-2">
      {fields.map(({ key, label, wide, gauge }) => (
        <div key={key} className={wide ? "col-span-2" : ""}>
          <Measure
            label={label}
            quantity={key === "depthMm" ? "depth" : "length"}
            value={d[key]}
            disabled={frozen}
            problem={at(key)}
            field={key}
            onChange={(v) => set({ [key]: v } as Partial<DamageDraft>)}
          />
          {gauge && !frozen && (
            <LiveFigureLine
              ask={gauge}
              verb={msg("Take it")}
              onTake={(v) => set({ [key]: v } as Partial<DamageDraft>)}
            />
          )}
        </div>
      ))}
    </div>
  );
}

function Turn({ d, frozen, at, set, label = msg("Turn of the length, from level") }: FieldsProps & { label?: string }) {
  return (
    <Measure
      label={label}
      quantity={{ unit: "°" }}
      value={d.angleDeg}
      disabled={frozen}
      problem={at("angleDeg")}
      field="angleDeg"
      onChange={(angleDeg) => set({ angleDeg })}
    />
  );
}

/** A dent: an ellipse with a depth. */
export function DentFields(f: FieldsProps) {
  const read = (f.d.lines ?? []).length > 0;
  return (
    <div className="flex flex-col gap-2">
      <Figures
        {...f}
        fields={[
          // What was read along it says how deep it is.
          ...(read ? [] : [{ key: "depthMm", label: msg("Depth left"), wide: true, gauge: "DEPTH_MM" } as const]),
          { key: "lengthMm", label: msg("Length") },
          { key: "widthMm", label: msg("Width") },
          { key: "xMm", label: msg("Across") },
          { key: "yMm", label: msg("Up") },
        ]}
      />
      <Turn {...f} />
      <DepthLines {...f} />
      {!read && (
        <Choice
          label={msg("Shape of the hollow")}
          columns={3}
          disabled={f.frozen}
          value={f.d.profile ?? "BOWL"}
          options={[
            { value: "BOWL", label: msg("Bowl") },
            { value: "SOFT", label: msg("Soft edge") },
            { value: "POINT", label: msg("Point") },
          ]}
          onChange={(profile) => f.set({ profile })}
        />
      )}
      <Choice
        label={msg("How it is raised")}
        columns={1}
        disabled={f.frozen}
        value={f.d.raising ?? "TAPPED"}
        options={[
          { value: "TAPPED", label: msg("Tapped from behind") },
          { value: "PULLED", label: msg("Pulled with studs or rings") },
          { value: "PUSHED_OUT", label: msg("Pushed out, no filler") },
        ]}
        onChange={(raising) => f.set({ raising })}
      />
      {f.d.raising === "PULLED" && (
        <Measure
          label={msg("Studs or rings")}
          quantity={{ unit: "" }}
          value={f.d.studs}
          disabled={f.frozen}
          problem={f.at("studs")}
          field="studs"
          onChange={(n) => f.set({ studs: n === undefined ? undefined : Math.round(n) })}
        />
      )}
    </div>
  );
}

/** Anything that is as long as wide, or nearly: hole, missing piece, run, divot. */
export function OvalFields({
  more = [],
  ...f
}: FieldsProps & { more?: readonly { key: Figure; label: string; gauge?: Ask }[] }) {
  return (
    <div className="flex flex-col gap-2">
      <Figures
        {...f}
        fields={[
          ...more.map((m) => ({ ...m, wide: true })),
          { key: "lengthMm", label: msg("Length") },
          { key: "widthMm", label: msg("Width") },
          { key: "xMm", label: msg("Across") },
          { key: "yMm", label: msg("Up") },
        ]}
      />
      <Turn {...f} />
    </div>
  );
}

/** A line from corner to corner. */
export function TraceFields({
  width = false,
  depth = false,
  depthWord = msg("Depth"),
  ...f
}: FieldsProps & { width?: boolean; depth?: boolean; depthWord?: string }) {
  const { system } = usePreferences();
  const { d, set, frozen, at } = f;
  const xy = d.trace ?? [];
  const turn = bearing({ x: xy[0] ?? 0, y: xy[1] ?? 0 }, { x: xy[2] ?? 0, y: xy[3] ?? 0 });
  const put = (i: number, v: number | undefined) => set({ trace: xy.map((was, k) => (k === i ? (v ?? 0) : was)) });
  return (
    <div className="flex flex-col gap-2">
      {(width || depth) && (
        <Figures
          {...f}
          fields={[
            ...(depth ? [{ key: "depthMm" as const, label: depthWord, wide: true, gauge: "DEPTH_MM" as const }] : []),
            ...(width ? [{ key: "widthMm" as const, label: msg("Width") }] : []),
          ]}
        />
      )}
      {at("trace") && <p className="text-oxide-text text-14 font-bold">{at("trace")}</p>}
      {xy.length === 4 ? (
        <div className="grid grid-cols-2 gap-2">
          <Measure
            label={msg("Length")}
            quantity="length"
            value={Math.round(traceLength(xy) * 10) / 10}
            disabled={frozen}
            field="trace"
            onChange={(mm) => mm !== undefined && set({ trace: straight(xy, mm, turn) })}
          />
          <Measure
            label={msg("Turn, from level")}
            quantity={{ unit: "°" }}
            value={turn}
            disabled={frozen}
            onChange={(deg) => deg !== undefined && set({ trace: straight(xy, traceLength(xy), deg) })}
          />
        </div>
      ) : (
        <p className="n font-semibold">{msg("{xy} long", { xy: length(traceLength(xy), system) })}</p>
      )}
      {Array.from({ length: xy.length / 2 }, (_, i) => (
        <div key={i} className="grid grid-cols-2 gap-2">
          {([msg("across"), msg("up")] as const).map((way, k) => (
            <Measure
              key={way}
              label={`${i === 0 ? msg("Start") : i === xy.length / 2 - 1 ? msg("End") : msg("Corner {i}", { i: i + 1 })}, ${way}`}
              quantity="length"
              value={xy[2 * i + k]}
              disabled={frozen}
              problem={at(`trace[${2 * i + k}]`)}
              field={`trace[${2 * i + k}]`}
              onChange={(v) => put(2 * i + k, v)}
            />
          ))}
        </div>
      ))}
      {!frozen && (
        <div className="grid grid-cols-2 gap-2">
          <button type="button" className="btn" onClick={() => set({ trace: withCorner(xy) })}>
            <Plus size={18} aria-hidden="true" /> {msg("Corner")}
          </button>
          <button
            type="button"
            className="btn"
            disabled={xy.length <= 4}
            onClick={() => set({ trace: [...xy.slice(0, -4), ...xy.slice(-2)] })}
          >
            <Minus size={18} aria-hidden="true" /> {msg("Corner")}
          </button>
        </div>
      )}
    </div>
  );
}

/** A stone chip. */
export function ChipFields(f: FieldsProps) {
  const { d, set, frozen, at } = f;
  const chip = d.chip ?? {};
  const put = (next: Partial<NonNullable<DamageDraft["chip"]>>) => set({ chip: { ...chip, ...next } });
  const pit = chip.type === "PIT";
  return (
    <div className="flex flex-col gap-3">
      <Choice
        label={msg("Shape of the break")}
        disabled={frozen}
        value={chip.type}
        problem={at("chip.type")}
        field="chip.type"
        options={[
          { value: "BULLSEYE", label: msg("Bullseye") },
          { value: "HALF_MOON", label: msg("Half-moon") },
          { value: "STAR", label: msg("Star") },
          { value: "COMBINATION", label: msg("Combination") },
          { value: "PIT", label: msg("Pit, no legs") },
        ]}
        onChange={(type) => put({ type })}
      />
      <div className="grid grid-cols-2 gap-2">
        {!pit && (
          <>
            <Measure
              label={msg("Body across")}
              quantity="length"
              value={d.lengthMm}
              disabled={frozen}
              problem={at("lengthMm")}
              field="lengthMm"
              onChange={(lengthMm) => set({ lengthMm })}
            />
            <Measure
              label={msg("With its legs")}
              quantity="length"
              value={chip.spanMm}
              disabled={frozen}
              problem={at("chip.spanMm")}
              field="chip.spanMm"
              onChange={(spanMm) => put({ spanMm })}
            />
          </>
        )}
        <Measure
          label={msg("Pit across")}
          quantity="length"
          value={chip.pitMm}
          disabled={frozen}
          problem={at("chip.pitMm")}
          field="chip.pitMm"
          onChange={(pitMm) => put({ pitMm })}
        />
        <Measure
          label={msg("To next repair")}
          quantity="length"
          value={chip.repairMm}
          disabled={frozen}
          problem={at("chip.repairMm")}
          field="chip.repairMm"
          onChange={(repairMm) => put({ repairMm })}
        />
      </div>
      <p className="lab">{msg("No other repair: leave the last one empty.")}</p>
      <Choice
        label={msg("Wiper passes over it")}
        disabled={frozen}
        value={chip.inSweep === undefined ? undefined : chip.inSweep ? "YES" : "NO"}
        problem={at("chip.inSweep")}
        field="chip.inSweep"
        options={[
          { value: "YES", label: msg("Yes") },
          { value: "NO", label: msg("No") },
        ]}
        onChange={(v) => put({ inSweep: v === "YES" })}
      />
      <Choice
        label={msg("In zone C, by the UK standard's own drawing")}
        disabled={frozen}
        value={chip.zoneC ? "YES" : "NO"}
        options={[
          { value: "NO", label: msg("No drawing") },
          { value: "YES", label: msg("In zone C") },
        ]}
        onChange={(v) => put({ zoneC: v === "YES" ? true : undefined })}
      />
      <Figures
        {...f}
        fields={[
          { key: "xMm", label: msg("Across") },
          { key: "yMm", label: msg("Up") },
        ]}
      />
    </div>
  );
}

/** A puncture. */
export function InjuryFields(f: FieldsProps) {
  const { d, set, frozen, at } = f;
  const injury = d.injury ?? {};
  return (
    <div className="flex flex-col gap-3">
      <Choice
        label={msg("Where it is")}
        disabled={frozen}
        value={injury.place}
        problem={at("injury.place")}
        field="injury.place"
        options={[
          { value: "CROWN", label: msg("Crown") },
          { value: "SHOULDER", label: msg("Shoulder") },
          { value: "SIDEWALL", label: msg("Sidewall") },
          { value: "BEAD", label: msg("Bead") },
        ]}
        onChange={(place) => set({ injury: { ...injury, place } })}
      />
      <Figures
        {...f}
        fields={[
          { key: "lengthMm", label: msg("Diameter, cleaned out"), wide: true, gauge: "INJURY_MM" },
          { key: "xMm", label: msg("From tread's left") },
          { key: "yMm", label: msg("Along") },
        ]}
      />
      <Turn {...f} label={msg("Angle from square")} />
      {!frozen && <LiveFigureLine ask="ANGLE_DEG" verb={msg("Take it")} onTake={(angleDeg) => set({ angleDeg })} />}
      <Measure
        label={msg("Inner end from tread's left, if measured")}
        quantity="length"
        value={injury.innerXMm}
        disabled={frozen}
        problem={at("injury.innerXMm")}
        field="injury.innerXMm"
        onChange={(innerXMm) => set({ injury: { ...injury, innerXMm } })}
      />
    </div>
  );
}

/** Readings of the film gauge: it shows total film, everything down to the panel. */
export function FilmFields({ d, set, frozen, at }: FieldsProps) {
  const film = d.film ?? {};
  const rows = [
    { key: "peakUm", label: msg("Peak, total film") },
    { key: "totalUm", label: msg("Beside it, total") },
    { key: "underUm", label: msg("Beneath the clear") },
  ] as const;
  const put = (key: (typeof rows)[number]["key"], v: number | undefined) => set({ film: { ...film, [key]: v } });
  return (
    <div className="flex flex-col gap-3">
      <Choice
        label={msg("Film gauge")}
        disabled={frozen}
        value={film.gauge}
        problem={at("film.gauge")}
        field="film.gauge"
        options={[
          { value: "MAGNETIC", label: msg("Magnetic") },
          { value: "EDDY_CURRENT", label: msg("Eddy current") },
          { value: "BOTH", label: msg("Both in one") },
          { value: "ULTRASONIC", label: msg("Ultrasonic") },
        ]}
        onChange={(gauge) => set({ film: { ...film, gauge } })}
      />
      {rows.map(({ key, label }) => (
        <div key={key}>
          <Measure
            label={label}
            quantity={{ unit: "µm" }}
            value={film[key]}
            disabled={frozen}
            problem={at(`film.${key}`)}
            field={`film.${key}`}
            onChange={(v) => put(key, v)}
          />
          {!frozen && <LiveFigureLine ask="FILM_UM" verb={msg("Take it")} onTake={(v) => put(key, v)} />}
        </div>
      ))}
      <p className="lab">
        {msg("Beneath the clear: read it where the clear is off. Left empty, the coats under Part say it.")}
      </p>
    </div>
  );
}
