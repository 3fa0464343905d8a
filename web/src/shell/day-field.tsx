import { msg } from "../messages/messages";
import { useId, useState } from "react";
import { useNow } from "../api/clock";
import { useZone } from "../api/queries";
import { type Day, inZone, instantIn, parseDay, parseTime, sayDay, typedDay } from "../units/days";
import type { System } from "../units/units";
import { usePreferences } from "./preferences";

/** A text that stands for a value: what was typed stays while it is wrong, and follows the value when that changes elsewhere. */
function useTyped<T>(value: T | undefined, shown: (value: T) => string) {
  const [typed, setTyped] = useState({ of: value, text: value === undefined ? "" : shown(value) });
  if (typed.of !== value) setTyped({ of: value, text: value === undefined ? "" : shown(value) });
  return { text: typed.text, keep: (text: string, of: T | undefined) => setTyped({ text, of }) };
}

const dayExpected = (system: System) =>
  system === "inch"
    ? msg("type a day such as Nov 30 2026, 11/30, Fri or +14")
    : msg("type a day such as 30 Nov 2026, 30.11., Fri or +14");

function Box({
  label,
  value,
  told,
  wrong,
  disabled,
  onChange,
  onLeave,
}: {
  label: string;
  value: string;
  told: string;
  wrong: boolean;
  disabled: boolean;
  onChange: (text: string) => void;
  onLeave?: () => void;
}) {
  const id = useId();
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="lab block">
        {label}
      </label>
      <input
        id={id}
        className={`firm n h-14 w-full px-2.5 text-16 font-semibold ${wrong ? "border-oxide" : ""} ${disabled ? "bg-ground" : "bg-sheet"}`}
        value={value}
        disabled={disabled}
        autoComplete="off"
        aria-invalid={wrong}
        aria-describedby={told ? `${id}-told` : undefined}
        onChange={(e) => onChange(e.target.value)}
        onBlur={onLeave}
      />
      {told && (
        <p id={`${id}-told`} className={wrong ? "text-oxide-text mt-1 text-14 font-bold" : "lab mt-1"}>
          {told}
        </p>
      )}
    </div>
  );
}

/** A day, typed as people say it and told back in full. */
export function DayField({
  label,
  value,
  onChange,
  disabled = false,
  problem,
}: {
  label: string;
  value: Day | undefined;
  onChange: (value: Day | undefined) => void;
  disabled?: boolean;
  problem?: string;
}) {
  const { system } = usePreferences();
  const zone = useZone();
  const today = inZone(useNow(), zone).day;
  const shown = (day: Day) => typedDay(day, system);
  const { text, keep } = useTyped(value, shown);
  const none = text.trim() !== "" && parseDay(text, today, system) === undefined;
  const type = (next: string) => {
    const day = parseDay(next, today, system);
    keep(next, day);
    if (day !== value) onChange(day);
  };
  return (
    <Box
      label={label}
      value={text}
      disabled={disabled}
      wrong={none || problem !== undefined}
      told={
        none
          ? msg("“{text}” is no day: {expected}.", { text: text.trim(), expected: dayExpected(system) })
          : (problem ?? (value ? sayDay(value, system) : ""))
      }
      onChange={type}
      onLeave={() => value !== undefined && !none && keep(shown(value), value)}
    />
  );
}

/** A day and a time by the shop's clock; both or neither. */
export function MomentField({
  label,
  value,
  onChange,
  disabled = false,
}: {
  label: string;
  value: string | undefined;
  onChange: (instant: string | undefined) => void;
  disabled?: boolean;
}) {
  const zone = useZone();
  const was = value === undefined ? undefined : inZone(value, zone);
  const [day, setDay] = useState(was?.day);
  const time = useTyped(was?.time, (t) => t);
  // The shop's zone comes with the bench, maybe after this field: the day is read anew by it.
  const [seen, setSeen] = useState({ value, zone });
  if (seen.value !== value || seen.zone !== zone) {
    setSeen({ value, zone });
    setDay(was?.day);
  }
  const put = (d: Day | undefined, t: string | undefined) => {
    const next = d !== undefined && t !== undefined ? instantIn(d, t, zone) : undefined;
    if (next === value) return;
    setSeen({ value: next, zone });
    onChange(next);
  };
  const read = parseTime(time.text);
  const noTime = time.text.trim() !== "" && read === undefined;
  const lacking = day !== undefined && time.text.trim() === "";
  return (
    <fieldset className="grid min-w-0 grid-cols-[minmax(0,1fr)_88px] gap-x-2">
      <legend className="sr-only">{label}</legend>
      <DayField
        label={label}
        value={day}
        disabled={disabled}
        onChange={(d) => {
          setDay(d);
          put(d, read);
        }}
      />
      <Box
        label={msg("at")}
        value={time.text}
        disabled={disabled}
        wrong={noTime || lacking}
        told={noTime ? msg("Type a time such as 16:30.") : lacking ? msg("At what time?") : ""}
        onChange={(next) => {
          const t = parseTime(next);
          // The value that follows from it: what was typed is not put right by its own outcome.
          time.keep(next, day === undefined ? undefined : t);
          put(day, t);
        }}
      />
    </fieldset>
  );
}
