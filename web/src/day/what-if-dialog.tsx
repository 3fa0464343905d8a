import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { type ReactNode, useState } from "react";
import { ask, type Api } from "../api/client";
import { keys } from "../api/queries";
import { msg } from "../messages/messages";
import { MomentField } from "../shell/day-field";
import { Choice, Measure } from "../shell/field";
import { firstName } from "../shell/first-name";
import { SheetDialog } from "../shell/sheet-dialog";
import { minutes, moment } from "../units/units";

const AS_IS = "0";
const MORE = [
  { value: AS_IS, label: msg("As it is") },
  { value: "1", label: msg("One more") },
  { value: "2", label: msg("Two more") },
];

/** The day beside itself with something of it otherwise: worked out as it is chosen, and nothing of the day is changed. */
export function WhatIfDialog({ day, children }: { day: Api["DayView"]; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <SheetDialog
      title={msg("What if")}
      told={msg("Worked out beside the day as it is, by planned minutes. Nothing is changed by it.")}
      trigger={children}
      open={open}
      onOpenChange={setOpen}
      wide
    >
      {open && <Chosen day={day} />}
    </SheetDialog>
  );
}

function Chosen({ day }: { day: Api["DayView"] }) {
  const [lamps, setLamps] = useState(AS_IS);
  const [ovens, setOvens] = useState(AS_IS);
  const [without, setWithout] = useState("");
  const [like, setLike] = useState("");
  const [from, setFrom] = useState<string>();
  const [airC, setAirC] = useState<number>();
  const query = asked({ lamps, ovens, without, like, from: like === "" ? undefined : from, airC });
  const { data, error } = useQuery({
    queryKey: [...keys.day, "what-if", day.now, query],
    queryFn: () => ask<Api["WhatIfView"]>(`/api/day/what-if${query}`),
    placeholderData: keepPreviousData,
    retry: false,
  });
  return (
    <div className="grid grid-cols-1 gap-6 min-[700px]:grid-cols-2">
      <div className="grid grid-cols-1 content-start gap-4">
        <Choice label={msg("Lamps")} value={lamps} options={MORE} onChange={setLamps} atLeast={90} />
        <Choice label={msg("Ovens")} value={ovens} options={MORE} onChange={setOvens} atLeast={90} />
        <Choice
          label={msg("Hands gone from now on")}
          value={without}
          options={[
            { value: "", label: msg("Nobody's") },
            ...day.people.map((p) => ({ value: p.id, label: firstName(p.name) })),
          ]}
          onChange={setWithout}
          atLeast={90}
        />
        <Measure label={msg("Air for what is not begun")} value={airC} quantity="temperature" onChange={setAirC} />
        <label className="grid grid-cols-1 gap-1">
          <span className="lab">{msg("One more repair like")}</span>
          <select className="firm bg-sheet h-14 px-2.5 text-16" value={like} onChange={(e) => setLike(e.target.value)}>
            <option value="">{msg("None")}</option>
            {day.jobs.map((j) => (
              <option key={j.repair} value={String(j.repair)}>
                {j.number} {j.name}
              </option>
            ))}
          </select>
        </label>
        {like !== "" && <MomentField label={msg("It comes")} value={from} onChange={setFrom} />}
      </div>
      <div>
        {error && (
          <p role="alert" className="text-oxide-text font-bold">
            {error.message}
          </p>
        )}
        {data && !error && <Beside day={day} what={data} brought={like !== ""} />}
      </div>
    </div>
  );
}

/** What is otherwise, as the server is asked for it. */
export function asked(otherwise: Record<string, string | number | undefined>): string {
  const given = Object.entries(otherwise).filter(([, v]) => v !== undefined && v !== "" && v !== AS_IS);
  return given.length === 0 ? "" : `?${given.map(([k, v]) => `${k}=${encodeURIComponent(String(v))}`).join("&")}`;
}

function Beside({ day, what, brought }: { day: Api["DayView"]; what: Api["WhatIfView"]; brought: boolean }) {
  const now = Date.parse(day.now);
  const at = (m: string | undefined) => (m ? moment(m, now, day.zone, "up") : msg("nothing planned"));
  const late = (min: number, missed: number) =>
    missed === 0 ? msg("none") : msg("{n} by {time} in all", { n: missed, time: minutes(min) });
  const cell = "border-t border-hair py-2 pr-3 text-left align-top";
  return (
    <div aria-live="polite">
      <table className="n w-full text-18">
        <thead>
          <tr>
            <th className="lab pr-3 text-left font-normal" scope="col">
              <span className="sr-only">{msg("Figure")}</span>
            </th>
            <th className="lab pr-3 text-left font-normal" scope="col">
              {msg("As it is")}
            </th>
            <th className="lab text-left font-normal" scope="col">
              {msg("Then")}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <th className={`lab font-normal ${cell}`} scope="row">
              {msg("All done")}
            </th>
            <td className={cell}>{at(what.asLast)}</td>
            <td className={`font-bold ${cell}`}>{at(what.last)}</td>
          </tr>
          <tr>
            <th className={`lab font-normal ${cell}`} scope="row">
              {msg("Promises missed")}
            </th>
            <td className={cell}>{late(what.asLateMin, what.asMissed)}</td>
            <td className={`font-bold ${cell}`}>{late(what.lateMin, what.missed)}</td>
          </tr>
          {brought && (
            <tr>
              <th className={`lab font-normal ${cell}`} scope="row">
                {msg("The one brought in")}
              </th>
              <td className={cell}>—</td>
              <td className={`font-bold ${cell}`}>{what.another ? at(what.another) : msg("finds no time")}</td>
            </tr>
          )}
        </tbody>
      </table>
      {what.left.length > 0 && (
        <p className="py-2 text-16 font-bold">{msg("No time found: {names}", { names: what.left.join(", ") })}</p>
      )}
      {what.repairs.length === 0 ? (
        <p className="py-2 text-16">{msg("No repair of the day is ready at another time.")}</p>
      ) : (
        <ul aria-label={msg("Ready at another time")} className="n py-2 text-16">
          {what.repairs.map((r) => (
            <li key={r.repair} className="border-t border-hair py-1.5">
              {r.name}: {at(r.before)} → <b className="whitespace-nowrap">{at(r.after)}</b>
              {r.promisedAt && `, ${msg("promised {at}", { at: moment(r.promisedAt, now, day.zone) })}`}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
