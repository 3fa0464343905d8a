import { msg } from "../messages/messages";
import { CornerUpLeft, Download } from "lucide-react";
import { useState } from "react";
import { ask, type Api, problemsOf } from "../api/client";
import { keys, queryClient, useHousePages, useZone } from "../api/queries";
import { FileButton } from "../shell/file-button";
import { dayAndTime } from "../units/units";
import { has } from "./rule-table";
import { Skeleton } from "../shell/skeleton";

type Rule = Api["PageRuleView"];

/** What the leads changed of the methods' pages: in force and taken back, out and in as a file. */
export function HousePages({ find }: { find: string }) {
  const pages = useHousePages();
  const zone = useZone();
  const [refused, setRefused] = useState<readonly string[]>([]);
  const [said, setSaid] = useState("");
  if (pages.isError) return <p className="p-4 font-bold text-oxide-text">{pages.error.message}</p>;
  if (!pages.data) return <Skeleton lines={3} />;
  const { rules, maySign } = pages.data;
  const inForce = rules.filter((r) => !r.endedAt);
  const ended = rules.filter((r) => r.endedAt).reverse();
  const send = async (path: string, body?: Blob) => {
    setRefused([]);
    setSaid("");
    try {
      const next = await ask<Api["HousePagesView"]>(path, { method: "POST", body });
      const more = next.rules.length - rules.length;
      if (body)
        setSaid(more === 1 ? msg("One rule taken and signed.") : msg("{more} rules taken and signed.", { more }));
      queryClient.setQueryData(keys.housePages, next);
      await queryClient.invalidateQueries({ queryKey: keys.bench });
      await queryClient.invalidateQueries({ queryKey: keys.rules });
    } catch (e) {
      const each = problemsOf(e).map((p) => `${p.field}: ${p.message}`);
      setRefused(each.length > 0 ? each : [e instanceof Error ? e.message : String(e)]);
    }
  };
  const shown = (all: readonly Rule[]) => all.filter((r) => has(find, r.methodTitle, r.said, r.reason, r.by));
  return (
    <div>
      <p className="px-4 pt-3">
        {msg(
          "What this house does otherwise than a method’s page says: steps of its own, left out or moved, other words and minutes, readings and pictures it wants.",
        )}{" "}
        {maySign ? msg("A rule is signed at its step, in the plan of a repair.") : msg("Only a lead signs them.")}{" "}
        {msg("A repair that has begun keeps the plan it has.")}
      </p>
      <div className="flex flex-wrap gap-2 px-4 pt-3">
        <a className="btn" href="/api/house-pages/house-pages.yaml" download>
          <Download size={20} aria-hidden="true" /> {msg("Give them to another shop")}
        </a>
        {maySign && (
          <FileButton
            label={msg("Take another shop’s")}
            files={msg("A file of house pages")}
            accept=".yaml,.yml,application/yaml"
            onFile={(file) => void send("/api/house-pages/file", file)}
          />
        )}
        <a className="btn" href="/schemas/house-pages.schema.json" download>
          {msg("Schema")}
        </a>
      </div>
      {said && (
        <p role="status" className="px-4 pt-3 font-bold">
          {said}
        </p>
      )}
      {refused.length > 0 && (
        <ul role="alert" className="px-4 pt-3 font-bold text-oxide-text">
          {refused.map((r) => (
            <li key={r}>{r}</li>
          ))}
        </ul>
      )}
      {inForce.length === 0 && <p className="p-4 text-20">{msg("This house works by the book’s pages.")}</p>}
      {byMethod(shown(inForce)).map(([title, all]) => (
        <section key={title} className="px-4 pt-4" aria-label={title}>
          <h2 className="text-20 font-semibold">{title}</h2>
          <ul>
            {all.map((r) => (
              <li key={r.id} className="flex min-h-16 flex-wrap items-center gap-x-4 gap-y-2 border-b border-hair py-2">
                <div className="min-w-60 flex-1">
                  <p className="font-bold">{r.said}</p>
                  <p>
                    {r.reason}{" "}
                    <span className="lab">{msg("Signed by {by}, {at}", { by: r.by, at: dayAndTime(r.at, zone) })}</span>
                  </p>
                </div>
                {maySign && (
                  <button
                    type="button"
                    className="btn shrink-0"
                    aria-label={msg("Take back: {said}", { said: r.said })}
                    onClick={() => void send(`/api/house-pages/${r.id}/back`)}
                  >
                    <CornerUpLeft size={18} aria-hidden="true" /> {msg("Take back")}
                  </button>
                )}
              </li>
            ))}
          </ul>
        </section>
      ))}
      {shown(ended).length > 0 && (
        <section className="px-4 pt-6 pb-4" aria-label={msg("Taken back")}>
          <h2 className="text-20 font-semibold">{msg("Taken back")}</h2>
          <ul>
            {shown(ended).map((r) => (
              <li key={r.id} className="border-b border-hair py-2">
                <p>
                  {r.methodTitle}: {r.said}
                </p>
                <p className="lab">
                  {msg("Signed by {by}, {at}. {reason} Taken back by {endedBy},", {
                    by: r.by,
                    at: dayAndTime(r.at, zone),
                    reason: r.reason,
                    endedBy: r.endedBy,
                  })}{" "}
                  {r.endedAt && dayAndTime(r.endedAt, zone)}
                </p>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}

function byMethod(rules: readonly Rule[]): [string, Rule[]][] {
  const out = new Map<string, Rule[]>();
  for (const r of rules) out.set(r.methodTitle, [...(out.get(r.methodTitle) ?? []), r]);
  return [...out];
}
