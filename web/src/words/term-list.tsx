import type { Term } from "./find-terms";
import { TermPicture } from "./term-picture";

/** Words of the trade with their pictures and what they mean. */
export function TermList({ terms }: { terms: readonly Term[] }) {
  return (
    <dl className="grid gap-4">
      {terms.map((t) => (
        <div key={t.id} className="grid grid-cols-[104px_minmax(0,1fr)] gap-x-4">
          <div className="h-18">
            <TermPicture id={t.id} />
          </div>
          <div>
            <dt className="text-20 font-semibold">{t.word}</dt>
            <dd>{t.meaning}</dd>
          </div>
        </div>
      ))}
    </dl>
  );
}
