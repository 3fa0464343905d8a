import { useState } from "react";
import { ask, type Api } from "../api/client";
import { Head } from "../repair/sheet";
import { usePreferences } from "../shell/preferences";
import { inUnits } from "../units/text";

const WORD: Record<Api["ImportLine"]["outcome"], string> = {
  TAKEN: "new",
  CHANGED: "changed",
  SAME: "as it is",
  REFUSED: "refused",
};

/** The shelf as a file: out as CSV or JSON; in with a look at every line before anything is taken. */
export function ShelfFile({ onTaken }: { onTaken: () => void }) {
  const [text, setText] = useState("");
  const [read, setRead] = useState<Api["ImportView"]>();
  const { system } = usePreferences();
  const view = inUnits(read, system);
  const [refused, setRefused] = useState("");
  const look = async (file: string, take: boolean) => {
    setRefused("");
    try {
      setRead(
        await ask<Api["ImportView"]>(take ? "/api/shelf/file" : "/api/shelf/file/preview", {
          method: "POST",
          body: { text: file },
        }),
      );
      if (take) onTaken();
    } catch (e) {
      setRefused(e instanceof Error ? e.message : String(e));
    }
  };
  const pick = async (file: File | undefined) => {
    if (!file) return;
    const words = await file.text();
    setText(words);
    await look(words, false);
  };
  return (
    <>
      <Head title="Out" />
      <div className="flex gap-2 p-4">
        <a className="btn" href="/api/shelf/file?format=csv" download>
          Shelf as CSV
        </a>
        <a className="btn" href="/api/shelf/file?format=json" download>
          Shelf as JSON
        </a>
        <a className="btn" href="/schemas/shelf.schema.json" download>
          Schema of the JSON
        </a>
      </div>
      <Head title="In">nothing is taken before you have seen every line</Head>
      <div className="flex flex-col gap-3 p-4">
        <label className="lab flex flex-col">
          A CSV or JSON file
          <input
            type="file"
            accept=".csv,.json,text/csv,application/json"
            className="firm min-h-14 p-3 text-16 text-ink"
            onChange={(e) => void pick(e.target.files?.[0])}
          />
        </label>
        {refused && <p className="font-bold text-oxide-text">{refused}</p>}
        {view && (
          <>
            <p className="text-20 font-semibold" role="status">
              {view.kept ? "Taken: " : "Would be: "}
              {view.taken} new, {view.changed} changed, {view.same} as they are, {view.refused} refused.
            </p>
            {!view.kept && view.taken + view.changed > 0 && (
              <button type="button" className="btn go" onClick={() => void look(text, true)}>
                Take {view.taken + view.changed} {view.taken + view.changed === 1 ? "line" : "lines"}
                {view.refused > 0 ? `, leave ${view.refused}` : ""}
              </button>
            )}
            <table className="w-full text-left">
              <thead className="lab">
                <tr>
                  <th className="py-2 pr-3">Line</th>
                  <th className="pr-3">Id</th>
                  <th className="pr-3">What comes of it</th>
                  <th>Why</th>
                </tr>
              </thead>
              <tbody>
                {view.lines.map((l) => (
                  <tr key={l.line} className="border-t border-hair align-top">
                    <td className="n py-2 pr-3">{l.line}</td>
                    <td className="n pr-3 break-all">{l.id}</td>
                    <td className={`pr-3 font-bold ${l.outcome === "REFUSED" ? "text-oxide-text" : ""}`}>
                      {WORD[l.outcome]}
                    </td>
                    <td>{l.said}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </>
        )}
      </div>
    </>
  );
}
