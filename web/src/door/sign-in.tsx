import { msg } from "../messages/messages";
import { useState } from "react";
import { ask, type Api, Problem } from "../api/client";
import { LanguageChoice } from "../shell/language-choice";
import { OthersWait } from "../shell/others-wait";
import { keys, queryClient } from "../api/queries";

/** The door: a name, a password, one button. */
export function SignIn() {
  const [name, setName] = useState("");
  const [password, setPassword] = useState("");
  const [refused, setRefused] = useState("");
  const [busy, setBusy] = useState(false);
  const [code, setCode] = useState("");
  const [asksCode, setAsksCode] = useState(false);
  const submit = async () => {
    setBusy(true);
    setRefused("");
    try {
      const session = await ask<Api["Session"]>("/api/session", {
        method: "POST",
        body: { name, password, code: code || undefined },
      });
      queryClient.removeQueries({ predicate: (q) => q.queryKey[0] !== keys.session[0] });
      queryClient.setQueryData(keys.session, session);
    } catch (e) {
      setRefused(e instanceof Error ? e.message : String(e));
      if (e instanceof Problem && e.more.code === true) setAsksCode(true);
    } finally {
      setBusy(false);
    }
  };
  return (
    <main className="grid h-full place-items-center overflow-auto">
      <form
        className="firm bg-sheet w-[min(460px,94vw)]"
        onSubmit={(e) => {
          e.preventDefault();
          void submit();
        }}
      >
        <div className="bg-[#14201d] text-[#f6f7f4] flex items-center gap-4 p-5">
          <img src="/mark.svg" alt="" width="56" height="56" />
          <div>
            <h1 className="text-28 font-semibold">{msg("Vane Mend")}</h1>
            <p>{msg("Bench planner for mended parts")}</p>
          </div>
        </div>
        <div className="flex flex-col gap-4 p-5">
          <label className="flex flex-col gap-1 font-semibold">
            {msg("Name")}
            <input
              className="firm h-14 px-3 text-20"
              autoFocus
              autoComplete="username"
              autoCapitalize="none"
              value={name}
              maxLength={40}
              onChange={(e) => setName(e.target.value)}
            />
          </label>
          <label className="flex flex-col gap-1 font-semibold">
            {msg("Password")}
            <input
              className="firm h-14 px-3 text-20"
              type="password"
              autoComplete="current-password"
              value={password}
              maxLength={72}
              onChange={(e) => setPassword(e.target.value)}
            />
          </label>
          {asksCode && (
            <label className="flex flex-col gap-1 font-semibold">
              {msg("Code off your phone, or one you wrote down")}
              <input
                className="firm n h-14 px-3 text-20"
                autoFocus
                autoComplete="one-time-code"
                value={code}
                maxLength={40}
                onChange={(e) => setCode(e.target.value)}
              />
            </label>
          )}
          <OthersWait />
          {refused && (
            <p role="alert" className="text-oxide-text font-bold">
              {refused}
            </p>
          )}
          <button className="btn go text-20" disabled={busy}>
            {msg("Sign in")}
          </button>
          <LanguageChoice />
        </div>
      </form>
    </main>
  );
}
