import { msg } from "../../messages/messages";
import { told } from "../../messages/told";
import { ShieldAlert } from "lucide-react";
import { useState } from "react";
import type { Api } from "../../api/client";
import { useCatalogue } from "../../api/queries";

const READ = "vanemend.cautions-read";
const MOST_KEPT = 400;

/** Cautions that were read on this screen, as run and caution. */
function readBefore(): string[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(READ) ?? "[]");
    return Array.isArray(kept) ? kept.filter((k): k is string => typeof k === "string") : [];
  } catch {
    return [];
  }
}

/**
 * The cautions of the step in hand: each in full until it was read once in this run, then as its sign; a touch of the sign shows it again. They come
 * before anything else of the step is said.
 */
export function Cautions({ run, cautions }: { run: number; cautions: readonly Api["Caution"][] }) {
  const signs = useCatalogue().data?.cautionSigns ?? {};
  const [read, setRead] = useState(readBefore);
  const [again, setAgain] = useState<string>();
  if (cautions.length === 0) return null;
  const key = (c: Api["Caution"]) => `${run} ${c.id}`;
  const take = (some: readonly Api["Caution"][]) => {
    const next = [...new Set([...read, ...some.map(key)])].slice(-MOST_KEPT);
    setRead(next);
    localStorage.setItem(READ, JSON.stringify(next));
  };
  const fresh = cautions.filter((c) => !read.includes(key(c)));
  const known = cautions.filter((c) => read.includes(key(c)));
  const shown = known.find((c) => c.id === again);
  return (
    <section aria-label={msg("Cautions")} className="flex flex-col gap-1">
      {[...fresh, ...(shown ? [shown] : [])].map((c) => (
        <p key={c.id} className="flex items-start gap-2 text-16 font-bold sm:text-20">
          <ShieldAlert className="text-oxide mt-0.5 shrink-0" size={26} aria-label={msg("Caution")} />
          {c.text}
        </p>
      ))}
      <div className="flex flex-wrap gap-1">
        {fresh.length > 0 && (
          <button type="button" className="btn min-h-[72px]" onClick={() => take(fresh)}>
            {msg("Read")}
          </button>
        )}
        {known.map((c) => (
          <button
            key={c.id}
            type="button"
            aria-expanded={again === c.id}
            className="btn min-h-[72px] gap-1.5 px-3"
            onClick={() => setAgain(again === c.id ? undefined : c.id)}
          >
            <ShieldAlert className="text-oxide shrink-0" size={22} aria-hidden="true" />
            {told(signs[c.id] ?? "") || msg("Caution")}
          </button>
        ))}
      </div>
    </section>
  );
}
