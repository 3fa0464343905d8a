import { msg } from "../../messages/messages";
import { Trash2 } from "lucide-react";
import { useState } from "react";
import { ask } from "../../api/client";
import { keys, queryClient } from "../../api/queries";
import { useLeadOn } from "../../shell/lead-on";
import { useMay } from "../../shell/me";
import { SheetDialog } from "../../shell/sheet-dialog";

/** Throws a draft away whose work has not begun. */
export function ThrowAway({ id, name }: { id: number; name: string }) {
  const may = useMay("DRAFT_AWAY");
  const asking = useLeadOn();
  const [open, setOpen] = useState(false);
  const [refused, setRefused] = useState("");
  if (!may) return null;
  const away = async () => {
    const leadOn = asking();
    try {
      await ask(`/api/repairs/${id}`, { method: "DELETE" });
      await queryClient.invalidateQueries({ queryKey: keys.repairs });
      leadOn("/repairs");
    } catch (e) {
      setRefused(e instanceof Error ? e.message : String(e));
    }
  };
  return (
    <div className="p-4">
      <SheetDialog
        title={msg("Throw “{n}” away", { n: name || msg("this draft") })}
        told={msg("It leaves every list for good. No work has begun on it, so no record is lost.")}
        trigger={
          <button type="button" className="btn w-full">
            <Trash2 size={20} aria-hidden="true" /> {msg("Throw this draft away")}
          </button>
        }
        open={open}
        onOpenChange={(next) => {
          setOpen(next);
          setRefused("");
        }}
      >
        {refused && (
          <p role="alert" className="mb-3 font-bold text-oxide-text">
            {refused}
          </p>
        )}
        <div className="grid grid-cols-2 gap-2">
          <button type="button" className="btn go" onClick={() => setOpen(false)}>
            {msg("Keep it")}
          </button>
          <button type="button" className="btn" onClick={() => void away()}>
            {msg("Throw it away")}
          </button>
        </div>
      </SheetDialog>
    </div>
  );
}
