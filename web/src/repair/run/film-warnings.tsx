import { TriangleAlert } from "lucide-react";
import type { Api } from "../../api/client";

/** What to look at before more is laid or taken. */
export function FilmWarnings({ warnings }: { warnings: Api["FilmMap"]["warnings"] }) {
  return (
    <>
      {warnings.map((w) => (
        <p key={w.sign} role="alert" className="firm flex gap-3 border-oxide p-3">
          <TriangleAlert size={24} className="shrink-0 text-oxide-text" aria-hidden="true" />
          <span>
            <b className="text-oxide-text">{w.title}</b> {w.said}
          </span>
        </p>
      ))}
    </>
  );
}
