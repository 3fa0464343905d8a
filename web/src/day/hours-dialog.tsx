import { type ReactNode, useState } from "react";
import { ask, type Api } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { msg } from "../messages/messages";
import { Line, problemAt } from "../shell/field";
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

/** When the shop works: a lead's. Nothing is planned into hours that nobody said. */
export function HoursDialog({ hours, children }: { hours: Api["DayView"]["hours"]; children: ReactNode }) {
  const [draft, setDraft] = useState<Record<string, string>>({});
  return (
    <FormDialog
      title={msg("When the shop works")}
      told={msg("Stretches with the breaks left out, such as 07:30-12:00 12:30-16:30. An empty day is a day off.")}
      act={msg("Take these hours")}
      trigger={children}
      onOpen={() => setDraft({ ...hours })}
      send={async () => {
        const day = await ask<Api["DayView"]>("/api/shop/hours", { method: "PUT", body: { hours: draft } });
        queryClient.setQueryData(keys.day, day);
      }}
    >
      {(problems) =>
        DAYS.map(([day, word]) => (
          <Line
            key={day}
            label={word}
            value={draft[day] ?? ""}
            problem={problemAt(problems, `hours.${day}`)}
            onChange={(text) => setDraft((d) => ({ ...d, [day]: text }))}
          />
        ))
      }
    </FormDialog>
  );
}
