import { msg } from "../messages/messages";
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
      <div className={`relative min-h-14 ${className}`}>
        <p>
          {pieces(text, terms).map((p, i) =>
            p.term ? (
              <span key={i} className="decoration-muted underline decoration-dotted decoration-2 underline-offset-4">
                {p.text}
              </span>
            ) : (
              p.text
            ),
          )}
        </p>
        {/* Over the text, so that the text is read as a text and not as the name of a button. */}
        <button
          type="button"
          aria-haspopup="dialog"
          aria-label={msg("What the words mean")}
          className="absolute inset-0"
          onClick={() => setOpen(true)}
        />
      </div>
      <SheetDialog title={msg("What the words mean")} open={open} onOpenChange={setOpen}>
        <TermList terms={found} />
      </SheetDialog>
    </>
  );
}
