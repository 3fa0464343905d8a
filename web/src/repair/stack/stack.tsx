import { ChevronDown, Pin, X } from "lucide-react";
import { useId } from "react";
import type { Api } from "../../api/client";
import { grainOf, Hatches, type HatchName, Swatch } from "../../marks/hatch";
import { useSaid } from "../../shell/preferences";
import { litByLayer, useLit } from "../drawing/lit";
import { Schools } from "../schools";
import { Head } from "../sheet";
import { turned } from "../turned";
import type { DraftOnScreen } from "../use-draft";
import { NotYet } from "../verdict/verdict";

type Line = Api["StackLine"];
type Role = Line["role"];

const ROLE: Record<Role, string> = {
  CLEAN: "Clean",
  WIPE: "Wipe",
  PRIME: "Prime",
  FILL: "Fill",
  FINISH: "Finish",
  PINHOLE: "Pinholes",
  SURFACE: "Surfacer",
  GUIDE: "Guide coat",
  PAPER: "Papers",
};
const HATCH: Partial<Record<Role, HatchName>> = {
  FILL: "fill",
  FINISH: "finish",
  PRIME: "coat",
  GUIDE: "guide",
  PINHOLE: "finish",
};
const LAYER: Partial<Record<Role, string>> = { FILL: "filler", FINISH: "putty", PRIME: "coats-kept", PINHOLE: "putty" };

/** Station 4: what will be used, from the shelf; and what is ruled out, and why. */
export function StackStation({
  on,
  workup,
  frozen,
}: {
  on: DraftOnScreen;
  workup: Api["Workup"] | undefined;
  frozen: boolean;
}) {
  const id = useId();
  const say = useSaid();
  if (!workup) return <NotYet what="a stack" />;
  const { lines, ruledOut, fillNote, papers } = workup.stack;
  const pin = (role: Role, item: string | undefined) =>
    on.change((d) => ({ ...d, pins: turned(d.pins as Partial<Record<Role, string>>, role, item) }));
  return (
    <>
      <svg className="absolute size-0" aria-hidden="true">
        <Hatches id={id} />
      </svg>
      <Head title="Stack">from the shelf</Head>
      <p className="firm-b px-4 py-2.5 font-bold">{say(fillNote)}</p>
      {lines.map((l) => (
        <StackRow key={l.role} line={l} id={id} frozen={frozen} pin={pin} />
      ))}
      <div className="border-b border-hair px-4 py-3">
        <div className="lab">Papers that may be used</div>
        <div className="mt-1 flex flex-wrap gap-1.5">
          {papers.map((p) => (
            <span key={p.id} className="firm n flex h-8 items-center gap-1.5 px-1.5 text-14 font-semibold">
              <Swatch id={id} hatch={grainOf(String(p.grade ?? ""))} size={16} />
              {p.grading}
              {p.grading === "P" ? "" : " "}
              {p.grade}
            </span>
          ))}
          {papers.length === 0 && <span className="font-bold text-oxide-text">none on the shelf</span>}
        </div>
      </div>
      <Head title="Ruled out">{ruledOut.length}</Head>
      <ul>
        {ruledOut.map((r) => (
          <li key={r.itemId} className="flex gap-3 border-b border-hair px-4 py-2.5">
            <X className="text-oxide mt-0.5 shrink-0" size={20} aria-hidden="true" />
            <div>
              <div className="hd">{r.name}</div>
              <div className="lab">
                {ROLE[r.role]}, lot {r.lot}
              </div>
              <div>{say(r.reason)}</div>
            </div>
          </li>
        ))}
      </ul>
      <Schools on={on} station="stack" frozen={frozen} />
    </>
  );
}

function StackRow({
  line,
  id,
  frozen,
  pin,
}: {
  line: Line;
  id: string;
  frozen: boolean;
  pin: (role: Role, item: string | undefined) => void;
}) {
  const { lit, light } = useLit();
  const layer = LAYER[line.role];
  const hatch = HATCH[line.role] ?? "clean";
  const on = layer !== undefined && lit.layer === layer;
  return (
    <details
      className={`border-b border-hair ${on ? "outline-violet outline-3 -outline-offset-3" : ""}`}
      onPointerEnter={() => light(layer ? litByLayer(layer) : {})}
      onPointerLeave={() => light({})}
    >
      <summary className="flex min-h-14 cursor-pointer items-center gap-3 px-4 py-2">
        <Swatch id={id} hatch={hatch} size={24} />
        <span className="min-w-0 flex-1">
          <span className="lab flex items-center gap-1">
            {ROLE[line.role]}
            {line.pinned && <Pin size={14} aria-label="pinned" />}
          </span>
          {line.chosen ? (
            <>
              <span className="hd block">{line.chosen.item.name}</span>
              <span className="lab block">
                lot {line.chosen.item.lot}; {line.chosen.why}
              </span>
            </>
          ) : (
            <span className="block font-bold text-oxide-text">{line.missing}</span>
          )}
        </span>
        <ChevronDown size={18} aria-hidden="true" className="shrink-0" />
      </summary>
      <div className="flex flex-col gap-1 px-4 pb-3">
        {line.candidates.map((c) => {
          const chosen = c.item.id === line.chosen?.item.id;
          return (
            <button
              key={c.item.id}
              type="button"
              disabled={frozen}
              aria-pressed={chosen}
              className={`firm min-h-14 px-3 py-1 text-left ${chosen ? "bg-ink text-sheet" : ""}`}
              onClick={() => pin(line.role, chosen && line.pinned ? undefined : c.item.id)}
            >
              <span className="hd block">{c.item.name}</span>
              <span className="text-14 block">
                lot {c.item.lot}, {c.why}
                {c.item.workMin !== undefined && `, work ${c.item.workMin}\u202fmin by label`}
                {chosen && line.pinned ? "; pinned, tap to let go" : ""}
              </span>
            </button>
          );
        })}
        {line.candidates.length === 0 && <p>Nothing else on the shelf would do.</p>}
      </div>
    </details>
  );
}
