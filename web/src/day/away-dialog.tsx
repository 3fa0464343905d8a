import { type ReactNode, useState } from "react";
import { ask, type Api } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { msg } from "../messages/messages";
import { MomentField } from "../shell/day-field";
import { Choice, problemAt } from "../shell/field";
import { firstName } from "../shell/first-name";
import { FormDialog } from "../shell/form-dialog";
import { moment } from "../units/units";

const THINGS = [
  { value: "LAMP", label: msg("A lamp") },
  { value: "OVEN", label: msg("An oven") },
];

/** Who is away, and what is out of order: a lead's. */
export function AwayDialog({ day, children }: { day: Api["DayView"]; children: ReactNode }) {
  const [who, setWho] = useState("");
  const [from, setFrom] = useState<string>();
  const [to, setTo] = useState<string>();
  const [refused, setRefused] = useState("");
  const back = async (id: number) => {
    try {
      queryClient.setQueryData(keys.day, await ask<Api["DayView"]>(`/api/day/away/${id}`, { method: "DELETE" }));
      setRefused("");
    } catch (e) {
      setRefused(e instanceof Error ? e.message : String(e));
    }
  };
  const all = [...day.people.map((p) => ({ value: p.id, label: firstName(p.name) })), ...THINGS];
  const at = (m: string) => moment(m, Date.parse(day.now), day.zone);
  return (
    <FormDialog
      title={msg("Not there")}
      told={msg("Somebody who is away, or one lamp or oven that is out of order, since when and until when.")}
      act={msg("Plan without it")}
      trigger={children}
      onOpen={() => {
        setWho("");
        setFrom(undefined);
        setTo(undefined);
      }}
      send={async () => {
        const next = await ask<Api["DayView"]>("/api/day/away", { method: "POST", body: { who, from, to } });
        queryClient.setQueryData(keys.day, next);
      }}
      below={
        <ul aria-label={msg("Not there now or later")}>
          {day.away.map((a) => (
            <li key={a.id} className="flex items-center gap-4 border-b border-hair py-1">
              <span className="flex-1">
                {all.find((o) => o.value === a.who)?.label ?? a.who}, {at(a.from)} {msg("to")} {at(a.to)}
              </span>
              <button className="btn min-h-14" onClick={() => void back(a.id)}>
                {msg("Back")}
              </button>
            </li>
          ))}
          {refused && (
            <li role="alert" className="text-oxide-text font-bold">
              {refused}
            </li>
          )}
        </ul>
      }
    >
      {(problems) => (
        <>
          <Choice
            label={msg("Who or what")}
            value={who}
            options={all}
            onChange={setWho}
            problem={problemAt(problems, "who")}
            atLeast={110}
          />
          <MomentField label={msg("Since")} value={from} onChange={setFrom} />
          <MomentField label={msg("Until")} value={to} onChange={setTo} />
          {problems
            .filter((p) => p.field !== "who")
            .map((p) => (
              <p key={p.field} role="alert" className="text-oxide-text font-bold">
                {p.message}
              </p>
            ))}
        </>
      )}
    </FormDialog>
  );
}
