import { msg, within } from "../../messages/messages";
import { told } from "../../messages/told";
import { X } from "lucide-react";
import { Dialog } from "radix-ui";
import { type PointerEvent as ReactPointerEvent, useRef, useState } from "react";
import type { Api } from "../../api/client";
import { useFilm } from "../../api/queries";
import { useSize } from "../../marks/use-size";
import { Choice, Measure } from "../../shell/field";
import { usePreferences } from "../../shell/preferences";
import { amountOf } from "../../units/units";
import type { DamageDraft } from "../damage/fresh";
import { Handles } from "../damage/place-handles";
import { drawn, movedTo, type Spot as At } from "../damage/shape";
import { RULE } from "../drawing/edge-rules";
import { type SpotMark, SpotOval } from "../drawing/spot-marks";
import { drawingOf } from "../sites";
import { useAsked } from "./asks";
import { FilmPicture, fieldOf } from "./film-picture";
import { FilmWarnings } from "./film-warnings";
import { LOW } from "./rework";
import { gateTextOf } from "./run-step-id";

type Draft = Pick<DamageDraft, "xMm" | "yMm" | "lengthMm" | "widthMm" | "angleDeg">;
type Sent = Pick<Api["EventDraft"], "answer" | "value" | "place">;

const TAP_PX = 8;
/** How large a spot is put down by a tap, mm, until it is drawn larger. */
const TAPPED_MM = 30;

/** Spots that what is in hand is about, as they are marked: those of its own gate, or of the gate that its rework was for. */
export function spotsOf(state: Api["RunState"], current: Api["RunStep"]): SpotMark[] {
  const at = current.step.kind === "GATE" ? current.id : gateTextOf(current.at);
  const branches = state.steps.find((s) => s.id === at)?.step.gate?.branches ?? [];
  return state.spots
    .filter((s) => s.step === at)
    .map((s) => ({
      said: told(branches.find((b) => b.id === s.branch)?.label ?? s.branch),
      place: s.place,
      depthMm: s.depthMm,
    }));
}

/** Where the gate finds something wanting: drawn with a finger or typed; the next mix, its papers and minutes are for these spots. */
export function Spots({
  run,
  state,
  current,
  open,
  onOpenChange,
  onSpot,
  onTakeBack,
  answer,
}: {
  run: Api["RunView"];
  state: Api["RunState"];
  current: Api["RunStep"];
  open: boolean;
  onOpenChange: (open: boolean) => void;
  onSpot: (spot: Sent) => void;
  /** Nothing of one's own to take back where it is undefined. */
  onTakeBack: (() => void) | undefined;
  answer: (branch: string) => void;
}) {
  const drawing = drawingOf(run.frozen.workup, current.step);
  const asked = useAsked();
  const { system } = usePreferences();
  const film = useFilm(run.id, run.state.lastUndoable ?? "", open).data?.film;
  const branches = current.step.gate?.branches ?? [];
  const [branch, setBranch] = useState(branches.find((b) => b.id === LOW)?.id ?? branches[0]?.id ?? "");
  const [d, setD] = useState<Draft>({});
  const [depth, setDepth] = useState<number>();
  const [typing, setTyping] = useState(false);
  const here = state.spots.filter((s) => s.step === current.id);
  const label = (id: string) => told(branches.find((b) => b.id === id)?.label ?? id);
  const marks = spotsOf(state, current);
  const low = branch === LOW;
  const zone = drawing.zones.find((z) => z.kind === current.step.zone);
  const deep = asked("DEPTH_MM");
  const across = asked("SPOT_MM");
  const tooDeep = depth !== undefined && (depth < Math.max(0.1, deep.from) || depth > deep.to);
  const off = (v: number | undefined) => v !== undefined && (v < across.from || v > across.to);
  const { xMm, yMm, lengthMm, widthMm, angleDeg } = d;
  const placed = xMm !== undefined && yMm !== undefined && lengthMm !== undefined && widthMm !== undefined;
  const ready = placed && !off(lengthMm) && !off(widthMm) && (!low || depth !== undefined) && !tooDeep;
  const down = () => {
    if (!ready) return;
    onSpot({
      answer: branch,
      place: { xMm, yMm, lengthMm, widthMm, angleDeg: angleDeg ?? 0 },
      ...(low && { value: depth }),
    });
    setD({});
    setDepth(undefined);
    setTyping(false);
  };
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Content className="bg-sheet fixed inset-0 z-50 flex flex-col" aria-describedby={undefined}>
          <div className="firm-b bg-ground flex h-[75px] shrink-0 items-center justify-between pl-4">
            <Dialog.Title className="min-w-0 truncate text-20 font-semibold sm:text-28">
              {msg("Draw what is wrong: {title}", { title: within(current.step.title) })}
            </Dialog.Title>
            <Dialog.Close className="firm-l grid h-full w-[75px] shrink-0 place-items-center" aria-label={msg("Close")}>
              <X size={30} aria-hidden="true" />
            </Dialog.Close>
          </div>
          <div className="grid min-h-0 flex-1 grid-cols-1 grid-rows-[minmax(200px,38%)_minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_400px] lg:grid-rows-1">
            <SpotDrawing {...{ drawing, film, zone, marks, d, setD }} />
            <div className="firm-t flex flex-col gap-3 overflow-y-auto p-4 lg:firm-l lg:border-t-0">
              <Choice
                label={msg("What is wrong there")}
                value={branch}
                options={branches.map((b) => ({ value: b.id, label: told(b.label) }))}
                onChange={setBranch}
              />
              <p>
                {placed
                  ? msg("Drag it by its handles, or type it.")
                  : msg("Tap where it is, or drag from its middle outward.")}
              </p>
              {low && (
                <Measure
                  large
                  label={msg("How deep it is")}
                  quantity="depth"
                  value={depth}
                  onChange={setDepth}
                  problem={tooDeep ? msg("That cannot be right: expected {told}.", { told: deep.told }) : undefined}
                />
              )}
              {!typing && !placed && (
                <button type="button" className="btn" onClick={() => setTyping(true)}>
                  {msg("Type where it is")}
                </button>
              )}
              <div className={typing || placed ? "grid grid-cols-2 gap-3" : "hidden"}>
                {(
                  [
                    ["lengthMm", msg("Length")],
                    ["widthMm", msg("Width")],
                    ["xMm", msg("From the left")],
                    ["yMm", msg("From below")],
                  ] as const
                ).map(([field, name]) => (
                  <Measure
                    key={field}
                    label={name}
                    quantity="length"
                    value={d[field]}
                    onChange={(v) => setD((was) => ({ ...was, [field]: v }))}
                    problem={
                      (field === "lengthMm" || field === "widthMm") && off(d[field])
                        ? msg("That cannot be right: expected {told}.", { told: across.told })
                        : undefined
                    }
                  />
                ))}
              </div>
              {(typing || placed) && (
                <button type="button" className="btn go min-h-[72px] text-20" disabled={!ready} onClick={down}>
                  {msg("Put it down: {what}", { what: within(label(branch)) })}
                </button>
              )}
              {film?.thickest && (
                <p className="lab">{msg("Grains: the larger, the thicker it lies there. Dashed: sanded to here.")}</p>
              )}
              <FilmWarnings warnings={film?.warnings ?? []} />
              {here.length > 0 && (
                <ul className="flex flex-col" aria-label={msg("Spots here")}>
                  {here.map((s, i) => (
                    <li key={s.event} className="flex min-h-14 items-center gap-3 border-t border-hair py-1">
                      <span className="min-w-0 flex-1">
                        <b>{label(s.branch)}</b>{" "}
                        {msg("{length} by {width}", {
                          length: amountOf(s.place.lengthMm, "mm", system),
                          width: amountOf(s.place.widthMm, "mm", system),
                        })}
                        {s.depthMm !== undefined && msg(", {depth} deep", { depth: amountOf(s.depthMm, "mm", system) })}
                      </span>
                      {i === here.length - 1 && state.lastUndoable === s.event && onTakeBack && (
                        <button type="button" className="btn" onClick={onTakeBack}>
                          {msg("Take back")}
                        </button>
                      )}
                    </li>
                  ))}
                </ul>
              )}
              {here.length > 0 && (
                <div className="mt-auto flex flex-col gap-2">
                  {[...new Set(here.map((s) => s.branch))].map((b) => (
                    <button
                      key={b}
                      type="button"
                      className="btn min-h-[72px] text-20"
                      onClick={() => {
                        onOpenChange(false);
                        answer(b);
                      }}
                    >
                      {msg("Not yet: {what}, {note}", {
                        what: within(label(b)),
                        note: told(branches.find((x) => x.id === b)?.note ?? ""),
                      })}
                    </button>
                  ))}
                </div>
              )}
            </div>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** The part from nearby, what lies on it, the spots that were put down and the one in hand. */
function SpotDrawing({
  drawing,
  film,
  zone,
  marks,
  d,
  setD,
}: {
  drawing: Api["Drawing"];
  film: Api["FilmMap"] | undefined;
  zone: Api["DrawnZone"] | undefined;
  marks: readonly SpotMark[];
  d: Draft;
  setD: (d: Draft) => void;
}) {
  const [ref, { width, height }] = useSize("spots");
  const svg = useRef<SVGSVGElement>(null);
  const [hand, setHand] = useState<{ from: At; x: number; y: number; draws: boolean }>();
  const p = fieldOf(drawing, film, zone, {
    left: RULE,
    top: RULE,
    width: Math.max(40, width - RULE),
    height: Math.max(40, height - RULE),
  });
  const at = (e: { clientX: number; clientY: number }): At => {
    const box = svg.current?.getBoundingClientRect();
    const inside = (v: number, most: number) => Math.min(most, Math.max(0, v));
    return {
      x: inside(p.x0 + (e.clientX - (box?.left ?? 0) - p.left) / p.perMm, drawing.widthMm),
      y: inside(p.y0 + (p.top + p.height - (e.clientY - (box?.top ?? 0))) / p.perMm, drawing.heightMm),
    };
  };
  const { xMm, yMm } = d;
  const [lengthMm, widthMm] = [d.lengthMm ?? d.widthMm ?? TAPPED_MM, d.widthMm ?? d.lengthMm ?? TAPPED_MM];
  const shown = { kind: "DENT" as const, ...d, lengthMm, widthMm };
  return (
    <div ref={ref} className="h-full min-h-0 w-full overflow-hidden">
      {width > 0 && height > 0 && (
        <FilmPicture
          {...{ drawing, film, zone, p, width, height, svg }}
          spots={marks}
          onDown={(e: ReactPointerEvent) => {
            e.currentTarget.setPointerCapture(e.pointerId);
            setHand({ from: at(e), x: e.clientX, y: e.clientY, draws: false });
          }}
          onMove={(e: ReactPointerEvent) => {
            if (!hand || (!hand.draws && Math.hypot(e.clientX - hand.x, e.clientY - hand.y) < TAP_PX)) return;
            setHand({ ...hand, draws: true });
            setD({ ...d, angleDeg: 0, ...drawn({ kind: "DENT" }, hand.from, at(e)) });
          }}
          onUp={() => {
            if (hand && !hand.draws) setD({ ...d, lengthMm, widthMm, ...movedTo({ kind: "DENT" }, hand.from) });
            setHand(undefined);
          }}
        >
          {xMm !== undefined && yMm !== undefined && (
            <>
              <SpotOval
                place={{ xMm, yMm, lengthMm, widthMm, angleDeg: d.angleDeg ?? 0 }}
                p={p}
                stroke="var(--violet)"
              />
              <Handles d={shown} p={p} at={at} name={msg("Spot")} onChange={(next) => setD({ ...d, ...next })} />
            </>
          )}
        </FilmPicture>
      )}
    </div>
  );
}
