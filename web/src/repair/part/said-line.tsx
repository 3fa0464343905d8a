import { keepPreviousData } from "@tanstack/react-query";
import { useState } from "react";
import { ask, type Api } from "../../api/client";
import { useTold } from "../../api/queries";
import { Line } from "../../shell/field";
import type { DraftOnScreen } from "../use-draft";
import { withSaid } from "./said";

const FIELDS: Record<Api["Understood"]["field"], string> = {
  VEHICLE: "vehicle",
  PART: "part",
  MATERIAL: "as a rule made of",
  METAL: "metal",
  COMPOSITE: "composite",
  MARK: "mark",
  DAMAGE: "damage",
  LENGTH: "length",
  WIDTH: "width",
  DEPTH: "depth",
  GAUGE: "thickness",
  THROUGH: "how deep",
};

/** A new repair in one line of plain words: what was understood stands below it, word by word, and goes into the draft when it is said to. */
export function SaidLine({ on }: { on: DraftOnScreen }) {
  const [line, setLine] = useState("");
  // Offered where nothing is said yet, and left there while fields are typed: nothing moves away under a finger.
  const [offered, setOffered] = useState(!on.draft?.part?.name && (on.draft?.damages ?? []).length === 0);
  const said = useTold({
    queryKey: ["intake", line],
    queryFn: ({ signal }) => ask<Api["Said"]>("/api/intake", { method: "POST", body: { line }, signal }),
    enabled: line.trim() !== "",
    placeholderData: keepPreviousData,
  });
  if (!offered) return null;
  const told = line.trim() === "" ? undefined : said.data;
  return (
    <section aria-label="Say it in one line" className="firm flex flex-col gap-2 p-3">
      <Line
        label="Say it in one line, such as: front bumper PP-EPDM crack 120 mm through"
        value={line}
        problem={said.isError ? said.error.message : undefined}
        onChange={setLine}
      />
      {told && (
        <>
          <ul>
            {told.understood.map((u, i) => (
              <li key={i} className="flex justify-between gap-3 border-t border-hair py-1">
                <span className="min-w-0">{u.words}</span>
                <span className="text-right">
                  <span className="lab">{FIELDS[u.field]}</span> <b>{u.as}</b>
                </span>
              </li>
            ))}
          </ul>
          {told.left.length > 0 && (
            <p className="font-bold">Not understood: {told.left.join(", ")}. Say it in the fields below.</p>
          )}
          <button
            type="button"
            className="btn go"
            disabled={told.understood.length === 0 || said.isPlaceholderData}
            onClick={() => {
              on.change((d) => withSaid(d, told));
              setOffered(false);
            }}
          >
            Put it into the draft
          </button>
        </>
      )}
    </section>
  );
}
