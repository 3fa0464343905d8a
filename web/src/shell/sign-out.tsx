import { msg } from "../messages/messages";
import { type ReactNode, useState } from "react";
import { ask } from "../api/client";
import { keptAnswers, queryClient } from "../api/queries";
import { keptDrafts } from "../repair/draft-desk";
import { useOutbox } from "../repair/run/outbox";
import { useMe } from "./me";
import { SheetDialog } from "./sheet-dialog";

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
  const n = acts + drafts;
  const what =
    acts === 0
      ? msg("{drafts, plural, one {# changed draft} other {# changed drafts}}", { drafts })
      : drafts === 0
        ? msg("{acts, plural, one {# act at the bench} other {# acts at the bench}}", { acts })
        : msg(
            "{acts, plural, one {# act at the bench} other {# acts at the bench}} and {drafts, plural, one {# changed draft} other {# changed drafts}}",
            { acts, drafts },
          );
  return (
    <SheetDialog
      title={msg("Sign out")}
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
      {n > 0 && (
        <p>
          <b>{msg("{what} of yours {n, plural, one {waits} other {wait}} here", { what, n })}</b>{" "}
          {msg(
            "and {n, plural, one {is} other {are}} not with the server yet. What waits stays on this screen under your name, and goes when you sign in here again; nobody else can send it.",
            { n },
          )}
        </p>
      )}
      {refused && (
        <p role="alert" className="mt-3 font-bold text-oxide-text">
          {msg("You are still signed in: {refused}", { refused })}
        </p>
      )}
      <div className="mt-5 grid grid-cols-2 gap-2">
        <button className="btn" onClick={() => void leave()}>
          {msg("Sign out all the same")}
        </button>
        <button className="btn go" onClick={() => setOpen(false)}>
          {msg("Stay")}
        </button>
      </div>
    </SheetDialog>
  );
}
