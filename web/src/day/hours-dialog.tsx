import { type ReactNode, useState } from "react";
import { ask, type Api } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { msg } from "../messages/messages";
import { Choice, Line, problemAt } from "../shell/field";
import { firstName } from "../shell/first-name";
import { FormDialog } from "../shell/form-dialog";

const DAYS = [
  ["MONDAY", msg("Monday")],
  ["TUESDAY", msg("Tuesday")],
  ["WEDNESDAY", msg("Wednesday")],
  ["THURSDAY", msg("Thursday")],
  ["FRIDAY", msg("Friday")],
  ["SATURDAY", msg("Saturday")],
  ["SUNDAY", msg("Sunday")],
] as const;

const SHOP = "";

/** When the shop works, and who at other hours: a lead's. Nothing is planned into hours that nobody said. */
export function HoursDialog({ day, children }: { day: Api["DayView"]; children: ReactNode }) {
  const [draft, setDraft] = useState<Record<string, string>>({});
  const [whose, setWhose] = useState(SHOP);
  return (
    <FormDialog
      title={msg("When the shop works")}
      told={msg(
        "Stretches with the breaks left out, such as 07:30-12:00 12:30-16:30. An empty day is a day off. Whoever has no hours of their own works when the shop does.",
      )}
      act={msg("Take these hours")}
      trigger={children}
      onOpen={() => {
        setWhose(SHOP);
        setDraft({ ...day.hours });
      }}
      send={async () => {
        const of = whose === SHOP ? "" : `?person=${encodeURIComponent(whose)}`;
        const next = await ask<Api["DayView"]>(`/api/shop/hours${of}`, { method: "PUT", body: { hours: draft } });
        queryClient.setQueryData(keys.day, next);
      }}
    >
      {(problems) => (
        <>
          <Choice
            label={msg("Whose hours")}
            value={whose}
            options={[
              { value: SHOP, label: msg("The shop's") },
              ...day.people.map((p) => ({ value: p.id, label: firstName(p.name) })),
            ]}
            onChange={(next) => {
              setWhose(next);
              setDraft({ ...(next === SHOP ? day.hours : day.own[next]) });
            }}
            atLeast={110}
          />
          {DAYS.map(([weekday, word]) => (
            <Line
              key={weekday}
              label={word}
              value={draft[weekday] ?? ""}
              problem={problemAt(problems, `hours.${weekday}`)}
              onChange={(text) => setDraft((d) => ({ ...d, [weekday]: text }))}
            />
          ))}
        </>
      )}
    </FormDialog>
  );
}
