import { useState } from "react";
import { Line } from "../../shell/field";
import { SheetDialog } from "../../shell/sheet-dialog";

/** Why something is done, in words that stand in the record; a tap puts in what is often said. */
export function SayDialog({
  title,
  told,
  label,
  often = [],
  act,
  first = "",
  open,
  onOpenChange,
  onSaid,
}: {
  title: string;
  told: string;
  label: string;
  often?: readonly string[];
  act: string;
  first?: string;
  open: boolean;
  onOpenChange: (open: boolean) => void;
  onSaid: (why: string) => void;
}) {
  return (
    <SheetDialog title={title} told={told} open={open} onOpenChange={onOpenChange}>
      {open && (
        <Say
          label={label}
          often={often}
          act={act}
          first={first}
          onSaid={(why) => {
            onOpenChange(false);
            onSaid(why);
          }}
        />
      )}
    </SheetDialog>
  );
}

function Say({
  label,
  often,
  act,
  first,
  onSaid,
}: {
  label: string;
  often: readonly string[];
  act: string;
  first: string;
  onSaid: (why: string) => void;
}) {
  const [why, setWhy] = useState(first);
  const ready = why.trim() !== "";
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        if (ready) onSaid(why.trim());
      }}
    >
      {often.length > 0 && (
        <div className="flex flex-wrap gap-2">
          {often.map((o) => (
            <button key={o} type="button" className="btn min-h-14" onClick={() => setWhy(o)}>
              {o}
            </button>
          ))}
        </div>
      )}
      <Line label={label} value={why} onChange={setWhy} />
      <button className="btn go min-h-[72px] text-20" disabled={!ready}>
        {act}
      </button>
    </form>
  );
}
