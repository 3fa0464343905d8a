import { KEYS } from "./keys";
import { usePreferences } from "./preferences";
import { SheetDialog } from "./sheet-dialog";

/** All keys on one sheet, and the switches for sound and voice. */
export function KeysDialog({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const { sound, voice, turn } = usePreferences();
  return (
    <SheetDialog title="Keys" open={open} onOpenChange={onOpenChange}>
      <dl className="grid grid-cols-[130px_1fr] gap-y-2">
        {KEYS.map((k) => (
          <div key={k.keys} className="contents">
            <dt className="n font-semibold">{k.keys}</dt>
            <dd>{k.does}</dd>
          </div>
        ))}
      </dl>
      <button className="btn mt-5 w-full" aria-pressed={sound} onClick={() => turn({ sound: !sound })}>
        {sound ? "Sound is on: turn it off" : "Sound is off: turn it on"}
      </button>
      <button className="btn mt-2 w-full" aria-pressed={voice} onClick={() => turn({ voice: !voice })}>
        {voice ? "Work times are spoken: turn it off" : "Work times are not spoken: turn it on"}
      </button>
    </SheetDialog>
  );
}
