import { msg } from "../../messages/messages";
import { useState } from "react";
import { SheetDialog } from "../../shell/sheet-dialog";

/** A remark to the step in hand. */
export function NoteDialog({
  open,
  onOpenChange,
  onNote,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  onNote: (text: string) => void;
}) {
  const [text, setText] = useState("");
  const keep = () => {
    if (text.trim() === "") return;
    onNote(text.trim());
    setText("");
    onOpenChange(false);
  };
  return (
    <SheetDialog title={msg("Note")} open={open} onOpenChange={onOpenChange}>
      <form
        className="flex flex-col gap-4"
        onSubmit={(e) => {
          e.preventDefault();
          keep();
        }}
      >
        <label className="flex flex-col gap-1 text-20 font-semibold">
          {msg("What should stand in the record?")}
          <textarea
            className="firm min-h-32 p-3 text-20 font-normal"
            value={text}
            maxLength={2000}
            onChange={(e) => setText(e.target.value)}
            onKeyDown={(e) => {
              if (e.key === "Enter" && !e.shiftKey) {
                e.preventDefault();
                keep();
              }
            }}
          />
        </label>
        <button className="btn go min-h-[72px] text-20" disabled={text.trim() === ""}>
          {msg("Keep the note")}
        </button>
      </form>
    </SheetDialog>
  );
}
