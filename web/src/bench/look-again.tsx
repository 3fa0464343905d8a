import { msg } from "../messages/messages";
import type { Api } from "../api/client";
import { dayAndTime } from "../units/units";
import { Link } from "react-router";

/** Later looks at finished work. */
export function Again({ looks, now, zone }: { looks: readonly Api["AgainView"][]; now: number; zone: string }) {
  if (looks.length === 0) return null;
  return (
    <>
      <h2 className="firm-b bg-ground hd px-4 py-2">{msg("Look again")}</h2>
      {looks.map((a) => (
        <Link
          key={`${a.repair}${a.look.due}`}
          to={`/repairs/${a.repair}/record`}
          className="hover:bg-ground block border-b border-hair px-4 py-2"
        >
          <span className="lab flex justify-between">
            <span>{a.vehicle}</span>
            <span className={`n font-semibold ${Date.parse(a.look.due) <= now ? "text-oxide-text" : "text-ink"}`}>
              {Date.parse(a.look.due) <= now ? `${msg("due since")} ` : ""}
              {dayAndTime(a.look.due, zone)}
            </span>
          </span>
          <b className="block leading-5">{a.name}</b>
          <span className="block leading-5">{a.look.what}</span>
        </Link>
      ))}
    </>
  );
}
