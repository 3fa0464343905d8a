import { useState } from "react";
import { useCatalogue } from "../api/queries";
import { SheetDialog } from "../shell/sheet-dialog";
import { pieces, termsIn } from "./find-terms";
import { TermList } from "./term-list";

/**
 * A text of the trade. Its words that a newcomer may not know are dotted under; a tap anywhere on the text explains them: a gloved finger need not
 * find one word.
 */
export function Explained({ text, className = "" }: { text: string; className?: string }) {
  const terms = useCatalogue().data?.terms ?? [];
  const [open, setOpen] = useState(false);
  const found = termsIn(text, terms);
  if (text === "") return null;
  if (found.length === 0) return <p className={className}>{text}</p>;
  return (
    <>
      <button
        type="button"
        aria-haspopup="dialog"
        className={`min-h-14 text-left ${className}`}
        onClick={() => setOpen(true)}
      >
        {pieces(text, terms).map((p, i) =>
          p.term ? (
            <span key={i} className="decoration-muted underline decoration-dotted decoration-2 underline-offset-4">
              {p.text}
            </span>
          ) : (
            p.text
          ),
        )}
      </button>
      <SheetDialog title="What the words mean" open={open} onOpenChange={setOpen}>
        <TermList terms={found} />
      </SheetDialog>
    </>
  );
}
