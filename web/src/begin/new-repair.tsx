import { msg, within } from "../messages/messages";
import { keepPreviousData } from "@tanstack/react-query";
import { Check, Minus } from "lucide-react";
import { type ReactNode, useEffect, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { ask, type Api } from "../api/client";
import { useCatalogue, useTold } from "../api/queries";
import { assumedWords } from "../repair/assumed";
import type { Kind } from "../repair/damage/fresh";
import { Head } from "../repair/sheet";
import { dialogOpen, useKeys } from "../shell/keys";
import { useLeadOn } from "../shell/lead-on";
import { usePreferences } from "../shell/preferences";
import { begun, offered } from "./begun";
import { DamagePicture, PartPicture } from "./pictures";
import { SaidWords } from "./said-words";
import { Vehicles, type Like } from "./vehicles";
import { useTitle } from "../shell/title";

/** A new repair: what it is and what is wrong with it, said in one line or touched. */
export default function NewRepair() {
  useTitle(msg("New repair"));
  const navigate = useNavigate();
  const asking = useLeadOn();
  const { system } = usePreferences();
  const catalogue = useCatalogue().data;
  const [clientId] = useState(() => crypto.randomUUID());
  const [line, setLine] = useState("");
  const [part, setPart] = useState<string>();
  const [touched, setTouched] = useState<Partial<Record<Kind, number>>>({});
  const [typedVehicle, setVehicle] = useState<string>();
  const [like, setLike] = useState<Like>();
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState("");
  const heard = useTold({
    queryKey: ["intake", line],
    queryFn: ({ signal }) => ask<Api["Said"]>("/api/intake", { method: "POST", body: { line }, signal }),
    enabled: line.trim() !== "",
    placeholderData: keepPreviousData,
  });
  const said = line.trim() === "" ? undefined : heard.data;
  const typicals = catalogue?.typicalParts ?? [];
  const vehicle = typedVehicle ?? said?.vehicle ?? "";
  const typical = typicals.find((t) => t.id === part);
  const picked = part ?? (like ? undefined : said?.typical);
  const draft = begun({ said, typical, touched, vehicle, like }, typicals, catalogue?.damages ?? []);
  const saidOf = (kind: Kind) => said?.damages.filter((d) => d.kind === kind).length ?? 0;
  const known = picked !== undefined || like !== undefined || said?.material !== undefined;
  const material = draft.part?.made?.material ?? "METAL";
  const kinds = offered({ said, typical, touched, vehicle, like }, known, typicals, catalogue?.damages ?? []);
  const misfits = (draft.damages ?? []).filter(
    (d) => !catalogue?.damages.find((k) => k.kind === d.kind)?.materials.includes(material),
  );
  const hearing = line.trim() !== "" && heard.isFetching;
  const ready = (known || (draft.damages ?? []).length > 0) && misfits.length === 0 && !hearing;
  // A hand is faster than the server: Next that is asked for while the line is read comes when it is.
  const wished = useRef(false);
  const make = async () => {
    wished.current = hearing;
    if (!ready || busy) return;
    setBusy(true);
    setRefused("");
    const leadOn = asking();
    try {
      const made = await ask<Api["RepairView"]>("/api/repairs", { method: "POST", body: { clientId, draft } });
      leadOn(`/repairs/${made.id}/part`, { replace: true });
    } catch (e) {
      setRefused(e instanceof Error ? e.message : String(e));
      setBusy(false);
    }
  };
  useEffect(() => {
    if (wished.current && !hearing) void make();
  });
  useKeys((e) => {
    if (dialogOpen()) return;
    const pressed = e.target instanceof HTMLElement && e.target.closest("button, a");
    if (e.key === "Enter" && !pressed) void make();
    if (e.key === "Escape") void navigate("/repairs");
  });
  const add = (kind: Kind, n: number) =>
    setTouched((t) => ({ ...t, [kind]: Math.max(0, Math.min(20, (t[kind] ?? 0) + n)) }));
  const assumed = assumedWords(draft.part ?? {}, system);
  const why = refused ? refused : misfits.length > 0 ? cannotBeOn(material, words(misfits, catalogue?.damages)) : "";
  return (
    <>
      <div className="firm-b flex min-h-[58px] shrink-0 flex-wrap items-stretch">
        <h1 className="flex items-center px-4 text-28 font-semibold" style={{ fontStretch: "88%" }}>
          {msg("New repair")}
        </h1>
        <span className="flex items-center text-muted max-[699px]:hidden">
          {msg("what it is, and what is wrong with it")}
        </span>
        <button
          type="button"
          className="firm-l n ml-auto min-h-14 px-5 text-20 font-semibold"
          onClick={() => void navigate("/repairs")}
        >
          {msg("Leave it")}
        </button>
      </div>
      <div className="flex min-h-0 flex-1 overflow-y-auto max-[1099px]:flex-col min-[1100px]:overflow-hidden">
        <div className="min-w-0 flex-1 min-[1100px]:overflow-y-auto">
          <section className="flex flex-col gap-2 px-4 py-3" aria-label={msg("Say it in one line")}>
            <label htmlFor="line" className="lab">
              {msg("Say it in one line, or touch a part and a damage")}
            </label>
            <input
              id="line"
              className="firm h-16 w-full border-2 px-3 text-20 font-medium"
              maxLength={300}
              autoComplete="off"
              placeholder={msg("front bumper PP-EPDM crack 120 mm through")}
              value={line}
              onChange={(e) => {
                wished.current = false;
                setLine(e.target.value);
              }}
            />
            {heard.isError && line.trim() !== "" && <p className="text-oxide-text font-bold">{heard.error.message}</p>}
            {said && <SaidWords said={said} />}
          </section>
          <Head title={msg("The part")}>{picked && !part && msg("as said; touch another to change it")}</Head>
          <Tiles least={120} label={msg("The part")}>
            {typicals.map((t) => (
              <Tile
                key={t.id}
                word={t.word}
                on={picked === t.id}
                onClick={() => {
                  setPart(part === t.id ? undefined : t.id);
                  setLike(undefined);
                }}
              >
                <PartPicture id={t.id} />
              </Tile>
            ))}
          </Tiles>
          <Head title={msg("The damage")}>{msg("more than one: touch it again; each is placed by itself")}</Head>
          <Tiles least={112} label={msg("The damage")}>
            {kinds.map((k) => (
              <Tile
                key={k.kind}
                word={k.word}
                on={(touched[k.kind] ?? 0) + saidOf(k.kind) > 0}
                count={(touched[k.kind] ?? 0) + saidOf(k.kind)}
                less={(touched[k.kind] ?? 0) > 0 ? () => add(k.kind, -1) : undefined}
                onClick={() => add(k.kind, 1)}
              >
                <DamagePicture kind={k.kind} />
              </Tile>
            ))}
          </Tiles>
        </div>
        <Vehicles
          vehicle={vehicle}
          onVehicle={setVehicle}
          like={like}
          onLike={(next) => {
            setLike(next);
            setPart(undefined);
            if (next && !vehicle) setVehicle(next.vehicle);
          }}
        />
      </div>
      <div className="firm-t flex min-h-20 shrink-0 items-stretch">
        <div className="flex min-w-0 flex-1 flex-col justify-center px-4 py-2" aria-live="polite">
          {why ? (
            <p className="font-bold text-oxide-text">{why}</p>
          ) : assumed.length > 0 ? (
            <p>
              <b>{msg("Usual, not measured:")}</b>{" "}
              {msg("{assumed}. Each stands dashed until you type over it.", { assumed: assumed.join(", ") })}
            </p>
          ) : (
            <p className="text-muted">{msg("Nothing is put down that you have not said or touched.")}</p>
          )}
        </div>
        <button
          type="button"
          className="bg-pine text-on-pine disabled:bg-ground disabled:text-muted n flex min-w-40 items-center justify-center gap-4 px-6 text-28 font-bold min-[700px]:w-[300px]"
          disabled={!ready || busy}
          onClick={() => void make()}
        >
          {msg("Next")}
        </button>
      </div>
    </>
  );
}

function words(misfits: readonly Api["DamageDraft"][], known: Api["CatalogueView"]["damages"] | undefined): string {
  return [...new Set(misfits.map((d) => known?.find((k) => k.kind === d.kind)?.word ?? msg("That")))].join(", ");
}

function Tiles({ least, label, children }: { least: number; label: string; children: ReactNode }) {
  return (
    <div
      role="group"
      aria-label={label}
      className="grid border-l border-hair"
      style={{ gridTemplateColumns: `repeat(auto-fill, minmax(${least}px, 1fr))` }}
    >
      {children}
    </div>
  );
}

/** A picture to touch; how often it was touched stands on it. */
function Tile({
  word,
  on,
  count,
  less,
  onClick,
  children,
}: {
  word: string;
  on: boolean;
  count?: number;
  less?: () => void;
  onClick: () => void;
  children: ReactNode;
}) {
  return (
    <div className="relative -ml-px border border-t-0 border-hair">
      <button
        type="button"
        aria-pressed={on}
        aria-label={count ? `${word}, ${count}` : word}
        className={`flex h-[98px] w-full flex-col items-center justify-between gap-1 px-1 pt-2 pb-1.5 ${on ? "outline-4 -outline-offset-4 outline-violet" : ""}`}
        onClick={onClick}
      >
        <span className={`grid min-h-0 w-full flex-1 place-items-center ${less ? "pr-2 pl-12" : "px-2"}`}>
          {children}
        </span>
        <span className={`n text-center text-16 leading-[18px] ${on ? "font-bold" : "font-semibold"}`}>{word}</span>
      </button>
      {on && (
        <span className="bg-violet pointer-events-none absolute top-1 right-1 grid size-7 place-items-center text-16 font-bold text-[#f6f7f4]">
          {count ?? <Check size={18} strokeWidth={3} aria-hidden="true" />}
        </span>
      )}
      {less && (
        <button
          type="button"
          className="firm absolute top-1 left-1 grid size-11 place-items-center bg-sheet"
          aria-label={msg("One {word} less", { word: within(word) })}
          onClick={less}
        >
          <Minus size={18} aria-hidden="true" />
        </button>
      )}
    </div>
  );
}

function cannotBeOn(material: string | undefined, damage: string): string {
  if (material === "TYRE") return msg("{damage} cannot be on a tyre: touch another part, or take it away.", { damage });
  if (material === "GLASS")
    return msg("{damage} cannot be on a pane: touch another part, or take it away.", { damage });
  return msg("{damage} cannot be on this part: touch another part, or take it away.", { damage });
}
