import { type ReactNode, useState } from "react";
import { ask } from "../api/client";
import { keptAnswers, queryClient } from "../api/queries";
import { keptDrafts } from "../repair/draft-desk";
import { useOutbox } from "../repair/run/outbox";
import { useMe } from "./me";
import { SheetDialog } from "./sheet-dialog";

const many = (n: number, one: string, more: string) => (n === 0 ? "" : `${n} ${n === 1 ? one : more}`);

/** Signs out; says first what is still waiting here, if anything is. */
export function SignOut({ trigger }: { trigger: ReactNode }) {
  const me = useMe();
  const acts = useOutbox().pending.length;
  const [open, setOpen] = useState(false);
  const [drafts, setDrafts] = useState(0);
  const [refused, setRefused] = useState("");
  const leave = async () => {
    try {
      await ask("/api/session", { method: "DELETE" });
    } catch (e) {
      setRefused(e instanceof Error ? e.message : String(e));
      setOpen(true);
      return;
    }
    await keptAnswers.forget();
    queryClient.clear();
    window.location.assign("/");
  };
  const one = acts + drafts === 1;
  const waits = [many(acts, "act at the bench", "acts at the bench"), many(drafts, "changed draft", "changed drafts")]
    .filter(Boolean)
    .join(" and ");
  return (
    <SheetDialog
      title="Sign out"
      trigger={trigger}
      open={open}
      onOpenChange={(next) => {
        const kept = keptDrafts(me.id);
        setDrafts(kept);
        setRefused("");
        if (next && acts === 0 && kept === 0) void leave();
        else setOpen(next);
      }}
    >
      {waits && (
        <p>
          <b>
            {waits} of yours {one ? "waits" : "wait"} here
          </b>{" "}
          and {one ? "is" : "are"} not with the server yet. What waits stays on this screen under your name, and goes
          when you sign in here again; nobody else can send it.
        </p>
      )}
      {refused && (
        <p role="alert" className="mt-3 font-bold text-oxide-text">
          You are still signed in: {refused}
        </p>
      )}
      <div className="mt-5 grid grid-cols-2 gap-2">
        <button className="btn" onClick={() => void leave()}>
          Sign out all the same
        </button>
        <button className="btn go" onClick={() => setOpen(false)}>
          Stay
        </button>
      </div>
    </SheetDialog>
  );
}
