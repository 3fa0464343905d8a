import { msg } from "../messages/messages";
import { useEffect, useId, useRef, useState } from "react";
import type { Api } from "../api/client";
import {
  lengthInches,
  lengthNumber,
  type Parsed,
  parseArea,
  parseLength,
  parsePlain,
  parseTemperature,
  type System,
  toFahrenheit,
  toSquareInch,
} from "../units/units";
import { usePreferences } from "./preferences";

export type Quantity = "length" | "depth" | "temperature" | "area" | { unit: string };

const UNITS: Record<Extract<Quantity, string>, Record<System, string>> = {
  length: { metric: "mm", inch: "in" },
  depth: { metric: "mm", inch: "in" },
  temperature: { metric: "°C", inch: "°F" },
  area: { metric: "cm²", inch: "in²" },
};

/** How an amount is counted: what comes off a roll by its area, anything else in its own unit. */
export const amountQuantity = (unit: string): Quantity => (unit === "cm²" ? "area" : { unit });

export const unitOf = (q: Quantity, system: System) => (typeof q === "object" ? q.unit : UNITS[q][system]);

function shown(value: number | undefined, q: Quantity, system: System): string {
  if (value === undefined) return "";
  if (q === "temperature") return String(Math.round((system === "metric" ? value : toFahrenheit(value)) * 10) / 10);
  if (q === "area") return String(Math.round((system === "metric" ? value : toSquareInch(value)) * 10) / 10);
  if (typeof q === "object") return String(Math.round(value * 1000) / 1000);
  return q === "length" && system === "inch" ? lengthInches(value).replace("\u00a0", " ") : lengthNumber(value, system);
}

function parse(text: string, q: Quantity, system: System): Parsed {
  if (q === "temperature") return parseTemperature(text, system);
  if (q === "area") return parseArea(text, system);
  if (typeof q === "object") return parsePlain(text, q.unit);
  return parseLength(text, system);
}

/** What the server said of one field. */
export function problemAt(problems: readonly Api["InputProblem"][], field: string): string | undefined {
  return problems.find((p) => p.field === field)?.message;
}

/** A figure to type: takes both systems, keeps what was typed when it is refused, says what was expected. */
export function Measure({
  label,
  value,
  quantity,
  onChange,
  problem,
  field,
  assumed = false,
  disabled = false,
  large = false,
  autoFocus = false,
  onEnter,
}: {
  label: string;
  value: number | undefined;
  quantity: Quantity;
  onChange: (value: number | undefined) => void;
  problem?: string;
  /** What the server calls it: a link that asks for it finds it by this. */
  field?: string;
  /** The value is what is usual; nobody has measured it. */
  assumed?: boolean;
  disabled?: boolean;
  large?: boolean;
  autoFocus?: boolean;
  onEnter?: () => void;
}) {
  const { system } = usePreferences();
  const id = useId();
  const [text, setText] = useState(() => shown(value, quantity, system));
  const [unread, setUnread] = useState("");
  const sent = useRef(value);
  const key = typeof quantity === "object" ? quantity.unit : quantity;
  useEffect(() => {
    if (sent.current !== value) {
      sent.current = value;
      setText(shown(value, quantity, system));
      setUnread("");
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- a quantity given as an object is known by its unit
  }, [value, key]);
  useEffect(() => {
    setText(shown(sent.current, quantity, system));
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only a turn of the system rewrites what stands there
  }, [system]);

  const type = (next: string) => {
    setText(next);
    if (next.trim() === "") {
      setUnread("");
      sent.current = undefined;
      onChange(undefined);
      return;
    }
    const p = parse(next, quantity, system);
    setUnread(p.ok ? "" : p.message);
    if (p.ok) {
      sent.current = p.value;
      onChange(p.value);
    }
  };
  const wrong = unread || (problem && problem);
  return (
    <div className="min-w-0" data-field={field}>
      <div className="lab flex flex-wrap justify-between gap-x-2">
        <label htmlFor={id}>{label}</label>
        {assumed && <span id={`${id}-usual`}>{msg("usual")}</span>}
      </div>
      <div
        className={`firm flex items-center ${wrong ? "border-oxide" : ""} ${assumed ? "border-dashed" : ""} ${disabled ? "bg-ground" : "bg-sheet"}`}
      >
        <input
          id={id}
          className={`n w-full min-w-0 bg-transparent px-2.5 font-semibold ${large ? "h-[72px] text-44" : "h-[53px] text-20"}`}
          inputMode="decimal"
          autoComplete="off"
          autoFocus={autoFocus}
          value={text}
          disabled={disabled}
          aria-invalid={Boolean(wrong)}
          aria-describedby={wrong ? `${id}-wrong` : assumed ? `${id}-usual` : undefined}
          onChange={(e) => type(e.target.value)}
          onBlur={() => !wrong && setText(shown(sent.current, quantity, system))}
          onKeyDown={(e) => e.key === "Enter" && onEnter?.()}
        />
        <span className={`n pr-2.5 whitespace-nowrap text-muted ${large ? "text-28" : "text-14"}`}>
          {unitOf(quantity, system)}
        </span>
      </div>
      {wrong && (
        <p id={`${id}-wrong`} className="text-oxide-text mt-1 text-14 font-bold">
          {wrong}
        </p>
      )}
    </div>
  );
}

/** A line of text. */
export function Line({
  label,
  value,
  onChange,
  problem,
  field,
  disabled = false,
  secret,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  problem?: string;
  field?: string;
  disabled?: boolean;
  secret?: "current-password" | "new-password";
}) {
  const id = useId();
  return (
    <div data-field={field}>
      <label htmlFor={id} className="lab block">
        {label}
      </label>
      <input
        id={id}
        type={secret ? "password" : "text"}
        className={`firm h-14 w-full px-2.5 text-16 font-semibold ${problem ? "border-oxide" : ""} ${disabled ? "bg-ground" : ""}`}
        value={value}
        disabled={disabled}
        autoComplete={secret ?? "off"}
        aria-invalid={Boolean(problem)}
        aria-describedby={problem ? `${id}-wrong` : undefined}
        onChange={(e) => onChange(e.target.value)}
      />
      {problem && (
        <p id={`${id}-wrong`} className="text-oxide-text mt-1 text-14 font-bold">
          {problem}
        </p>
      )}
    </div>
  );
}

/** A choice between a few things, all in sight. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  problem,
  field,
  disabled = false,
  columns = 2,
  atLeast,
}: {
  label: string;
  value: T | undefined;
  options: readonly { value: T; label: string }[];
  onChange: (value: T) => void;
  problem?: string;
  field?: string;
  disabled?: boolean;
  columns?: number;
  /** Narrowest column, px: as many as fit, instead of a number of them. */
  atLeast?: number;
}) {
  return (
    <fieldset disabled={disabled} className="min-w-0" data-field={field}>
      <legend className="lab">{label}</legend>
      <div
        className="grid gap-1"
        style={{
          gridTemplateColumns: atLeast
            ? `repeat(auto-fill, minmax(${atLeast}px, 1fr))`
            : `repeat(${columns}, minmax(0, 1fr))`,
        }}
      >
        {options.map((o) => (
          <button
            key={o.value}
            type="button"
            aria-pressed={value === o.value}
            className={`firm n min-h-14 px-1.5 text-16 leading-5 font-semibold ${value === o.value ? "bg-ink text-sheet" : "bg-sheet"}`}
            style={{ fontStretch: "85%" }}
            onClick={() => onChange(o.value)}
          >
            {o.label}
          </button>
        ))}
      </div>
      {problem && <p className="text-oxide-text mt-1 text-14 font-bold">{problem}</p>}
    </fieldset>
  );
}
