import { msg } from "../messages/messages";
import { Link } from "react-router";
import { type Api, ask } from "../api/client";
import { keys, queryClient, useBench, useZone } from "../api/queries";
import { PlaceDialog, placeSaid } from "../shell/place-dialog";
import { dayAndTime } from "../units/units";
import { has } from "./rule-table";
import { useState } from "react";

export function HouseRules({ book, find }: { book: Api["RulesView"]; find: string }) {
  const zone = useZone();
  const shop = useBench().data?.shop;
  const [refused, setRefused] = useState("");
  const turn = async (question: string, answer: string) => {
    setRefused("");
    try {
      const next = await ask<Api["RulesView"]>(`/api/house-rules/${question}`, { method: "PUT", body: { answer } });
      queryClient.setQueryData(keys.rules, next);
      await queryClient.invalidateQueries({ queryKey: keys.bench });
    } catch (e) {
      setRefused(e instanceof Error ? e.message : String(e));
    }
  };
  const forget = async (build: string) => {
    setRefused("");
    try {
      await ask<Api["ShopView"]>(`/api/shop/heat/${build}`, { method: "DELETE" });
      await queryClient.invalidateQueries({ queryKey: keys.bench });
    } catch (e) {
      setRefused(e instanceof Error ? e.message : String(e));
    }
  };
  return (
    <div>
      <p className="px-4 pt-3">
        {msg("Where good technicians disagree the shop sets a rule once; a repair may follow another.")}{" "}
        {!book.mayTurn && msg("Only a lead turns them.")}{" "}
        {msg("A plan that was started keeps the rules it was made with.")}
      </p>
      {shop && (
        <p className="flex flex-wrap items-center gap-3 px-4 pt-2">
          <span>
            {msg("The shop lies at")} <b>{placeSaid(shop.place)}</b>
            {msg(": the sun follows it.")}
          </span>
          {book.mayTurn && (
            <PlaceDialog place={shop.place}>
              <button type="button" className="firm min-h-14 px-4 font-bold">
                {msg("Change")}
              </button>
            </PlaceDialog>
          )}
          {book.mayTurn && (
            <Link to="/set-up" className="firm flex min-h-14 items-center px-4 font-bold">
              {msg("Units, lamps, ovens")}
            </Link>
          )}
        </p>
      )}
      {shop?.heat.map((h) => (
        <p key={h.build} className="flex flex-wrap items-center gap-3 px-4 pt-2">
          <span>
            {msg("Under this shop's lamps {word} warms", { word: h.word })}{" "}
            <b>{msg("{factor} times", { factor: Math.round(h.factor * 100) / 100 })}</b>{" "}
            {msg(
              "as slowly as recalled, measured in {n, plural, one {# warm-up} other {# warm-ups}}: plans follow it.",
              { n: h.warmUps },
            )}
          </span>
          {book.mayTurn && (
            <button type="button" className="firm min-h-14 px-4 font-bold" onClick={() => void forget(h.build)}>
              {msg("Go by the book again")}
            </button>
          )}
        </p>
      ))}
      {refused && (
        <p role="alert" className="px-4 pt-2 font-bold text-oxide-text">
          {refused}
        </p>
      )}
      {book.schools
        .filter(({ school }) =>
          has(
            find,
            school.question,
            ...school.materials,
            school.why,
            ...school.options.map((o) => `${o.label} ${o.told}`),
          ),
        )
        .map(({ school, chosen, changes }) => {
          const last = changes.at(-1);
          return (
            <section key={school.id} className="border-b border-hair p-4">
              <h2 className="text-20 font-semibold">{school.question}</h2>
              <p>
                <b>
                  {msg("Default:")} {school.options.find((o) => o.id === school.defaultOption)?.label}.
                </b>{" "}
                {school.why} <span className="lab">{school.shown}</span>
              </p>
              <div
                className="mt-2 grid gap-2"
                style={{
                  // Side by side where there is room; never narrower than a sentence can be read.
                  gridTemplateColumns: `repeat(auto-fit, minmax(max(200px, ${100 / school.options.length}% - 8px), 1fr))`,
                }}
              >
                {school.options.map((o) => {
                  const on = o.id === chosen;
                  return (
                    <button
                      key={o.id}
                      type="button"
                      aria-pressed={on}
                      disabled={!book.mayTurn || on || !o.planned}
                      className={`firm min-h-24 p-3 text-left align-top disabled:text-ink ${on ? "outline-violet bg-ground outline-3 -outline-offset-3" : ""}`}
                      onClick={() => void turn(school.id, o.id)}
                    >
                      <span className="hd block">
                        {o.label}
                        {on && <span className="lab"> {msg("in force")}</span>}
                      </span>
                      <span className="block">{o.told}</span>
                    </button>
                  );
                })}
              </div>
              {last && (
                <p className="lab mt-1.5">
                  {msg("turned {n, plural, one {once} other {# times}}, last by {by}, {at}", {
                    n: changes.length,
                    by: last.by,
                    at: dayAndTime(last.at, zone),
                  })}
                </p>
              )}
            </section>
          );
        })}
    </div>
  );
}
