import { msg } from "../messages/messages";
import { type ReactNode, useState } from "react";
import { ask, type Api } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { Line, problemAt } from "./field";
import { FormDialog } from "./form-dialog";
import { useMe } from "./me";
import { SecondFactor } from "./second-factor";

const EMPTY = { old: "", password: "", again: "" };

/** A new password of one's own. */
export function MyPassword({ trigger }: { trigger: ReactNode }) {
  const me = useMe();
  const [typed, setTyped] = useState(EMPTY);
  const set = (next: Partial<typeof EMPTY>) => setTyped((t) => ({ ...t, ...next }));
  return (
    <FormDialog
      title={msg("My sign-in")}
      told={msg(
        "{name}, you sign in as {id}. With a new password you are out at once wherever else you are signed in.",
        { name: me.name, id: me.id },
      )}
      act={msg("Take this password")}
      trigger={trigger}
      onOpen={() => setTyped(EMPTY)}
      below={<SecondFactor />}
      send={async () => {
        if (typed.password !== typed.again) throw new Error(msg("The new password was not typed the same twice."));
        const session = await ask<Api["Session"]>("/api/session/password", {
          method: "PUT",
          body: { old: typed.old, password: typed.password },
        });
        queryClient.setQueryData(keys.session, session);
      }}
    >
      {(problems) => (
        <>
          <Line
            label={msg("Password now")}
            secret="current-password"
            value={typed.old}
            problem={problemAt(problems, "person.old")}
            onChange={(old) => set({ old })}
          />
          <Line
            label={msg("New password")}
            secret="new-password"
            value={typed.password}
            problem={problemAt(problems, "person.password")}
            onChange={(password) => set({ password })}
          />
          <Line
            label={msg("New password again")}
            secret="new-password"
            value={typed.again}
            onChange={(again) => set({ again })}
          />
        </>
      )}
    </FormDialog>
  );
}
