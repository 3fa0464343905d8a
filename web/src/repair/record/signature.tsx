import { msg } from "../../messages/messages";
import { PenLine, Undo2 } from "lucide-react";
import { useState } from "react";
import { type Api, fresh } from "../../api/client";
import { now as serverNow } from "../../api/clock";
import { useZone } from "../../api/queries";
import { Line } from "../../shell/field";
import { useMay } from "../../shell/me";
import { dayAndTime } from "../../units/units";
import { outbox, usePending } from "../run/outbox";

/** What the lead said of the finished work, and the lead's own two answers. */
export function Signature({ view }: { view: Api["RecordView"] }) {
  const { id, record, newest, signature, origin } = view;
  const zone = useZone();
  const maySign = useMay("SIGN");
  const [why, setWhy] = useState("");
  const [back, setBack] = useState(false);
  const waits = usePending(id).some((e) => e.kind === "SIGN");
  if (!record.finishedAt && !record.ended) return null;
  const sign = async (answer: "signed" | "back", text = "") => {
    if (!(await fresh())) return;
    outbox.push(id, {
      id: crypto.randomUUID(),
      kind: "SIGN",
      at: new Date(serverNow()).toISOString(),
      answer,
      text,
      target: newest,
    });
    setBack(false);
    setWhy("");
  };
  const { signed } = record;
  return (
    <section aria-label={msg("Signature")} className="keep flex flex-wrap items-center gap-3 border-b border-hair py-3">
      <p className="min-w-60 flex-1 text-20">
        {signed === undefined && msg("Not signed yet.")}
        {signed?.stands && <b>{msg("Signed by {by}, {at}", { by: signed.by, at: dayAndTime(signed.at, zone) })}</b>}
        {signed && !signed.stands && (
          <b className="text-oxide-text">
            {msg("Sent back by {by}, {at}: {why}", { by: signed.by, at: dayAndTime(signed.at, zone), why: signed.why })}
          </b>
        )}
        {signed?.stands && signature?.holds && (
          <span className="lab block">
            {msg("for plans and events with the digest")} <Digits of={signature.digest} />
          </span>
        )}
        {signature && !signature.holds && (
          <b role="alert" className="block text-oxide-text">
            {msg("What is kept is not what was signed: somebody changed it in the store. Tell the lead.")}
          </b>
        )}
        {origin && (
          <span className={origin.seal === "NONE" ? "block text-16 font-bold text-oxide-text" : "lab block"}>
            {origin.seal === "NONE" &&
              msg("Read in from a file without a seal: nobody can tell whether it was changed.")}
            {origin.seal === "OWN" &&
              msg("Read in from a file that this installation sealed; it is as it was written.")}
            {origin.seal === "OTHER" && (
              <>
                {msg("Read in as it was written, sealed by the installation")} <Digits of={origin.by ?? ""} />
              </>
            )}
          </span>
        )}
      </p>
      {maySign && !signed?.stands && !back && (
        <div className="no-print flex gap-2">
          <button type="button" className="btn" disabled={waits} onClick={() => setBack(true)}>
            <Undo2 size={20} aria-hidden="true" /> {msg("Send back")}
          </button>
          <button type="button" className="btn go" disabled={waits} onClick={() => void sign("signed")}>
            <PenLine size={20} aria-hidden="true" /> {msg("Sign")}
          </button>
        </div>
      )}
      {back && (
        <form
          className="flex w-full items-end gap-2"
          onSubmit={(e) => {
            e.preventDefault();
            if (why.trim()) void sign("back", why.trim());
          }}
        >
          <div className="flex-1">
            <Line label={msg("Why does it go back?")} value={why} onChange={setWhy} />
          </div>
          <button type="button" className="btn" onClick={() => setBack(false)}>
            {msg("Leave it")}
          </button>
          <button className="btn go" disabled={why.trim() === ""}>
            {msg("Send back")}
          </button>
        </form>
      )}
    </section>
  );
}

/** The first of many digits, told apart by fours; the whole of them on pointing. */
export function Digits({ of }: { of: string }) {
  return (
    <span className="n" title={of}>
      {of.slice(0, 16).replace(/(.{4})(?=.)/g, "$1\u202f")}…
    </span>
  );
}
