import { msg } from "../../messages/messages";
import type { Api } from "../../api/client";
import { useCatalogue } from "../../api/queries";
import { Choice, Line, Measure } from "../../shell/field";
import { measured } from "../assumed";
import { BenchTests } from "./bench-tests";
import { MarkField } from "./mark";

type Made = Api["SubstrateDraft"];
export type Material = NonNullable<Made["material"]>;

export const MATERIALS: readonly { value: Material; label: string }[] = [
  { value: "METAL", label: msg("Metal") },
  { value: "PLASTIC", label: msg("Plastic") },
  { value: "COMPOSITE", label: msg("Composite") },
  { value: "GLASS", label: msg("Glass") },
  { value: "TYRE", label: msg("Tyre") },
  { value: "FILM", label: msg("Clear coat") },
];

interface Props {
  part: Api["PartDraft"];
  set: (next: Partial<Api["PartDraft"]>) => void;
  frozen: boolean;
  at: (field: string) => string | undefined;
}

/** What only this kind of part is asked. */
export function Substrate({ part, set, frozen, at }: Props) {
  const made = part.made ?? {};
  const put = (next: Partial<Made>) => set({ made: { ...made, ...next } });
  const wall = (
    <Measure
      label={msg("Wall thickness")}
      quantity="depth"
      value={made.thicknessMm}
      disabled={frozen}
      problem={at("part.made.thicknessMm")}
      field="part.made.thicknessMm"
      assumed={part.assumed?.includes("THICKNESS")}
      onChange={(thicknessMm) => set({ made: { ...made, thicknessMm }, ...measured(part, "THICKNESS") })}
    />
  );
  switch (made.material ?? "METAL") {
    case "METAL":
      return (
        <>
          <Choice
            label={msg("Metal")}
            value={part.metal}
            disabled={frozen}
            field="part.metal"
            options={[
              { value: "MILD_STEEL", label: msg("Steel") },
              { value: "GALVANISED_STEEL", label: msg("Galvanised") },
              { value: "ALUMINIUM", label: msg("Aluminium") },
              { value: "STAINLESS_STEEL", label: msg("Stainless") },
              { value: "MAGNESIUM", label: msg("Magnesium") },
              { value: "ZINC", label: msg("Zinc casting") },
              { value: "UNKNOWN", label: msg("Not known") },
            ]}
            onChange={(metal) => set({ metal })}
          />
          <Measure
            label={msg("Sheet gauge")}
            quantity="depth"
            value={part.gaugeMm}
            disabled={frozen}
            problem={at("part.gaugeMm")}
            field="part.gaugeMm"
            assumed={part.assumed?.includes("GAUGE")}
            onChange={(gaugeMm) => set({ gaugeMm, ...measured(part, "GAUGE") })}
          />
        </>
      );
    case "PLASTIC":
      return (
        <>
          {wall}
          <MarkField mark={made.mark ?? ""} frozen={frozen} onChange={(mark) => put({ mark: mark || undefined })} />
          {!made.mark && <BenchTests tests={made.tests ?? []} frozen={frozen} onChange={(tests) => put({ tests })} />}
        </>
      );
    case "COMPOSITE":
      return (
        <>
          <Choice
            label={msg("Composite")}
            value={made.composite}
            disabled={frozen}
            problem={at("part.made.composite")}
            field="part.made.composite"
            options={[
              { value: "SMC", label: "SMC" },
              { value: "HAND_LAID", label: msg("Hand-laid") },
              { value: "CARBON", label: msg("Carbon") },
            ]}
            onChange={(composite) => put({ composite })}
          />
          {wall}
        </>
      );
    case "GLASS":
      return <GlassFields made={made} put={put} frozen={frozen} at={at} />;
    case "TYRE":
      return <TyreFields made={made} put={put} frozen={frozen} at={at} />;
    case "FILM":
      return (
        <>
          <Choice
            label={msg("The film lies on")}
            value={made.filmOver}
            disabled={frozen}
            problem={at("part.made.filmOver")}
            field="part.made.filmOver"
            options={[
              { value: "STEEL", label: msg("Steel") },
              { value: "ALUMINIUM", label: msg("Aluminium") },
              { value: "PLASTIC", label: msg("Plastic") },
              { value: "COMPOSITE", label: msg("Composite") },
            ]}
            onChange={(filmOver) => set({ made: { ...made, filmOver }, coats: beneath(part.coats ?? [], filmOver) })}
          />
          <p>
            {msg(
              "The clear itself is mended, inside its own thickness. Readings of the film gauge are typed under Damage.",
            )}
          </p>
        </>
      );
  }
}

/** A panel of metal has its dip coat under the rest; others have none. */
function beneath(coats: NonNullable<Api["PartDraft"]["coats"]>, over: Made["filmOver"]) {
  const rest = coats.filter((c) => c.kind !== "E_COAT");
  return over === "STEEL" || over === "ALUMINIUM"
    ? [coats.find((c) => c.kind === "E_COAT") ?? { kind: "E_COAT" as const }, ...rest]
    : rest;
}

interface Piece {
  made: Made;
  put: (next: Partial<Made>) => void;
  frozen: boolean;
  at: (field: string) => string | undefined;
}

function GlassFields({ made, put, frozen, at }: Piece) {
  const stamps = useCatalogue().data?.stamps ?? [];
  return (
    <>
      <label className="lab flex flex-col">
        {msg("Stamp on the pane")}
        <select
          className="firm n h-14 w-full px-2 text-16 font-semibold text-ink"
          disabled={frozen}
          value={made.stamp ?? ""}
          onChange={(e) => put({ stamp: (e.target.value || undefined) as Made["stamp"] })}
        >
          <option value="">{msg("Read it")}</option>
          {stamps.map((s) => (
            <option key={s.stamp} value={s.stamp}>
              {s.word}
            </option>
          ))}
        </select>
      </label>
      <Measure
        label={msg("Middle of the steering wheel, from the left as drawn")}
        quantity="length"
        value={made.wheelXMm}
        disabled={frozen}
        problem={at("part.made.wheelXMm")}
        field="part.made.wheelXMm"
        onChange={(wheelXMm) => put({ wheelXMm })}
      />
      <Choice
        label={msg("Vehicle over 3.5 t")}
        disabled={frozen}
        value={made.heavy ? "YES" : "NO"}
        options={[
          { value: "NO", label: msg("No") },
          { value: "YES", label: msg("Yes") },
        ]}
        onChange={(v) => put({ heavy: v === "YES" })}
      />
    </>
  );
}

const SPEEDS = ["L", "M", "N", "P", "Q", "R", "S", "T", "U", "H", "V", "W", "Y"] as const;

function TyreFields({ made, put, frozen, at }: Piece) {
  return (
    <>
      <Choice
        label={msg("Class by the sidewall")}
        disabled={frozen}
        value={made.use}
        problem={at("part.made.use")}
        field="part.made.use"
        options={[
          { value: "CAR", label: msg("Car, light truck") },
          { value: "TRUCK", label: msg("Medium truck, bus") },
        ]}
        onChange={(use) => put({ use })}
      />
      <Choice
        label={msg("Axle")}
        disabled={frozen}
        value={made.position}
        problem={at("part.made.position")}
        field="part.made.position"
        options={[
          { value: "FRONT", label: msg("Front") },
          { value: "REAR", label: msg("Rear") },
        ]}
        onChange={(position) => put({ position })}
      />
      <Measure
        label={msg("Shallowest groove")}
        quantity="depth"
        value={made.treadDepthMm}
        disabled={frozen}
        problem={at("part.made.treadDepthMm")}
        field="part.made.treadDepthMm"
        onChange={(treadDepthMm) => put({ treadDepthMm })}
      />
      <div className="grid grid-cols-2 gap-2">
        <Measure
          label={msg("Over the crown, thick")}
          quantity="depth"
          value={made.crownMm}
          disabled={frozen}
          problem={at("part.made.crownMm")}
          field="part.made.crownMm"
          onChange={(crownMm) => put({ crownMm })}
        />
        <Line
          label={msg("Size, load index")}
          value={made.tyreSize ?? ""}
          disabled={frozen}
          problem={at("part.made.tyreSize")}
          field="part.made.tyreSize"
          onChange={(tyreSize) => put({ tyreSize: tyreSize || undefined })}
        />
        <Line
          label={msg("Date code")}
          value={made.dateCode ?? ""}
          disabled={frozen}
          problem={at("part.made.dateCode")}
          field="part.made.dateCode"
          onChange={(dateCode) => put({ dateCode: dateCode || undefined })}
        />
        <label className="lab flex flex-col">
          {msg("Speed symbol")}
          <select
            className="firm n h-14 w-full px-2 text-20 font-semibold text-ink"
            disabled={frozen}
            value={made.speed ?? ""}
            onChange={(e) => put({ speed: (e.target.value || undefined) as Made["speed"] })}
          >
            <option value="">–</option>
            {SPEEDS.map((s) => (
              <option key={s}>{s}</option>
            ))}
          </select>
        </label>
      </div>
      <p className="lab">
        {msg(
          "Date code: week and year, four digits; leave it empty if it cannot be read. Thickness left empty: the usual of its class.",
        )}
      </p>
    </>
  );
}
