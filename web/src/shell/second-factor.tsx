import { msg } from "../messages/messages";
import { useState } from "react";
import { ask, type Api } from "../api/client";
import { Line } from "./field";

const EMPTY = { password: "", code: "" };

/** A second factor of one's own: a code off a phone besides the password. */
export function SecondFactor() {
  const [offered, setOffered] = useState<Api["FactorView"]>();
  const [typed, setTyped] = useState(EMPTY);
  const [codes, setCodes] = useState<readonly string[]>();
  const [said, setSaid] = useState("");
  const attempt = async (work: () => Promise<void>) => {
    setSaid("");
    try {
      await work();
    } catch (e) {
      setSaid(e instanceof Error ? e.message : String(e));
    }
  };
  if (codes)
    return (
      <section aria-label={msg("Second factor")} className="firm mt-5 p-4">
        <p>
          <b>{msg("It is on.")}</b>{" "}
          {msg(
            "Write these down and keep them away from the phone; each opens once where the phone is gone. They are not shown again.",
          )}
        </p>
        <ul className="n mt-3 grid grid-cols-2 gap-1 text-20 font-semibold">
          {codes.map((c) => (
            <li key={c}>{c}</li>
          ))}
        </ul>
      </section>
    );
  if (!offered)
    return (
      <div className="mt-5">
        <button
          type="button"
          className="btn w-full"
          onClick={() => void attempt(async () => setOffered(await ask("/api/session/factor", { method: "POST" })))}
        >
          {msg("Second factor")}
        </button>
        {said && (
          <p role="alert" className="mt-2 font-bold text-oxide-text">
            {said}
          </p>
        )}
      </div>
    );
  return (
    <section aria-label={msg("Second factor")} className="firm mt-5 flex flex-col gap-3 p-4">
      <p>
        {offered.on ? msg("You have one. A new one takes its place.") : msg("You have none yet.")}{" "}
        {msg("Type this secret into your phone’s code program, or")}{" "}
        <a className="underline" href={offered.uri}>
          {msg("open it there")}
        </a>
        {msg("; then type the code that it shows.")}
      </p>
      <p className="n text-20 font-semibold break-words">{offered.secret.replace(/(.{4})(?=.)/g, "$1 ")}</p>
      <Line
        label={msg("Code that the phone shows")}
        value={typed.code}
        onChange={(code) => setTyped({ ...typed, code })}
      />
      <Line
        label={msg("Your password")}
        secret="current-password"
        value={typed.password}
        onChange={(password) => setTyped({ ...typed, password })}
      />
      {said && (
        <p role="alert" className="font-bold text-oxide-text">
          {said}
        </p>
      )}
      <div className="grid grid-cols-2 gap-2">
        <button
          type="button"
          className="btn"
          disabled={!offered.on || typed.password === ""}
          onClick={() =>
            void attempt(async () => {
              await ask("/api/session/factor/off", { method: "POST", body: typed });
              setOffered(undefined);
              setTyped(EMPTY);
            })
          }
        >
          {msg("Turn it off")}
        </button>
        <button
          type="button"
          className="btn go"
          disabled={typed.code === "" || typed.password === ""}
          onClick={() =>
            void attempt(async () => {
              const taken = await ask<Api["RecoveryView"]>("/api/session/factor", { method: "PUT", body: typed });
              setCodes(taken.codes);
            })
          }
        >
          {msg("Take it")}
        </button>
      </div>
    </section>
  );
}
