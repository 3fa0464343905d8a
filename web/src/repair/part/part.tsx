import { msg } from "../../messages/messages";
import { Plus, Trash2 } from "lucide-react";
import type { Api } from "../../api/client";
import { useCatalogue, useRules } from "../../api/queries";
import { Choice, Line, Measure, problemAt } from "../../shell/field";
import { MomentField } from "../../shell/day-field";
import { measured } from "../assumed";
import { Head } from "../sheet";
import { coatsOf } from "./coats";
import { Questions } from "./questions";
import { ThrowAway } from "./throw-away";
import type { DraftOnScreen } from "../use-draft";
import { type Material, MATERIALS, Substrate } from "./substrate";

type PartDraft = Api["PartDraft"];
type CoatKind = NonNullable<Api["CoatDraft"]["kind"]>;

const COATS: readonly { kind: CoatKind; word: string; typical: string; metalOnly?: boolean }[] = [
  { kind: "E_COAT", word: msg("E-coat"), typical: "coat.e-coat", metalOnly: true },
  { kind: "EPOXY_PRIMER", word: msg("Epoxy primer"), typical: "coat.epoxy-primer", metalOnly: true },
  { kind: "PRIMER_SURFACER", word: msg("Primer surfacer"), typical: "coat.primer-surfacer" },
  { kind: "BASE", word: msg("Base"), typical: "coat.base" },
  { kind: "SINGLE_STAGE", word: msg("Single-stage colour"), typical: "coat.single-stage" },
  { kind: "CLEAR", word: msg("Clear"), typical: "coat.clear" },
];

/** Station 1: what it is, what it is made of, which side can be reached, what is near. */
export function PartStation({ id, on, frozen }: { id: number; on: DraftOnScreen; frozen: boolean }) {
  const part = on.draft?.part ?? {};
  const set = (next: Partial<PartDraft>) => on.change((d) => ({ ...d, part: { ...d.part, ...next } }));
  const told = on.problems.filter((p) => p.given !== "");
  const at = (field: string) => problemAt(told, field);
  const material = part.made?.material ?? "METAL";
  const sided = material !== "GLASS" && material !== "TYRE";
  // Another kind of part has other coats, outlines and states; what was typed for this one goes with it, and undo brings it back.
  const become = (next: Material) =>
    set({
      made: { ...part.made, material: next },
      outline: undefined,
      face: [],
      back: [],
      coats: coatsOf(next),
      assumed: [],
    });
  return (
    <>
      <Head title={msg("Part")} />
      <div className="flex flex-col gap-3 p-4">
        <Questions part={part} set={set} frozen={frozen} damages={on.draft?.damages ?? []} />
        <Line
          label={msg("What is it")}
          value={part.name ?? ""}
          disabled={frozen}
          problem={at("part.name")}
          field="part.name"
          onChange={(name) => set({ name })}
        />
        <Line
          label={msg("Vehicle and number")}
          value={part.vehicle ?? ""}
          disabled={frozen}
          problem={at("part.vehicle")}
          field="part.vehicle"
          onChange={(vehicle) => set({ vehicle })}
        />
        <Choice
          label={msg("What it is, at first sight")}
          value={material}
          disabled={frozen}
          options={MATERIALS}
          onChange={become}
        />
        <Substrate part={part} set={set} frozen={frozen} at={at} />
        <div className="grid grid-cols-2 gap-2">
          <Measure
            label={material === "TYRE" ? msg("Tread width") : msg("Part width")}
            quantity="length"
            value={part.widthMm}
            disabled={frozen}
            problem={at("part.widthMm")}
            field="part.widthMm"
            assumed={part.assumed?.includes("WIDTH")}
            onChange={(widthMm) => set({ widthMm, ...measured(part, "WIDTH") })}
          />
          <Measure
            label={material === "TYRE" ? msg("Length shown") : msg("Part height")}
            quantity="length"
            value={part.heightMm}
            disabled={frozen}
            problem={at("part.heightMm")}
            field="part.heightMm"
            assumed={part.assumed?.includes("HEIGHT")}
            onChange={(heightMm) => set({ heightMm, ...measured(part, "HEIGHT") })}
          />
        </div>
        <OutlinePick part={part} set={set} frozen={frozen} material={material} />
        {sided && (
          <Choice
            label={msg("Side that can be reached")}
            value={part.reach}
            disabled={frozen}
            field="part.reach"
            options={[
              { value: "BOTH_SIDES", label: msg("Both") },
              { value: "FACE_ONLY", label: msg("Face only") },
            ]}
            onChange={(reach) => set({ reach })}
          />
        )}
        {sided && <Surfaces part={part} set={set} frozen={frozen} material={material} problems={told} />}
        {sided && <Coats part={part} set={set} frozen={frozen} problems={told} />}
        {sided && <BodyLines part={part} set={set} frozen={frozen} problems={told} />}
        <MomentField
          label={msg("Promised for")}
          value={on.draft?.promisedAt}
          disabled={frozen}
          onChange={(promisedAt) => on.change((d) => ({ ...d, promisedAt }))}
        />
      </div>
      {!frozen && on.anew === undefined && <ThrowAway id={id} name={part.name ?? ""} />}
    </>
  );
}

interface Piece {
  part: PartDraft;
  set: (next: Partial<PartDraft>) => void;
  frozen: boolean;
  problems?: readonly Api["InputProblem"][];
}

function Coats({ part, set, frozen, problems = [] }: Piece) {
  const rules = useRules().data;
  const metal = (part.made?.material ?? "METAL") === "METAL";
  const coats = part.coats ?? [];
  const typical = (id: string) => rules?.values.find((v) => v.id === id);
  const turn = (kind: CoatKind) => {
    const without = coats.filter((c) => c.kind !== kind);
    const next = without.length < coats.length ? without : [...coats, { kind }];
    const rank = (k?: CoatKind) => COATS.findIndex((c) => c.kind === k);
    set({ coats: next.sort((a, b) => rank(a.kind) - rank(b.kind)), ...measured(part, "COATS") });
  };
  return (
    <fieldset disabled={frozen}>
      <legend className="lab">
        {part.assumed?.includes("COATS")
          ? msg("Coats, from the part up: usual, not looked at")
          : msg("Coats, from the part up")}
      </legend>
      <div className="flex flex-col gap-1">
        {COATS.filter((c) => metal || !c.metalOnly).map(({ kind, word, typical: valueId }) => {
          const i = coats.findIndex((c) => c.kind === kind);
          const known = typical(valueId);
          return (
            <div key={kind}>
              <button
                type="button"
                aria-pressed={i >= 0}
                className={`firm n flex min-h-14 w-full items-center justify-between px-3 text-left font-semibold ${i >= 0 ? "bg-ink text-sheet" : ""}`}
                onClick={() => turn(kind)}
              >
                {word}
                <span className="text-14 font-medium">
                  {i >= 0 ? `${coats[i]?.thicknessUm ?? known?.value ?? "–"}\u202fµm` : msg("absent")}
                </span>
              </button>
              {i >= 0 && (
                <details className="lab pt-1">
                  <summary className="min-h-6 cursor-pointer">
                    {known
                      ? msg("typical {value} µm: {shown}", { value: known.value, shown: known.shown })
                      : "thickness"}
                  </summary>
                  <Measure
                    label={msg("{word}, from the film gauge", { word })}
                    quantity={{ unit: "µm" }}
                    value={coats[i]?.thicknessUm}
                    problem={problemAt(problems, `part.coats[${i}].thicknessUm`)}
                    field={`part.coats[${i}].thicknessUm`}
                    onChange={(thicknessUm) =>
                      set({ coats: coats.map((c, k) => (k === i ? { ...c, thicknessUm } : c)) })
                    }
                  />
                </details>
              )}
            </div>
          );
        })}
      </div>
    </fieldset>
  );
}

function BodyLines({ part, set, frozen, problems = [] }: Piece) {
  const lines = part.bodyLines ?? [];
  const put = (i: number, next: Partial<Api["BodyLineDraft"]>) =>
    set({ bodyLines: lines.map((l, k) => (k === i ? { ...l, ...next } : l)) });
  const add = () =>
    set({
      bodyLines: [
        ...lines,
        {
          name: "body line",
          x1Mm: 0,
          y1Mm: (part.heightMm ?? 400) * 0.8,
          x2Mm: part.widthMm ?? 600,
          y2Mm: (part.heightMm ?? 400) * 0.8,
        },
      ],
    });
  return (
    <fieldset disabled={frozen} className="flex flex-col gap-2">
      <legend className="lab">{msg("Body lines near, from the part's lower left corner")}</legend>
      {lines.map((l, i) => (
        <div key={i} className="firm flex flex-col gap-2 p-2">
          <Line label={msg("Called")} value={l.name ?? ""} onChange={(name) => put(i, { name })} />
          <div className="grid grid-cols-2 gap-2">
            {(["x1Mm", "y1Mm", "x2Mm", "y2Mm"] as const).map((k) => (
              <Measure
                key={k}
                label={
                  {
                    x1Mm: msg("Start, across"),
                    y1Mm: msg("Start, up"),
                    x2Mm: msg("End, across"),
                    y2Mm: msg("End, up"),
                  }[k]
                }
                quantity="length"
                value={l[k]}
                problem={problemAt(problems, `part.bodyLines[${i}].${k}`)}
                field={`part.bodyLines[${i}].${k}`}
                onChange={(v) => put(i, { [k]: v })}
              />
            ))}
          </div>
          <button type="button" className="btn" onClick={() => set({ bodyLines: lines.filter((_, k) => k !== i) })}>
            <Trash2 size={18} aria-hidden="true" /> {msg("Take this line away")}
          </button>
        </div>
      ))}
      {!frozen && (
        <button type="button" className="btn" onClick={add}>
          <Plus size={18} aria-hidden="true" /> {msg("Body line")}
        </button>
      )}
    </fieldset>
  );
}

/** Outlines to pick from, drawn. */
function OutlinePick({ part, set, frozen, material }: Piece & { material: Material }) {
  const outlines = useCatalogue().data?.outlines.filter((o) => o.materials.includes(material)) ?? [];
  const chosen = part.outline ?? outlines[0]?.id;
  if (outlines.length < 2) return null;
  return (
    <fieldset disabled={frozen}>
      <legend className="lab">{msg("Outline")}</legend>
      <div className="grid grid-cols-4 gap-1">
        {outlines.map((o) => {
          let d = "";
          for (let i = 0; i + 1 < o.xy.length; i += 2) {
            d += `${i === 0 ? "M" : "L"}${4 + (o.xy[i] ?? 0) * 36} ${30 - (o.xy[i + 1] ?? 0) * 24}`;
          }
          return (
            <button
              key={o.id}
              type="button"
              aria-pressed={chosen === o.id}
              aria-label={o.name}
              title={o.name}
              className={`firm grid h-14 place-items-center ${chosen === o.id ? "bg-ink text-sheet" : ""}`}
              onClick={() => set({ outline: o.id, ...measured(part, "OUTLINE") })}
            >
              <svg width="44" height="36" aria-hidden="true">
                <path d={`${d}Z`} fill="none" stroke="currentColor" strokeWidth="2" />
              </svg>
            </button>
          );
        })}
      </div>
      <p className="lab">
        {outlines.find((o) => o.id === chosen)?.name}
        {part.assumed?.includes("OUTLINE") ? msg(", usual") : ""}
      </p>
    </fieldset>
  );
}

type Side = "face" | "back";

/** What lies on the part besides its coats, face and back, and what it asks. */
function Surfaces({ part, set, frozen, material, problems = [] }: Piece & { material: Material }) {
  const states = useCatalogue().data?.states.filter((s) => s.materials.includes(material)) ?? [];
  const turn = (side: Side, state: Api["StateView"]["state"]) => {
    const now = part[side] ?? [];
    set({ [side]: now.includes(state) ? now.filter((s) => s !== state) : [...now, state] });
  };
  const lying = (side: Side) => states.filter((s) => part[side]?.includes(s.state));
  return (
    <fieldset disabled={frozen}>
      <legend className="lab">{msg("Also on it: face, back")}</legend>
      <ul>
        {states.map((s) => (
          <li key={s.state} className="flex items-center gap-1 py-0.5">
            <span className="min-w-0 flex-1 first-letter:uppercase">{s.word}</span>
            {(["face", "back"] as const).map((side) => (
              <button
                key={side}
                type="button"
                aria-pressed={part[side]?.includes(s.state) ?? false}
                aria-label={
                  side === "face"
                    ? msg("{word} on the face", { word: s.word })
                    : msg("{word} on the back", { word: s.word })
                }
                className={`firm n h-14 w-14 text-14 font-semibold ${part[side]?.includes(s.state) ? "bg-ink text-sheet" : ""}`}
                onClick={() => turn(side, s.state)}
              >
                {side === "face" ? msg("Face") : msg("Back")}
              </button>
            ))}
          </li>
        ))}
      </ul>
      {(["face", "back"] as const).flatMap((side) =>
        lying(side).map((s) => (
          <p key={side + s.state} className="mt-1">
            <b>{side === "face" ? msg("{word}, face:", { word: s.word }) : msg("{word}, back:", { word: s.word })}</b>{" "}
            {s.asks}.
          </p>
        )),
      )}
      {(["part.face", "part.back"] as const).map((f) => (
        <p key={f} className="text-oxide-text text-14 font-bold">
          {problemAt(problems, f)}
        </p>
      ))}
    </fieldset>
  );
}
