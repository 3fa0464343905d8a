import { msg } from "../messages/messages";
import { X } from "lucide-react";
import { useState } from "react";
import { ask, type Api, Problem, problemsOf } from "../api/client";
import { keys, queryClient, useRules, useZone, useTold } from "../api/queries";
import { Head } from "../repair/sheet";
import { DayField } from "../shell/day-field";
import { amountQuantity, Line as TextLine, Measure, problemAt, unitOf } from "../shell/field";
import { usePreferences } from "../shell/preferences";
import { dayAndTime } from "../units/units";
import { send } from "./send";

type Line = Api["ShelfLine"];
type Draft = Api["ShelfItemDraft"];

const NEW: Draft = { unit: "g", wet: "DRY", sand: [] };

const ACT: Record<string, string> = {
  ADD: "added",
  EDIT: "edited",
  RECEIVE: "received",
  OPEN: "opened",
  USE: "used",
  DISCARD: msg("thrown away"),
  IMPORT: msg("taken from a file"),
};

/** An item as it is typed: the sizes of a tyre unit one by one. */
function typed({ unitSize, ...item }: Line["item"]): Draft {
  return { ...item, stemMm: unitSize?.stemMm, capMm: unitSize?.capMm, tyre: unitSize?.use };
}

/** One item: what its label says, what is done with it, what was done. */
export function ItemSheet({
  line,
  onClose,
  onDone,
}: {
  line: Line | undefined;
  onClose: () => void;
  onDone: (lines: Line[]) => void;
}) {
  const fresh = line === undefined;
  const { system } = usePreferences();
  const [draft, setDraft] = useState<Draft>(() => (line ? typed(line.item) : NEW));
  const [problems, setProblems] = useState<readonly Api["InputProblem"][]>([]);
  const [said, setSaid] = useState("");
  // What the bench takes meanwhile is taken from what stands here too, unless another amount was typed.
  const [seen, setSeen] = useState(line);
  if (line && seen && line.version !== seen.version) {
    setSeen(line);
    if (draft.quantity === seen.item.quantity) setDraft((d) => ({ ...d, quantity: line.item.quantity }));
  }
  const put = (next: Partial<Draft>) => setDraft((d) => ({ ...d, ...next }));
  const attempt = async (work: () => Promise<Line[]>, close: boolean) => {
    setProblems([]);
    setSaid("");
    try {
      onDone(await work());
      if (close) onClose();
      else setSaid(msg("Done."));
    } catch (e) {
      setProblems(problemsOf(e));
      // Changed meanwhile: what it is now is read, and what was typed stays.
      if (e instanceof Problem && e.status === 412) await queryClient.invalidateQueries({ queryKey: keys.shelf });
      setSaid(e instanceof Error ? e.message : String(e));
    }
  };
  const save = () =>
    attempt(
      () =>
        fresh
          ? send("/api/shelf", "POST", draft)
          : send(`/api/shelf/${encodeURIComponent(line.item.id)}`, "PUT", draft, line.version),
      fresh,
    );
  return (
    <section
      className="firm-l bg-sheet flex w-[420px] shrink-0 flex-col overflow-y-auto max-[899px]:fixed max-[899px]:inset-0 max-[899px]:z-40 max-[899px]:w-full"
      aria-label={msg("Item")}
    >
      <Head title={fresh ? msg("New item") : line.item.name}>
        <button type="button" className="grid size-14 place-items-center" aria-label={msg("Close")} onClick={onClose}>
          <X size={20} aria-hidden="true" />
        </button>
      </Head>
      {!fresh && <Acts line={line} attempt={attempt} />}
      <Head title={msg("As its label says")}>{fresh ? "" : line.shown}</Head>
      <div className="flex flex-col gap-3 p-4">
        {fresh && (
          <TextLine
            label={msg("Id, short and its own")}
            value={draft.id ?? ""}
            problem={problemAt(problems, "id")}
            onChange={(id) => put({ id })}
          />
        )}
        <ClassPick draft={draft} put={put} problem={problemAt(problems, "classId")} />
        <TextLine
          label={msg("Name")}
          value={draft.name ?? ""}
          problem={problemAt(problems, "name")}
          onChange={(name) => put({ name })}
        />
        <TextLine
          label={msg("Lot")}
          value={draft.lot ?? ""}
          problem={problemAt(problems, "lot")}
          onChange={(lot) => put({ lot })}
        />
        <DayField label={msg("Not used from")} value={draft.expires} onChange={(expires) => put({ expires })} />
        <div className="grid grid-cols-2 gap-2">
          <Measure
            label={msg("Left")}
            quantity={amountQuantity(draft.unit ?? "")}
            value={draft.quantity}
            problem={problemAt(problems, "quantity")}
            onChange={(quantity) => put({ quantity })}
          />
          <label className="lab flex flex-col">
            {msg("Unit")}
            <select
              className="firm n h-14 px-2 text-16 font-semibold text-ink"
              value={draft.unit}
              onChange={(e) =>
                put({ unit: e.target.value, ...(e.target.value === "cm²" ? {} : { rollMm: undefined }) })
              }
            >
              {["g", "mL", "pieces", "cm²"].map((u) => (
                <option key={u} value={u}>
                  {unitOf(amountQuantity(u), system)}
                </option>
              ))}
            </select>
          </label>
          <Measure
            label={msg("Full pack")}
            quantity={amountQuantity(draft.unit ?? "")}
            value={draft.packQuantity}
            problem={problemAt(problems, "packQuantity")}
            onChange={(packQuantity) => put({ packQuantity })}
          />
          {draft.unit === "cm²" && (
            <Measure
              label={msg("Width of the roll")}
              quantity="length"
              value={draft.rollMm}
              problem={problemAt(problems, "rollMm")}
              onChange={(rollMm) => put({ rollMm })}
            />
          )}
          <Measure
            label={msg("Work time")}
            quantity={{ unit: "min" }}
            value={draft.workMin}
            problem={problemAt(problems, "workMin")}
            onChange={(workMin) => put({ workMin })}
          />
          <Measure
            label={msg("Flash")}
            quantity={{ unit: "min" }}
            value={draft.flashMin}
            problem={problemAt(problems, "flashMin")}
            onChange={(flashMin) => put({ flashMin })}
          />
          <Measure
            label={msg("Cream")}
            quantity={{ unit: "%" }}
            value={draft.dosePercent}
            problem={problemAt(problems, "dosePercent")}
            onChange={(dosePercent) => put({ dosePercent })}
          />
          <Measure
            label={msg("Density, mixed")}
            quantity={{ unit: "g/mL" }}
            value={draft.densityGPerMl}
            problem={problemAt(problems, "densityGPerMl")}
            onChange={(densityGPerMl) => put({ densityGPerMl })}
          />
          <Measure
            label={msg("A to B by volume")}
            quantity={{ unit: ": 1" }}
            value={draft.ratioByVolume}
            problem={problemAt(problems, "ratioByVolume")}
            onChange={(ratioByVolume) => put({ ratioByVolume })}
          />
          <Measure
            label={msg("A to B by weight")}
            quantity={{ unit: ": 1" }}
            value={draft.ratioByWeight}
            problem={problemAt(problems, "ratioByWeight")}
            onChange={(ratioByWeight) => put({ ratioByWeight })}
          />
        </div>
        {UNITS_OF_TYRES.has(draft.classId ?? "") && <UnitSizes draft={draft} put={put} problems={problems} />}
        <SandTimes draft={draft} put={put} problems={problems} />
        {draft.classId === "paper" && (
          <div className="grid grid-cols-2 gap-2">
            <label className="lab flex flex-col">
              {msg("Grading")}
              <select
                className="firm n h-14 px-2 text-16 font-semibold text-ink"
                value={draft.grading ?? ""}
                onChange={(e) => put({ grading: e.target.value || undefined })}
              >
                <option value="">{msg("which?")}</option>
                <option>{msg("P")}</option>
                <option>{msg("CAMI")}</option>
              </select>
            </label>
            <Measure
              label={msg("Grade")}
              quantity={{ unit: "" }}
              value={draft.grade}
              problem={problemAt(problems, "grade")}
              onChange={(grade) => put({ grade })}
            />
          </div>
        )}
        <button type="button" className="btn go" onClick={() => void save()}>
          {fresh ? msg("Put it on the shelf") : msg("Keep what the label says")}
        </button>
        <p role="status" className={problems.length > 0 ? "font-bold text-oxide-text" : ""}>
          {said}
        </p>
      </div>
      {!fresh && <History id={line.item.id} />}
    </section>
  );
}

function Acts({
  line,
  attempt,
}: {
  line: Line;
  attempt: (work: () => Promise<Line[]>, close: boolean) => Promise<void>;
}) {
  const [quantity, setQuantity] = useState<number>();
  const act = (name: string) =>
    attempt(
      () => send(`/api/shelf/${encodeURIComponent(line.item.id)}/acts`, "POST", { act: name, quantity, said: "" }),
      name === "DISCARD",
    );
  return (
    <div className="grid grid-cols-2 gap-2 p-4">
      <div className="col-span-2">
        <Measure
          label={msg("How much")}
          quantity={amountQuantity(line.item.unit)}
          value={quantity}
          onChange={setQuantity}
        />
      </div>
      <button type="button" className="btn" onClick={() => void act("RECEIVE")}>
        {msg("Received")}
      </button>
      <button type="button" className="btn" onClick={() => void act("USE")}>
        {msg("Used up")}
      </button>
      <button type="button" className="btn" disabled={line.item.opened !== undefined} onClick={() => void act("OPEN")}>
        {line.item.opened ? msg("Opened") : msg("Open it today")}
      </button>
      <button type="button" className="btn" onClick={() => void act("DISCARD")}>
        {msg("Throw away")}
      </button>
    </div>
  );
}

interface Piece {
  draft: Draft;
  put: (next: Partial<Draft>) => void;
}

function ClassPick({ draft, put, problem }: Piece & { problem: string | undefined }) {
  const classes = useRules().data?.classes ?? [];
  return (
    <label className="lab flex flex-col">
      {msg("Class of material")}
      <select
        className="firm n h-14 px-2 text-16 font-semibold text-ink"
        value={draft.classId ?? ""}
        onChange={(e) => put({ classId: e.target.value || undefined })}
      >
        <option value="">{msg("choose")}</option>
        {classes.map((c) => (
          <option key={c.id} value={c.id}>
            {c.name}
          </option>
        ))}
      </select>
      {problem && <span className="text-oxide-text text-14 font-bold">{problem}</span>}
    </label>
  );
}

function SandTimes({ draft, put, problems }: Piece & { problems: readonly Api["InputProblem"][] }) {
  const sand = draft.sand ?? [];
  const set = (i: number, next: Partial<Api["LabelTime"]>) =>
    put({ sand: sand.map((t, k) => (k === i ? { ...t, ...next } : t)) });
  return (
    <fieldset>
      <legend className="lab">{msg("Time to sand or dry, by temperature")}</legend>
      {sand.map((t, i) => (
        <div key={i} className="mb-1 grid grid-cols-[1fr_1fr_56px] items-end gap-2">
          <Measure
            label={msg("Minutes")}
            quantity={{ unit: "min" }}
            value={t.minutes}
            problem={problemAt(problems, `sand[${i}].minutes`)}
            onChange={(v) => set(i, { minutes: v ?? 0 })}
          />
          <Measure
            label={msg("At")}
            quantity="temperature"
            value={t.atC}
            problem={problemAt(problems, `sand[${i}].atC`)}
            onChange={(v) => set(i, { atC: v ?? 0 })}
          />
          <button
            type="button"
            className="firm grid size-14 place-items-center"
            aria-label={msg("Take label time {i} away", { i: i + 1 })}
            onClick={() => put({ sand: sand.filter((_, k) => k !== i) })}
          >
            <X size={18} aria-hidden="true" />
          </button>
        </div>
      ))}
      <button type="button" className="btn w-full" onClick={() => put({ sand: [...sand, { minutes: 15, atC: 21 }] })}>
        {msg("Another label time")}
      </button>
    </fieldset>
  );
}

function History({ id }: { id: string }) {
  const zone = useZone();
  const acts = useTold({
    queryKey: ["shelf", id, "acts"],
    queryFn: () => ask<Api["ActView"][]>(`/api/shelf/${encodeURIComponent(id)}/acts`),
  }).data;
  return (
    <>
      <Head title={msg("What was done")}>{acts?.length}</Head>
      <ul className="p-4">
        {acts?.map((a, i) => (
          <li key={i} className="border-b border-hair py-1">
            {msg("{at}: {ACT} by {by}", { at: dayAndTime(Date.parse(a.at), zone), ACT: ACT[a.act] ?? a.act, by: a.by })}
            {a.quantity > 0 && `, ${a.quantity}`}
            {a.said && `; ${a.said}`}
          </li>
        ))}
        {acts?.length === 0 && <li>{msg("Nothing yet.")}</li>}
      </ul>
    </>
  );
}

/** Classes that fill an injury of a tyre. */
const UNITS_OF_TYRES = new Set(["tyre-unit", "tyre-two-piece"]);

/** What a tyre unit fits; without all three it is not planned with. */
function UnitSizes({
  draft,
  put,
  problems,
}: {
  draft: Draft;
  put: (next: Partial<Draft>) => void;
  problems: readonly Api["InputProblem"][];
}) {
  return (
    <div className="grid grid-cols-2 gap-2">
      <Measure
        label={msg("Stem fills up to")}
        quantity="depth"
        value={draft.stemMm}
        problem={problemAt(problems, "stemMm")}
        onChange={(stemMm) => put({ stemMm })}
      />
      <Measure
        label={msg("Patch across")}
        quantity="length"
        value={draft.capMm}
        problem={problemAt(problems, "capMm")}
        onChange={(capMm) => put({ capMm })}
      />
      <label className="lab col-span-2 flex flex-col">
        {msg("For tyres of")}
        <select
          className="firm n h-14 px-2 text-16 font-semibold text-ink"
          value={draft.tyre ?? ""}
          onChange={(e) => put({ tyre: (e.target.value || undefined) as Draft["tyre"] })}
        >
          <option value="">{msg("which?")}</option>
          <option value="CAR">{msg("Car, light truck")}</option>
          <option value="TRUCK">{msg("Medium truck, bus")}</option>
        </select>
      </label>
    </div>
  );
}
