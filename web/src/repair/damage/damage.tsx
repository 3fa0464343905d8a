import { msg, within } from "../../messages/messages";
import type { Api } from "../../api/client";
import { Plus, Trash2 } from "lucide-react";
import { useCatalogue } from "../../api/queries";
import { Choice, problemAt } from "../../shell/field";
import { Head } from "../sheet";
import type { DraftOnScreen } from "../use-draft";
import type { Chosen } from "./chosen";
import { useDamageWord } from "./damage-word";
import { DepthLines } from "./depth-line-fields";
import { type DamageDraft, type FieldsProps, fresh, type Kind, traceLength } from "./fresh";
import { ManyFields } from "./many-fields";
import { ChipFields, DentFields, FilmFields, InjuryFields, OvalFields, TraceFields } from "./fields";

/** Station 2: what happened to the part. Each kind of damage asks only what it needs; all of it can be dragged on the drawing. */
export function DamageStation({ on, frozen, hand }: { on: DraftOnScreen; frozen: boolean; hand: Chosen }) {
  const catalogue = useCatalogue().data;
  const damages = on.draft?.damages ?? [];
  const part = on.draft?.part;
  const material = part?.made?.material ?? "METAL";
  const kinds = catalogue?.damages.filter((k) => k.materials.includes(material)) ?? [];
  const word = useDamageWord(damages);
  const told = on.problems.filter((p) => p.given !== "");
  const set = (i: number, next: Partial<DamageDraft>) =>
    on.change((d) => ({ ...d, damages: (d.damages ?? []).map((x, k) => (k === i ? { ...x, ...next } : x)) }));
  // A new one never lands on another.
  const add = (kind: Kind) => {
    on.change((d) => ({ ...d, damages: [...(d.damages ?? []), fresh(kind, part ?? {}, d.damages ?? [])] }));
    hand.added(damages.length);
  };
  return (
    <>
      <Head title={msg("Damage")}>
        {damages.length === 0 ? msg("none yet") : msg("{damages} on the part", { damages: damages.length })}
      </Head>
      <p className="px-4 pt-3">
        {material === "METAL" && msg("Dents as left after straightening. ")}
        {msg("Places are measured from the part's lower left corner, or put it on the drawing by touch.")}
      </p>
      <div className="flex flex-col gap-4 p-4">
        {!frozen && material === "METAL" && <ManyFields stamp={hand.stamp} onStamp={hand.stamps} />}
        {damages.map((d, i) => {
          const name = word(i);
          return (
            <section
              key={i}
              className={`firm p-3 ${i === hand.chosen && damages.length > 1 ? "outline-3 outline-violet" : ""}`}
              aria-label={name}
              data-damage={i}
              onFocusCapture={() => i !== hand.chosen && hand.choose(i)}
            >
              <div className="mb-2 flex items-center justify-between">
                <h3 className="hd">{name}</h3>
                {!frozen && (
                  <button
                    type="button"
                    className="grid size-14 shrink-0 place-items-center"
                    aria-label={msg("Take {name} away", { name: within(name) })}
                    onClick={() => on.change((x) => ({ ...x, damages: (x.damages ?? []).filter((_, k) => k !== i) }))}
                  >
                    <Trash2 size={20} aria-hidden="true" />
                  </button>
                )}
              </div>
              <Fields
                d={d}
                frozen={frozen}
                at={(field) => problemAt(told, `damages[${i}].${field}`)}
                set={(next) => set(i, next)}
                material={material}
              />
            </section>
          );
        })}
        {!frozen &&
          kinds.map((k) => (
            <button key={k.kind} type="button" className="btn go" onClick={() => add(k.kind)}>
              <Plus size={18} aria-hidden="true" /> {msg("Add {word}", { word: within(k.word) })}
            </button>
          ))}
      </div>
    </>
  );
}

type Material = NonNullable<Api["SubstrateDraft"]["material"]>;

function Fields({ material, ...f }: FieldsProps & { material: Material }) {
  const { d, set, frozen, at } = f;
  switch (d.kind ?? "DENT") {
    case "DENT":
      return <DentFields {...f} />;
    case "CHIP":
      return <ChipFields {...f} />;
    case "INJURY":
      return <InjuryFields {...f} />;
    case "RUN":
      return (
        <div className="flex flex-col gap-3">
          <FilmFields {...f} />
          <OvalFields {...f} />
        </div>
      );
    case "CRACK":
      return (
        <div className="flex flex-col gap-3">
          {material === "GLASS" ? (
            <YesNo
              label={msg("Starts at a chip")}
              no={msg("No")}
              frozen={frozen}
              value={d.fromChip ?? false}
              onChange={(fromChip) => set({ fromChip })}
            />
          ) : (
            <>
              <Choice
                label={msg("How deep")}
                disabled={frozen}
                value={d.through}
                problem={at("through")}
                field="through"
                options={[
                  { value: "THROUGH", label: msg("Through") },
                  { value: "OUTER_LAYER", label: msg("Outer layer") },
                ]}
                onChange={(through) => set({ through })}
              />
              <Choice
                label={msg("Ends that can be reached")}
                columns={3}
                disabled={frozen}
                value={d.ends}
                problem={at("ends")}
                field="ends"
                options={[
                  { value: "BOTH", label: msg("Both") },
                  { value: "ONE", label: msg("One") },
                  { value: "NONE", label: msg("None") },
                ]}
                onChange={(ends) => set({ ends })}
              />
            </>
          )}
          <TraceFields {...f} />
        </div>
      );
    case "HAIRLINE":
      return <TraceFields {...f} />;
    case "SCRATCH":
      return <TraceFields {...f} width depth />;
    case "SEAM":
      // A sheet is ground flush or below and read along; a welded plastic is ground just below.
      return material === "METAL" ? (
        <div className="flex flex-col gap-3">
          <TraceFields {...f} width depth={(d.lines ?? []).length === 0} depthWord={msg("Deepest low along it")} />
          <DepthLines {...f} along={Math.floor(traceLength(d.trace ?? []) * 10) / 10} />
        </div>
      ) : (
        <div className="flex flex-col gap-3">
          <YesNo
            label={msg("Weld ground just below the face")}
            no={msg("Not yet")}
            frozen={frozen}
            value={d.groundBelow ?? false}
            onChange={(groundBelow) => set({ groundBelow })}
          />
          <TraceFields {...f} width />
        </div>
      );
    case "RUST_HOLE":
      return <OvalFields {...f} more={[{ key: "rustPastMm", label: msg("Rust past the hole") }]} />;
    case "MISSING":
      return (
        <div className="flex flex-col gap-3">
          <OvalFields {...f} more={[{ key: "soundMm", label: msg("Sound plastic all round") }]} />
          <YesNo
            label={msg("The piece is at hand")}
            no={msg("No")}
            frozen={frozen}
            value={d.pieceKept ?? false}
            onChange={(pieceKept) => set({ pieceKept })}
          />
        </div>
      );
    case "TAB":
      return (
        <div className="flex flex-col gap-3">
          <OvalFields {...f} />
          <YesNo
            label={msg("The piece is at hand")}
            no={msg("No")}
            frozen={frozen}
            value={d.pieceKept ?? false}
            onChange={(pieceKept) => set({ pieceKept })}
          />
        </div>
      );
    case "RUST_PITS":
    case "DIVOT":
    case "RASH":
    case "PAINT_CHIP":
    case "GELCOAT_CHIP":
      return <OvalFields {...f} more={[{ key: "depthMm", label: msg("Depth"), gauge: "DEPTH_MM" }]} />;
    default:
      return <OvalFields {...f} />;
  }
}

function YesNo({
  label,
  no,
  frozen,
  value,
  onChange,
}: {
  label: string;
  no: string;
  frozen: boolean;
  value: boolean;
  onChange: (value: boolean) => void;
}) {
  return (
    <Choice
      label={label}
      disabled={frozen}
      value={value ? "YES" : "NO"}
      options={[
        { value: "YES", label: msg("Yes") },
        { value: "NO", label: no },
      ]}
      onChange={(v) => onChange(v === "YES")}
    />
  );
}
