import { msg } from "../messages/messages";
import type { Api } from "../api/client";
import { usePreferences } from "../shell/preferences";
import { minutes, temperature } from "../units/units";

/** What today's air does to the times on the labels. */
export function AirToday({ shop, effects }: { shop: Api["ShopView"]; effects: readonly Api["AirEffect"][] }) {
  const { system } = usePreferences();
  return (
    <>
      <h2 className="firm-b firm-t bg-ground hd px-4 py-2">
        {msg("In today’s {tempC}, {rhPercent} %", {
          tempC: temperature(shop.tempC, system),
          rhPercent: Math.round(shop.rhPercent),
        })}
      </h2>
      {effects.length === 0 && (
        <p className="px-4 py-3">{msg("Nothing on the shelf has a time that follows the air.")}</p>
      )}
      {effects.length > 0 && (
        <table className="w-full">
          <thead>
            <tr className="lab border-b border-hair text-right">
              <th className="py-1 pl-4 text-left font-medium">{msg("label’s figure below")}</th>
              <th className="px-1 font-medium">{msg("workable")}</th>
              <th className="py-1 pr-4 font-medium">{msg("sand or flash")}</th>
            </tr>
          </thead>
          <tbody>
            {[...new Set(effects.map((e) => e.name))].map((name) => {
              const of = effects.filter((e) => e.name === name);
              return (
                <tr key={name} className="border-b border-hair align-top">
                  <td className="py-1.5 pl-4 leading-5">{name}</td>
                  <Effect effect={of.find((e) => e.what === "WORK")} />
                  <Effect effect={of.find((e) => e.what !== "WORK")} last />
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
    </>
  );
}

function Effect({ effect: e, last = false }: { effect: Api["AirEffect"] | undefined; last?: boolean }) {
  return (
    <td className={`n w-[72px] py-1.5 text-right whitespace-nowrap ${last ? "pr-4" : "px-1"}`}>
      {e && (
        <>
          <b className={e.todayMin === undefined ? "text-oxide-text" : ""}>
            {e.todayMin === undefined ? msg("never") : minutes(e.todayMin, e.what === "WORK" ? "down" : "up")}
          </b>
          <span className="lab block">{minutes(e.labelMin)}</span>
        </>
      )}
    </td>
  );
}
