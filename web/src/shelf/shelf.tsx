import { useId } from "react";
import type { Api } from "../api/client";
import { useShelf } from "../api/queries";
import { grainOf, Hatches, type HatchName, Swatch } from "../marks/hatch";
import { usePreferences } from "../shell/preferences";
import { minutes, percent, temperature } from "../units/units";

/** What stands on the shelf, with what its own labels say. */
export default function ShelfPlace() {
  const id = useId();
  const shelf = useShelf();
  const { system } = usePreferences();
  const day = (d: string) =>
    new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", year: "numeric", timeZone: "UTC" }).format(
      Date.parse(d),
    );
  const amount = (l: Api["ShelfLine"]) => `${l.item.quantity}\u202f${l.item.unit}`;
  return (
    <>
      <svg className="absolute size-0" aria-hidden="true">
        <Hatches id={id} />
      </svg>
      <div className="firm-b flex h-[58px] shrink-0 items-center px-4">
        <h1 className="text-28 font-semibold" style={{ fontStretch: "88%" }}>
          Shelf
        </h1>
        <span className="lab ml-4">label figures as typed; the label in hand always wins</span>
      </div>
      {shelf.isError && <p className="p-4 font-bold text-oxide-text">{shelf.error.message}</p>}
      <div className="min-h-0 flex-1 overflow-y-auto" tabIndex={0} role="region" aria-label="Items">
        {shelf.data?.length === 0 && <p className="p-6 text-20">The shelf is empty: no stack can be chosen.</p>}
        <table className="w-full text-left">
          <thead className="bg-ground sticky top-0 z-10">
            <tr className="lab">
              <th className="px-4 py-2">Item</th>
              <th>Lot</th>
              <th>Use by</th>
              <th className="text-right">Left</th>
              <th className="pl-6">Label: work</th>
              <th>Label: sand or dry</th>
              <th className="pr-4">Cream</th>
            </tr>
          </thead>
          <tbody>
            {shelf.data?.map((l) => (
              <tr key={l.item.id} className="h-14 border-b border-hair">
                <td className="px-4">
                  <span className="flex items-center gap-3">
                    <Swatch
                      id={id}
                      hatch={
                        l.role === "PAPER"
                          ? grainOf(String(l.item.grade ?? ""))
                          : l.hatch === "grain"
                            ? "guide"
                            : (l.hatch as HatchName)
                      }
                    />
                    <span>
                      <span className="hd block">{l.item.name}</span>
                      <span className="lab block">{l.className}</span>
                    </span>
                  </span>
                </td>
                <td className="n">{l.item.lot}</td>
                <td className={l.expired ? "font-bold text-oxide-text" : ""}>
                  {l.expires ? (l.expired ? `expired ${day(l.expires)}` : `before ${day(l.expires)}`) : "no date"}
                </td>
                <td className="n text-right font-semibold whitespace-nowrap">{amount(l)}</td>
                <td className="n pl-6">{l.item.workMin === undefined ? "" : minutes(l.item.workMin, "down")}</td>
                <td className="n">
                  {l.item.sand.map((t) => `${minutes(t.minutes)} at ${temperature(t.atC, system)}`).join(", ")}
                  {l.item.wet === "WET_ONLY" && "wet only"}
                </td>
                <td className="n pr-4">{l.item.dosePercent === undefined ? "" : percent(l.item.dosePercent)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}
