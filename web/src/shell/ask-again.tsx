import { msg } from "../messages/messages";
import { useEffect, useRef, useState } from "react";
import { ask, whenAskedAgain } from "../api/client";
import { Line } from "./field";
import { SheetDialog } from "./sheet-dialog";

/** Asks for the password once more where the server wants it, then lets what was asked go on. */
export function AskAgain() {
  const [open, setOpen] = useState(false);
  const [password, setPassword] = useState("");
  const [refused, setRefused] = useState("");
  const answer = useRef<((given: boolean) => void) | undefined>(undefined);
  useEffect(() => {
    whenAskedAgain(() => {
      answer.current?.(false);
      setPassword("");
      setRefused("");
      setOpen(true);
      return new Promise((resolve) => (answer.current = resolve));
    });
    return () => {
      whenAskedAgain(() => Promise.resolve(false));
    };
  }, []);
  const close = (given: boolean) => {
    setOpen(false);
    answer.current?.(given);
    answer.current = undefined;
  };
  const send = async () => {
    try {
      await ask("/api/session/again", { method: "POST", body: { password } });
      close(true);
    } catch (e) {
      setRefused(e instanceof Error ? e.message : String(e));
    }
  };
  return (
    <SheetDialog
      title={msg("Your password once more")}
      told={msg("You signed in a good while ago, and only a lead may do this. What you typed is kept.")}
      open={open}
      onOpenChange={(next) => !next && close(false)}
    >
      <form
        onSubmit={(e) => {
          e.preventDefault();
          void send();
        }}
      >
        <Line
          label={msg("Password")}
          secret="current-password"
          value={password}
          problem={refused || undefined}
          onChange={setPassword}
        />
        <div className="mt-5 grid grid-cols-2 gap-2">
          <button type="button" className="btn" onClick={() => close(false)}>
            {msg("Leave it")}
          </button>
          <button className="btn go" disabled={password === ""}>
            {msg("Go on")}
          </button>
        </div>
      </form>
    </SheetDialog>
  );
}
