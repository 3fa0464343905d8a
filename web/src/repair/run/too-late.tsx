import { msg } from "../../messages/messages";
import { usePreferences } from "../../shell/preferences";
import { inUnits } from "../../units/text";
import { happened } from "./happened";
import { type Late, outbox, useOutbox } from "./outbox";

/** One's own acts that reached the server after somebody ended the work or planned it anew: what was done, and the one question about it. */
export function TooLate() {
  const { system } = usePreferences();
  const late = inUnits(useOutbox().late, system);
  const first = late[0];
  if (!first) return null;
  const own = late.filter((l) => l.repair === first.repair);
  const what = said(own);
  return (
    <div
      role="alertdialog"
      aria-label={msg("Kept, not counted")}
      className="firm-b bg-oxide no-print flex flex-wrap items-center gap-x-4 px-4 text-[#f6f7f4]"
    >
      <p className="min-w-0 flex-1 basis-96 py-2">
        <b>
          {first.told.cause === "ENDED"
            ? msg("{name}: the work was ended while {n, plural, one {an act} other {# acts}} of yours waited here.", {
                name: first.name,
                n: own.length,
              })
            : msg("{name}: it was planned anew while {n, plural, one {an act} other {# acts}} of yours waited here.", {
                name: first.name,
                n: own.length,
              })}
        </b>{" "}
        {msg(
          "{what}. {n, plural, one {It stands in the record and counts} other {They stand in the record and count}} for nothing. Was it really done?",
          { what, n: own.length },
        )}
      </p>
      <span className="flex shrink-0">
        <button
          className="n h-18 px-4 text-20 font-semibold underline"
          onClick={() => {
            happened(first.repair, "NOTE", { text: msg("Really done before that was known: {what}", { what }) });
            outbox.answered(first.repair);
          }}
        >
          {msg("Yes: note it")}
        </button>
        <button className="n h-18 px-4 text-20 font-semibold underline" onClick={() => outbox.answered(first.repair)}>
          {msg("No")}
        </button>
      </span>
    </div>
  );
}

/** What they were, in the order they were done; one that was done twice once. */
function said(own: readonly Late[]): string {
  return [...new Set(own.map((l) => l.told.said))].join("; ");
}
