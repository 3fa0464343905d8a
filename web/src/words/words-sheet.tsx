import { msg } from "../messages/messages";
import { useState } from "react";
import { useCatalogue } from "../api/queries";
import { useFindKey } from "../shell/use-find-key";
import { type Term, termsIn } from "./find-terms";
import { TermList } from "./term-list";

/** All that is shown on the screen behind this sheet; stations kept out of sight are no part of it. */
const onScreen = () => document.querySelector("main")?.innerText ?? "";

const fits = (t: Term, asked: string) =>
  [t.word, ...t.forms].some((w) => w.toLowerCase().includes(asked)) || t.meaning.toLowerCase().includes(asked);

/** Every word of the trade: those on the screen first. */
export function WordsSheet() {
  const terms = useCatalogue().data?.terms ?? [];
  const [asked, setAsked] = useState("");
  // What stood there when the sheet was opened.
  const [screen] = useState(onScreen);
  const field = useFindKey();
  const here = termsIn(screen, terms);
  const word = asked.trim().toLowerCase();
  const others = terms.filter((t) => !here.includes(t)).sort((a, b) => a.word.localeCompare(b.word, "en"));
  const found = terms.filter((t) => fits(t, word));
  return (
    <div className="grid gap-5">
      <label className="grid gap-1">
        <span className="lab">{msg("Find a word")}</span>
        <input
          ref={field}
          className="firm bg-sheet h-14 px-3 text-20"
          value={asked}
          onChange={(e) => setAsked(e.target.value)}
        />
      </label>
      {word !== "" ? (
        found.length > 0 ? (
          <TermList terms={found} />
        ) : (
          <p className="text-20">{msg("No word of the trade has “{asked}” in it.", { asked: asked.trim() })}</p>
        )
      ) : (
        <>
          {here.length > 0 && (
            <section className="grid gap-3">
              <h3 className="hd">{msg("On this screen")}</h3>
              <TermList terms={here} />
            </section>
          )}
          <section className="grid gap-3">
            <h3 className="hd">{here.length > 0 ? msg("Others") : msg("Words of the trade")}</h3>
            <TermList terms={others} />
          </section>
        </>
      )}
      <p className="lab">
        {msg("How the trade commonly uses them. A label or a maker may mean something else: theirs holds.")}
      </p>
    </div>
  );
}
