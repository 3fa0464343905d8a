import { msg } from "../messages/messages";
import { useState } from "react";
import { ask, type Api } from "../api/client";
import { useTold } from "../api/queries";
import { AddPerson, PEOPLE, ROLES } from "../repairs/people";
import { AirDialog } from "../shell/air-dialog";
import { Choice, Measure } from "../shell/field";
import { PlaceDialog, placeSaid } from "../shell/place-dialog";
import { usePreferences } from "../shell/preferences";
import { temperature } from "../units/units";
import { type NotTaken, useRest } from "./not-taken";
import { put } from "./shop";
import { useSaid } from "./use-said";

type Shop = Api["ShopView"];

/** Who can sign in, and somebody more. */
export function PeopleStep() {
  const people = useTold({ queryKey: PEOPLE, queryFn: () => ask<Api["Account"][]>("/api/people") });
  return (
    <>
      <ul className="firm">
        {people.data?.map((p) => (
          <li
            key={p.id}
            className="flex min-h-14 items-center justify-between gap-3 border-b border-hair px-4 last:border-b-0"
          >
            <b>{p.name}</b>
            <span className="lab">{ROLES.find((r) => r.value === p.role)?.label}</span>
          </li>
        ))}
      </ul>
      <div className="firm flex min-h-14 self-start">
        <AddPerson />
      </div>
    </>
  );
}

const MOST_SHOWN = 8;

/** A town by its name, or degrees. */
export function PlaceStep({ shop }: { shop: Shop }) {
  const towns = useTold({ queryKey: ["towns"], queryFn: () => ask<Api["Town"][]>("/api/towns"), staleTime: Infinity });
  const [asked, setAsked] = useState("");
  const { said, attempt } = useSaid();
  const word = asked.trim().toLowerCase();
  // Before anything is typed the town of the clock's own zone stands there.
  const found = (towns.data ?? []).filter((t) => (word ? t.name.toLowerCase().includes(word) : t.zone === shop.zone));
  return (
    <>
      <p className="text-20">
        {msg("Now")} <b className="n">{placeSaid(shop.place)}</b>
        {msg("; clocks run by {zone}.", { zone: shop.zone })}
      </p>
      <label className="grid max-w-[420px] gap-1">
        <span className="lab">{msg("A town nearby")}</span>
        <input className="firm bg-sheet h-14 px-3 text-20" value={asked} onChange={(e) => setAsked(e.target.value)} />
      </label>
      {towns.data && found.length === 0 && <p>{msg("No town of the list has that in its name: type the degrees.")}</p>}
      <div className="flex flex-wrap gap-2">
        {found.slice(0, MOST_SHOWN).map((t) => (
          <button
            key={t.name}
            type="button"
            className="btn"
            onClick={() =>
              void attempt(
                () => put("/api/shop/place", { latitudeDeg: t.latitudeDeg, longitudeDeg: t.longitudeDeg }),
                msg("The shop lies near {name}.", { name: t.name }),
              )
            }
          >
            {t.name}
          </button>
        ))}
      </div>
      {found.length > MOST_SHOWN && (
        <p className="lab">{msg("{found} more: go on typing.", { found: found.length - MOST_SHOWN })}</p>
      )}
      {said}
      <div className="self-start">
        <PlaceDialog place={shop.place}>
          <button type="button" className="btn">
            {msg("By latitude and longitude")}
          </button>
        </PlaceDialog>
      </div>
      <p className="lab">{msg("Towns of the IANA time zone database.")}</p>
    </>
  );
}

/** What the air is. */
export function AirStep({ shop }: { shop: Shop }) {
  const { system } = usePreferences();
  return (
    <>
      <p className="n text-28 font-semibold">
        {msg("{tempC}, {rhPercent} %, dew point {dewPointC}", {
          tempC: temperature(shop.tempC, system),
          rhPercent: Math.round(shop.rhPercent),
          dewPointC: temperature(shop.dewPointC, system),
        })}
      </p>
      <div className="self-start">
        <AirDialog shop={shop}>
          <button type="button" className="btn go">
            {msg("Type it, or take it off the meter")}
          </button>
        </AirDialog>
      </div>
    </>
  );
}

/** In which units a screen begins. */
export function UnitsStep({ shop }: { shop: Shop }) {
  const { turn } = usePreferences();
  const { said, attempt } = useSaid();
  return (
    <>
      <Choice
        label={msg("Units")}
        value={shop.units}
        options={[
          { value: "METRIC", label: msg("Millimetres, °C") },
          { value: "INCH", label: msg("Inches, °F") },
        ]}
        onChange={(units) =>
          void attempt(async () => {
            await put("/api/shop/units", { units });
            turn({ system: units === "INCH" ? "inch" : "metric" });
          })
        }
      />
      {said}
    </>
  );
}

/** How many lamps and ovens there are. */
export function HeatStep({ shop, restRef }: { shop: Shop; restRef: NotTaken }) {
  const [lamps, setLamps] = useState<number | undefined>(shop.lamps);
  const [ovens, setOvens] = useState<number | undefined>(shop.ovens);
  const { said, attempt, problem } = useSaid();
  const take = () => attempt(() => put("/api/shop/heat", { lamps, ovens }), msg("Taken."));
  useRest(restRef, lamps !== shop.lamps || ovens !== shop.ovens, take);
  return (
    <>
      <div className="grid max-w-[420px] grid-cols-2 gap-3">
        <Measure
          label={msg("Lamps")}
          quantity={{ unit: "" }}
          value={lamps}
          onChange={setLamps}
          problem={problem("heat.lamps")}
        />
        <Measure
          label={msg("Ovens, warm booths")}
          quantity={{ unit: "" }}
          value={ovens}
          onChange={setOvens}
          problem={problem("heat.ovens")}
        />
      </div>
      <button type="button" className="btn go self-start" onClick={() => void take()}>
        {msg("Take these")}
      </button>
      {said}
    </>
  );
}
