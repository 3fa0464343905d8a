import { useQuery, useQueryClient } from "@tanstack/react-query";
import { type ReactNode, useRef, useState } from "react";
import { ask, type Api } from "../api/client";
import { keys } from "../api/queries";
import { msg } from "../messages/messages";
import { useMay, useMe } from "../shell/me";
import { SheetDialog } from "../shell/sheet-dialog";
import { moment } from "../units/units";

const ADDRESS = "/api/day/calendar/address";
const KEY = [...keys.day, "address"];

/** The day in another calendar: as a file of now, or at an address which that calendar reads again and again. */
export function CalendarDialog({ day, children }: { day: Api["DayView"]; children: ReactNode }) {
  const me = useMe();
  const [open, setOpen] = useState(false);
  const mine = day.people.some((p) => p.id === me?.id);
  return (
    <SheetDialog
      title={msg("In another calendar")}
      told={mine ? msg("What your hands do, when.") : msg("What all hands do, when.")}
      trigger={children}
      open={open}
      onOpenChange={setOpen}
    >
      <a
        className="btn"
        href={`/api/day/calendar${mine ? `?person=${encodeURIComponent(me?.id ?? "")}` : ""}`}
        download
      >
        {msg("Calendar file")}
      </a>
      {open && <Address day={day} />}
    </SheetDialog>
  );
}

function Address({ day }: { day: Api["DayView"] }) {
  const may = useMay("CALENDAR");
  const client = useQueryClient();
  const [made, setMade] = useState("");
  const [refused, setRefused] = useState("");
  const { data } = useQuery({ queryKey: KEY, queryFn: () => ask<Api["AddressView"]>(ADDRESS), enabled: may });
  if (!may) return null;
  const attempt = async (act: () => Promise<void>) => {
    try {
      await act();
      setRefused("");
      await client.invalidateQueries({ queryKey: KEY });
    } catch (e) {
      setRefused(e instanceof Error ? e.message : String(e));
    }
  };
  const make = () =>
    attempt(async () =>
      setMade(window.location.origin + (await ask<Api["AddressMade"]>(ADDRESS, { method: "POST", body: {} })).path),
    );
  const away = () =>
    attempt(async () => {
      await ask<Api["AddressView"]>(ADDRESS, { method: "DELETE" });
      setMade("");
    });
  const since = data?.since;
  return (
    <section aria-label={msg("An address")} className="mt-6 flex flex-col gap-4 border-t border-hair pt-4">
      <p>
        {msg(
          "An address that another calendar reads by itself, again and again. Whoever has it sees this day without signing in: give it to nobody else.",
        )}
      </p>
      {made !== "" ? (
        <Made address={made} />
      ) : (
        since && (
          <p>
            {msg("One was made {at}. It is shown only when it is made: a new one ends it.", {
              at: moment(since, Date.parse(day.now), day.zone),
            })}
          </p>
        )
      )}
      <div className="flex flex-wrap gap-3">
        <button className="btn" onClick={() => void make()}>
          {since ? msg("Make a new address") : msg("Make an address")}
        </button>
        {since && (
          <button className="btn" onClick={() => void away()}>
            {msg("Take it away")}
          </button>
        )}
      </div>
      {refused !== "" && (
        <p role="alert" className="text-oxide-text font-bold">
          {refused}
        </p>
      )}
    </section>
  );
}

function Made({ address }: { address: string }) {
  const field = useRef<HTMLInputElement>(null);
  const [copied, setCopied] = useState(false);
  const copy = async () => {
    field.current?.select();
    // Where a browser gives pages no clipboard, what is chosen is copied by hand.
    try {
      await navigator.clipboard.writeText(address);
      setCopied(true);
    } catch {
      setCopied(false);
    }
  };
  return (
    <div className="flex flex-col gap-2">
      <label className="flex flex-col gap-1">
        <span className="lab">{msg("The address, shown only now")}</span>
        <input
          ref={field}
          readOnly
          value={address}
          className="firm bg-ground h-14 w-full px-2.5 text-16"
          onFocus={(e) => e.target.select()}
        />
      </label>
      <button className="btn self-start" onClick={() => void copy()}>
        {copied ? msg("Copied") : msg("Copy")}
      </button>
    </div>
  );
}
