import { msg } from "../messages/messages";
import { keepPreviousData } from "@tanstack/react-query";
import { Check, X } from "lucide-react";
import { type ReactNode, useState } from "react";
import { ask, type Api } from "../api/client";
import { useTold } from "../api/queries";
import { Measure } from "../shell/field";
import { usePreferences } from "../shell/preferences";
import { length, percent } from "../units/units";

/** Rules of thumb, tried: what they really give and what that leads to. */
export function Try({ book }: { book: Api["RulesView"] }) {
  return (
    <div className="grid grid-cols-2 gap-x-6">
      <Bead />
      <Grit book={book} />
      <Overlap />
      <Flash />
      <Ratio />
    </div>
  );
}

function useThumb<T>(path: string, ready: boolean) {
  return useTold({
    queryKey: ["thumb", path],
    queryFn: () => ask<T>(path),
    enabled: ready,
    placeholderData: keepPreviousData,
  });
}

function Bench({ title, told, children }: { title: string; told: string; children: ReactNode }) {
  return (
    <section className="border-b border-hair p-4" aria-label={title}>
      <h2 className="text-20 font-semibold">{title}</h2>
      <p className="mb-2">{told}</p>
      {children}
    </section>
  );
}

function Answer({ view, error }: { view: Api["ThumbView"] | undefined; error: Error | null }) {
  if (error) return <p className="mt-2 font-bold text-oxide-text">{error.message}</p>;
  if (!view) return null;
  return (
    <div className="mt-2" aria-live="polite">
      {view.figures.map((f) => (
        <p key={f} className="n text-20 font-semibold">
          {f}
        </p>
      ))}
      <p className="mt-1 flex gap-2">
        {view.good ? (
          <Check className="text-pine-text shrink-0" size={22} aria-label={msg("holds up")} />
        ) : (
          <X className="text-oxide-text shrink-0" size={22} aria-label={msg("does not hold up")} />
        )}
        <b>{view.leadsTo}</b>
      </p>
    </div>
  );
}

function Bead() {
  const [puddleMm, setPuddle] = useState<number | undefined>(80);
  const [beadMm, setBead] = useState<number | undefined>(80);
  const { system } = usePreferences();
  const { data, error } = useThumb<Api["BeadView"]>(
    `/api/bead?puddleMm=${puddleMm}&beadMm=${beadMm}`,
    puddleMm !== undefined && beadMm !== undefined,
  );
  return (
    <Bench
      title={msg("Bead across the puddle")}
      told={msg("A bead from edge to edge is the right dose on one size of puddle only.")}
    >
      <div className="grid grid-cols-2 gap-2">
        <Measure label={msg("Puddle across")} quantity="length" value={puddleMm} onChange={setPuddle} />
        <Measure label={msg("Bead")} quantity="length" value={beadMm} onChange={setBead} />
      </div>
      <Answer
        error={error}
        view={
          data && {
            figures: [
              msg("{percent} of cream", { percent: percent(data.percent) }),
              msg("{rightBeadMm} of bead would be {nominalPercent}", {
                rightBeadMm: length(data.rightBeadMm, system),
                nominalPercent: percent(data.nominalPercent),
              }),
            ],
            leadsTo: data.said,
            good: data.good,
          }
        }
      />
    </Bench>
  );
}

function Grit({ book }: { book: Api["RulesView"] }) {
  const papers = book.gradings.flatMap((g) => Object.keys(g.grades).map((n) => `${g.id} ${n}`));
  const [from, setFrom] = useState("P 80");
  const [to, setTo] = useState("P 220");
  const part = (p: string) => p.split(" ");
  const path = `/api/thumb/grit?fromGrading=${part(from)[0]}&from=${part(from)[1]}&toGrading=${part(to)[0]}&to=${part(to)[1]}`;
  const { data, error } = useThumb<Api["ThumbView"]>(path, true);
  const pick = (label: string, value: string, set: (v: string) => void) => (
    <label className="lab flex flex-col">
      {label}
      <select
        className="firm n h-14 px-2 text-20 font-semibold text-ink"
        value={value}
        onChange={(e) => set(e.target.value)}
      >
        {papers.map((p) => (
          <option key={p}>{p}</option>
        ))}
      </select>
    </label>
  );
  return (
    <Bench title={msg("Jump of papers")} told={msg("The same number on another grading is not the same grain.")}>
      <div className="grid grid-cols-2 gap-2">
        {pick(msg("From"), from, setFrom)}
        {pick(msg("To"), to, setTo)}
      </div>
      <Answer view={data} error={error} />
    </Bench>
  );
}

function Overlap() {
  const [zoneMm, setZone] = useState<number | undefined>(300);
  const [spreaderMm, setSpreader] = useState<number | undefined>(120);
  const [overlapPercent, setOverlap] = useState<number | undefined>(10);
  const { data, error } = useThumb<Api["ThumbView"]>(
    `/api/thumb/overlap?zoneMm=${zoneMm}&spreaderMm=${spreaderMm}&overlapPercent=${overlapPercent}`,
    zoneMm !== undefined && spreaderMm !== undefined && overlapPercent !== undefined,
  );
  return (
    <Bench title={msg("Overlap of strokes")} told={msg("A third of the spreader is the bench rule.")}>
      <div className="grid grid-cols-3 gap-2">
        <Measure label={msg("Zone across")} quantity="length" value={zoneMm} onChange={setZone} />
        <Measure label={msg("Spreader")} quantity="length" value={spreaderMm} onChange={setSpreader} />
        <Measure label={msg("Overlap")} quantity={{ unit: "%" }} value={overlapPercent} onChange={setOverlap} />
      </div>
      <Answer view={data} error={error} />
    </Bench>
  );
}

function Flash() {
  const [minutes, setMinutes] = useState<number | undefined>(5);
  const { data, error } = useThumb<Api["ThumbView"]>(`/api/thumb/flash?minutes=${minutes}`, minutes !== undefined);
  return (
    <Bench
      title={msg("Flash of promoter")}
      told={msg("In today's shop air; the touch decides, never the clock alone.")}
    >
      <Measure label={msg("Waited")} quantity={{ unit: "min" }} value={minutes} onChange={setMinutes} />
      <Answer view={data} error={error} />
    </Bench>
  );
}

function Ratio() {
  const [eew, setEew] = useState<number | undefined>(190);
  const [ahew, setAhew] = useState<number | undefined>(43);
  const [resinDensity, setResin] = useState<number | undefined>(1.15);
  const [hardenerDensity, setHardener] = useState<number | undefined>(0.97);
  const [toOne, setToOne] = useState<number | undefined>(2);
  const all = [eew, ahew, resinDensity, hardenerDensity, toOne];
  const { data, error } = useThumb<Api["ThumbView"]>(
    `/api/thumb/ratio?eew=${eew}&ahew=${ahew}&resinDensity=${resinDensity}&hardenerDensity=${hardenerDensity}&toOne=${toOne}`,
    all.every((v) => v !== undefined),
  );
  return (
    <Bench
      title={msg("Resin to hardener")}
      told={msg(
        "By volume is not by weight. The equivalents stand in the data sheets; the label's ratio is what is mixed.",
      )}
    >
      <div className="grid grid-cols-2 gap-2">
        <Measure label={msg("Resin's equivalent weight")} quantity={{ unit: "g" }} value={eew} onChange={setEew} />
        <Measure label={msg("Hardener's equivalent weight")} quantity={{ unit: "g" }} value={ahew} onChange={setAhew} />
        <Measure label={msg("Resin's density")} quantity={{ unit: "g/mL" }} value={resinDensity} onChange={setResin} />
        <Measure
          label={msg("Hardener's density")}
          quantity={{ unit: "g/mL" }}
          value={hardenerDensity}
          onChange={setHardener}
        />
        <Measure label={msg("Mixed by volume")} quantity={{ unit: ": 1" }} value={toOne} onChange={setToOne} />
      </div>
      <Answer view={data} error={error} />
    </Bench>
  );
}
