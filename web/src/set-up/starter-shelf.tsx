import { msg } from "../messages/messages";
import { useState } from "react";
import { ask, type Api } from "../api/client";
import { keys, queryClient, useTold } from "../api/queries";
import { amountQuantity, Measure } from "../shell/field";
import { minutes } from "../units/units";
import { type NotTaken, useRest } from "./not-taken";
import { useSaid } from "./use-said";

type Line = Api["StarterView"];

const STARTER = ["starter"] as const;

/** What is typical of a kind, to know it by. */
function typical({ work, sand }: Line["kind"]): string {
  const span = (of: readonly number[]) =>
    of.length === 0
      ? ""
      : of[0] === of.at(-1)
        ? minutes(of[0] ?? 0)
        : msg("{of} to {at}", { of: minutes(of[0] ?? 0), at: minutes(of.at(-1) ?? 0) });
  return [
    work.length > 0 && msg("work {work}", { work: span(work) }),
    sand.length > 0 && msg("sand after {sand}", { sand: span(sand) }),
  ]
    .filter(Boolean)
    .join(", ");
}

/** What a shop that begins ticks off: each with how much of it is there. */
export function ShelfStep({ restRef }: { restRef: NotTaken }) {
  const starter = useTold({ queryKey: STARTER, queryFn: () => ask<Line[]>("/api/shelf/starter") });
  const [ticked, setTicked] = useState<Record<string, { quantity?: number; rollMm?: number }>>({});
  const { said, attempt, problem } = useSaid();
  const lines = starter.data ?? [];
  const groups = [...new Set(lines.map((l) => l.item.group))];
  const many = Object.keys(ticked).length;
  const set = (id: string, next: { quantity?: number; rollMm?: number } | undefined) =>
    setTicked(({ [id]: was, ...rest }) => (next ? { ...rest, [id]: { ...was, ...next } } : rest));
  const take = () =>
    attempt(async () => {
      const taken = Object.entries(ticked).map(([id, of]) => ({ id, ...of }));
      queryClient.setQueryData(STARTER, await ask<Line[]>("/api/shelf/starter", { method: "POST", body: { taken } }));
      await queryClient.invalidateQueries({ queryKey: keys.shelf });
      setTicked({});
    }, msg("They stand on the shelf."));
  useRest(restRef, many > 0, take);
  return (
    <>
      {starter.isError && <p className="text-oxide-text font-bold">{starter.error.message}</p>}
      {groups.map((group) => (
        <section key={group} aria-label={group}>
          <h3 className="hd firm-b py-1">{group}</h3>
          <ul>
            {lines
              .filter((l) => l.item.group === group)
              .map((l) => {
                const { id, name, unit } = l.item;
                const tick = ticked[id];
                const usual = typical(l.kind);
                return (
                  <li key={id} className="flex flex-wrap items-center gap-x-4 border-b border-hair py-1">
                    <label className="flex min-h-14 min-w-64 flex-1 items-center gap-3">
                      <input
                        type="checkbox"
                        className="size-7 shrink-0 accent-[var(--pine)]"
                        checked={l.here || tick !== undefined}
                        disabled={l.here}
                        onChange={(e) => set(id, e.target.checked ? {} : undefined)}
                      />
                      <span>
                        <b>{name}</b>
                        {l.here ? (
                          <span className="lab block">{msg("stands on the shelf")}</span>
                        ) : (
                          usual && (
                            <span className="lab block">{msg("typical: {usual}; read the label", { usual })}</span>
                          )
                        )}
                      </span>
                    </label>
                    {tick && (
                      <div className="flex gap-2">
                        <div className="w-36">
                          <Measure
                            label={msg("How much is there")}
                            quantity={amountQuantity(unit)}
                            value={tick.quantity}
                            problem={problem(`${id}.quantity`)}
                            onChange={(quantity) => set(id, { quantity })}
                          />
                        </div>
                        {unit === "cm\u00b2" && (
                          <div className="w-36">
                            <Measure
                              label={msg("Roll, wide")}
                              quantity="length"
                              value={tick.rollMm}
                              problem={problem(`${id}.rollMm`)}
                              onChange={(rollMm) => set(id, { rollMm })}
                            />
                          </div>
                        )}
                      </div>
                    )}
                  </li>
                );
              })}
          </ul>
        </section>
      ))}
      {said}
      {many > 0 && (
        <button type="button" className="btn go sticky bottom-0 self-start" onClick={() => void take()}>
          {msg("Put {many} on the shelf", { many })}
        </button>
      )}
    </>
  );
}
