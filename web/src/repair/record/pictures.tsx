import { msg, within } from "../../messages/messages";
import { useMutation } from "@tanstack/react-query";
import { Camera, Eraser } from "lucide-react";
import { useRef, useState } from "react";
import { ask, type Api } from "../../api/client";
import { keys, queryClient, useZone, useTold } from "../../api/queries";
import { Line } from "../../shell/field";
import { SheetDialog } from "../../shell/sheet-dialog";
import { dayAndTime } from "../../units/units";
import { useSendPicture } from "./send-picture";

type Picture = Api["Picture"];
type Moment = Picture["moment"];

const MOMENTS: readonly { moment: Moment; word: string }[] = [
  { moment: "BEFORE", word: msg("Before") },
  { moment: "DURING", word: msg("During") },
  { moment: "AFTER", word: msg("After") },
];
/** Pictures before, during and after: as evidence, so that one is taken away with a reason only. */
export function Pictures({ id }: { id: number }) {
  const pictures = useTold({
    queryKey: keys.pictures(id),
    queryFn: () => ask<Picture[]>(`/api/repairs/${id}/pictures`),
  });
  const add = useSendPicture(id);
  return (
    <section className="keep mt-5" aria-label={msg("Pictures")}>
      <h3 className="hd">{msg("Pictures")}</h3>
      {add.isError && (
        <p role="alert" className="flex items-center gap-4 py-1 font-bold text-oxide-text">
          {add.variables?.file.name}: {add.error.message}
          <button type="button" className="btn" onClick={add.again}>
            {msg("Send it again")}
          </button>
        </p>
      )}
      <div className="grid grid-cols-3 gap-3">
        {MOMENTS.map(({ moment, word }) => (
          <div key={moment}>
            <div className="flex items-center justify-between">
              <span className="lab">{word}</span>
              <Add
                word={word}
                busy={add.isPending && add.variables.moment === moment}
                onFile={(file) => add.mutate({ file, moment, clientId: crypto.randomUUID() })}
              />
            </div>
            {pictures.data
              ?.filter((p) => p.moment === moment)
              .map((p) => (
                <Shot key={p.id} id={id} picture={p} word={word} />
              ))}
          </div>
        ))}
      </div>
      {pictures.isError && <p className="font-bold text-oxide-text">{pictures.error.message}</p>}
    </section>
  );
}

function Add({ word, busy, onFile }: { word: string; busy: boolean; onFile: (file: File) => void }) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <span className="no-print">
      <input
        ref={input}
        type="file"
        accept="image/jpeg,image/png"
        className="hidden"
        aria-label={msg("Picture {word}", { word: within(word) })}
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = "";
          if (file) onFile(file);
        }}
      />
      <button type="button" className="btn" disabled={busy} onClick={() => input.current?.click()}>
        <Camera size={20} aria-hidden="true" /> {busy ? msg("Sending") : msg("Add {word}", { word: within(word) })}
      </button>
    </span>
  );
}

function Shot({ id, picture: p, word }: { id: number; picture: Picture; word: string }) {
  const zone = useZone();
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState("");
  const away = useMutation({
    mutationFn: () => ask<Picture[]>(`/api/pictures/${p.id}/away`, { method: "POST", body: { reason } }),
    onSuccess: (all) => {
      setOpen(false);
      queryClient.setQueryData(keys.pictures(id), all);
    },
  });
  return (
    <figure className="mt-1">
      <a href={`/api/pictures/${p.id}.jpg`} target="_blank" rel="noreferrer">
        <img
          src={`/api/pictures/${p.id}.jpg`}
          width={p.width}
          height={p.height}
          alt={msg("{word}, taken in {at} by {by}", { word, at: dayAndTime(p.at, zone), by: p.by })}
          className="firm block h-auto w-full"
        />
      </a>
      <figcaption className="lab flex items-center justify-between gap-2">
        <span>
          {dayAndTime(p.at, zone)}, {p.by}
        </span>
        <SheetDialog
          title={msg("Take this picture away")}
          told={msg("It is shown no more; that it was there, who took it away and why stays in the audit.")}
          open={open}
          onOpenChange={setOpen}
          trigger={
            <button
              type="button"
              className="no-print grid h-14 w-14 place-items-center"
              aria-label={msg("Take this picture away")}
            >
              <Eraser size={20} aria-hidden="true" />
            </button>
          }
        >
          <form
            className="flex flex-col gap-4"
            onSubmit={(e) => {
              e.preventDefault();
              away.mutate();
            }}
          >
            <Line label={msg("Why")} value={reason} onChange={setReason} problem={away.error?.message} />
            <button className="btn go" disabled={reason.trim() === "" || away.isPending}>
              {msg("Take it away")}
            </button>
          </form>
        </SheetDialog>
      </figcaption>
    </figure>
  );
}
