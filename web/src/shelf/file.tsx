import { msg } from "../messages/messages";
import { useState } from "react";
import { ask, type Api } from "../api/client";
import { Head } from "../repair/sheet";
import { usePreferences } from "../shell/preferences";
import { inUnits } from "../units/text";

const WORD: Record<Api["ImportLine"]["outcome"], string> = {
  TAKEN: "new",
  CHANGED: "changed",
  SAME: msg("as it is"),
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
      <Head title={msg("Out")} />
      <div className="flex gap-2 p-4">
        <a className="btn" href="/api/shelf/file?format=csv" download>
          {msg("Shelf as CSV")}
        </a>
        <a className="btn" href="/api/shelf/file?format=json" download>
          {msg("Shelf as JSON")}
        </a>
        <a className="btn" href="/schemas/shelf.schema.json" download>
          {msg("Schema of the JSON")}
        </a>
      </div>
      <Head title={msg("In")}>{msg("nothing is taken before you have seen every line")}</Head>
      <div className="flex flex-col gap-3 p-4">
        <label className="lab flex flex-col">
          {msg("A CSV or JSON file")}
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
              {view.kept ? msg("Taken:") : msg("Would be:")}{" "}
              {msg("{taken} new, {changed} changed, {same} as they are, {refused} refused.", {
                taken: view.taken,
                changed: view.changed,
                same: view.same,
                refused: view.refused,
              })}
            </p>
            {!view.kept && view.taken + view.changed > 0 && (
              <button type="button" className="btn go" onClick={() => void look(text, true)}>
                {view.refused > 0
                  ? msg("Take {n, plural, one {# line} other {# lines}}, leave {refused}", {
                      n: view.taken + view.changed,
                      refused: view.refused,
                    })
                  : msg("Take {n, plural, one {# line} other {# lines}}", { n: view.taken + view.changed })}
              </button>
            )}
            <table className="w-full text-left">
              <thead className="lab">
                <tr>
                  <th className="py-2 pr-3">{msg("Line")}</th>
                  <th className="pr-3">{msg("Id")}</th>
                  <th className="pr-3">{msg("What comes of it")}</th>
                  <th>{msg("Why")}</th>
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
