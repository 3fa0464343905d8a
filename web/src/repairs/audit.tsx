import { msg } from "../messages/messages";
import { useState } from "react";
import { Link } from "react-router";
import { ask, type Api } from "../api/client";
import { useZone, useTold } from "../api/queries";
import { dayAndTime } from "../units/units";
import { useTitle } from "../shell/title";

const ACTS: Record<Api["AuditLine"]["act"], string> = {
  SIGN_IN: msg("came in"),
  WRONG: msg("wrong password"),
  LOCKED: msg("door shut"),
  RULE: msg("house rule"),
  SHELF: "shelf",
  RECORD: "record",
  AIR: msg("shop air"),
  PICTURE: "picture",
  SIGN_OUT: msg("signed out"),
  REFUSED: "refused",
  DRAFT: "draft",
  PERSON: "people",
};

/** Who came in, and what was changed besides the repairs themselves; for a lead. */
export default function Audit() {
  useTitle(msg("Audit"));
  const zone = useZone();
  const [act, setAct] = useState("");
  const lines = useTold({ queryKey: ["audit"], queryFn: () => ask<Api["AuditLine"][]>("/api/audit") });
  const shown = lines.data?.filter((l) => act === "" || l.act === act);
  return (
    <>
      <div className="firm-b flex min-h-[58px] shrink-0 flex-wrap items-stretch">
        <h1 className="flex flex-1 items-center px-4 text-28 font-semibold" style={{ fontStretch: "88%" }}>
          {msg("Audit")}
        </h1>
        <label className="firm-l flex items-center gap-2 px-4">
          <span className="lab">{msg("Show")}</span>
          <select className="firm h-11 px-2 text-16" value={act} onChange={(e) => setAct(e.target.value)}>
            <option value="">{msg("everything")}</option>
            {Object.entries(ACTS).map(([a, word]) => (
              <option key={a} value={a}>
                {word}
              </option>
            ))}
          </select>
        </label>
        <Link to="/people" className="firm-l n flex min-h-14 items-center px-5 text-20 font-semibold">
          {msg("People")}
        </Link>
        <Link to="/records" className="firm-l n flex min-h-14 items-center px-5 text-20 font-semibold">
          {msg("Records")}
        </Link>
      </div>
      <div
        className="min-h-0 flex-1 overflow-y-auto px-4 pb-4"
        tabIndex={0}
        role="region"
        aria-label={msg("Audit lines")}
      >
        {lines.isError && (
          <p role="alert" className="py-4 text-20 font-bold text-oxide-text">
            {lines.error.message}
          </p>
        )}
        {shown?.length === 0 && <p className="py-4 text-20">{msg("Nothing of this sort yet.")}</p>}
        {shown && shown.length > 0 && (
          <table className="w-full text-left max-[699px]:block">
            <thead className="max-[699px]:sr-only">
              <tr className="lab firm-b">
                <th className="py-2 pr-4">{msg("When")}</th>
                <th className="pr-4">{msg("Who")}</th>
                <th className="pr-4">{msg("What")}</th>
                <th>{msg("Said")}</th>
              </tr>
            </thead>
            <tbody className="max-[699px]:block">
              {shown.map((l, i) => (
                <tr key={i} className="border-b border-hair max-[699px]:flex max-[699px]:flex-wrap">
                  <td className="n py-2 pr-4 whitespace-nowrap">{dayAndTime(l.at, zone)}</td>
                  <td className="pr-4 whitespace-nowrap">{l.by || msg("nobody signed in")}</td>
                  <td className="pr-4 whitespace-nowrap">{ACTS[l.act]}</td>
                  <td className="max-[699px]:w-full max-[699px]:pb-2">{l.said}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        <p className="lab mt-3">{msg("The newest 500 lines; nothing here is ever changed or taken away.")}</p>
      </div>
    </>
  );
}
