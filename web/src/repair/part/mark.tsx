import { msg } from "../../messages/messages";
import { useId } from "react";
import type { Api } from "../../api/client";
import { Hatches, type HatchName, Swatch } from "../../marks/hatch";
import { useIdentified } from "./identify";

const FILLER_HATCH: Record<string, HatchName> = { G: "cloth", C: "cloth", R: "cloth", A: "cloth" };

/** A moulded mark: typed, read by the server, drawn as its layers of meaning; a wrong one shows the very character. */
export function MarkField({
  mark,
  frozen,
  onChange,
}: {
  mark: string;
  frozen: boolean;
  onChange: (mark: string) => void;
}) {
  const id = useId();
  const view = useIdentified(mark, [], mark.trim() !== "").data;
  const reading = mark.trim() === "" ? undefined : view?.reading;
  const wrong = reading && !reading.mark;
  return (
    <div>
      <label htmlFor={id} className="lab block">
        {msg("Moulded mark, as it stands there")}
      </label>
      <input
        id={id}
        className={`firm n h-14 w-full px-2.5 text-20 font-semibold ${wrong ? "border-oxide" : ""} ${frozen ? "bg-ground" : ""}`}
        value={mark}
        disabled={frozen}
        autoComplete="off"
        spellCheck={false}
        placeholder={msg(">PP+EPDM-TD20<")}
        aria-invalid={Boolean(wrong)}
        aria-describedby={wrong ? `${id}-wrong` : undefined}
        onChange={(e) => onChange(e.target.value)}
      />
      {mark === "" && <p className="lab mt-1">{msg("No mark: leave it empty and test at the bench.")}</p>}
      {reading && wrong && (
        <div id={`${id}-wrong`} className="mt-1" role="status">
          <p className="n text-28 font-semibold break-all" aria-hidden="true">
            {[...mark.trim().padEnd(reading.to)].map((c, i) => (
              <span
                key={i}
                className={
                  i + 1 >= reading.from && i + 1 <= reading.to ? "border-oxide text-oxide-text border-b-4" : ""
                }
              >
                {c === " " ? "\u00a0" : c}
              </span>
            ))}
          </p>
          <p className="text-oxide-text text-14 font-bold">
            {reading.from === reading.to
              ? msg("Character {from}", { from: reading.from })
              : msg("Characters {from} to {to}", { from: reading.from, to: reading.to })}
            : {reading.says}.
          </p>
        </div>
      )}
      {reading?.mark && <MarkDrawing mark={reading.mark} />}
    </div>
  );
}

/** Layers of meaning: shares of polymer and fillers by mass, each with its name. */
function MarkDrawing({ mark }: { mark: Api["Mark"] }) {
  const id = useId();
  return (
    <figure className="mt-2" aria-label={msg("Mark read as {written}", { written: mark.written })}>
      <svg className="absolute size-0" aria-hidden="true">
        <Hatches id={id} />
      </svg>
      <p className="n text-20 font-semibold">{mark.written}</p>
      {mark.layers.map((l, i) => {
        const filled = l.fillerPercent ?? 0;
        const rest = 100 - filled;
        const shares = [
          ...l.blend.map((t, k) => ({
            key: t.symbol + k,
            hatch: (k === 0 ? "part" : "backing") as HatchName,
            share: l.blend.length === 1 ? rest : k === 0 ? rest * 0.6 : (rest * 0.4) / (l.blend.length - 1),
            words: `${t.symbol}: ${t.name}${t.plasticizerName ? msg(", with {plasticizerName}", { plasticizerName: t.plasticizerName }) : ""}`,
            figure:
              l.blend.length === 1 && l.fillers.length > 0
                ? `${rest} %`
                : k === 0 && l.blend.length > 1
                  ? msg("main")
                  : "",
          })),
          ...l.fillers.map((f) => ({
            key: f.code,
            hatch: FILLER_HATCH[f.code[0] ?? ""] ?? ("fill" as HatchName),
            share: f.percent ?? filled / l.fillers.length,
            words: `${f.code}: ${f.name}`,
            figure: f.percent !== undefined ? `${f.percent} %` : msg("of {filled} %", { filled }),
          })),
        ];
        return (
          <div key={i} className="mt-1">
            {mark.layers.length > 1 && (
              <p className="lab">
                {i === 0 ? msg("visible layer") : msg("layer {i}", { i: i + 1 })}
                {l.mainMass ? msg(", main mass") : ""}
              </p>
            )}
            <svg className="firm block h-8 w-full" preserveAspectRatio="none" viewBox="0 0 100 10" aria-hidden="true">
              {
                shares.reduce<{ x: number; out: React.ReactNode[] }>(
                  (sum, s) => ({
                    x: sum.x + s.share,
                    out: [
                      ...sum.out,
                      <rect
                        key={s.key}
                        x={sum.x}
                        width={s.share}
                        height="10"
                        fill={`url(#${id}-${s.hatch})`}
                        stroke="var(--ink)"
                        strokeWidth="0.4"
                      />,
                    ],
                  }),
                  { x: 0, out: [] },
                ).out
              }
            </svg>
            <ul>
              {shares.map((s) => (
                <li key={s.key} className="mt-1 flex items-center gap-2">
                  <Swatch id={id} hatch={s.hatch} size={18} />
                  <span className="min-w-0 flex-1">{s.words}</span>
                  <span className="n font-semibold whitespace-nowrap">{s.figure.replace(" ", "\u202f")}</span>
                </li>
              ))}
              {l.flameRetardants.map((f) => (
                <li key={f.code} className="mt-1">
                  {msg("FR({code}): {name}", { code: f.code, name: f.name })}
                </li>
              ))}
            </ul>
          </div>
        );
      })}
      {mark.notes.map((n) => (
        <p key={n} className="mt-1 font-bold">
          {n}
        </p>
      ))}
    </figure>
  );
}
