import { figures, msg } from "../messages/messages";
import { unitWord } from "./counted";
import { areaInches, lengthInches, type System, THIN, toFahrenheit } from "./units";

/** Which way a quantity may be rounded where it is said in other units: a maximum never up, a minimum never down. */
export type Bound = "most" | "least" | undefined;

/**
 * A quantity in the core's words: ⟦3 mm most⟧, ⟦10 to 24 °C⟧, ⟦1 : 2⟧, ⟦25 mm =1⟧, ⟦0.8⟧. What stands after = is its twin in inches, where the
 * trade prints it as a pair.
 */
const QUANTITY =
  /⟦(-?[\d.:]+)(?: (to|:) (-?[\d.]+))?(?: (?!most\b|least\b|=)([^ ⟧]+))?(?: (most|least))?(?: =([\d.]+))?⟧/g;

/** A figure that is kept with its unit, as words hold it; a unit that is words itself has no other system. */
export const quantity = (value: number, unit: string, bound?: Bound, inches?: number) =>
  unit.includes(" ")
    ? `${value}${THIN}${unit}`
    : `⟦${value}${unit && ` ${unit}`}${bound === undefined ? "" : ` ${bound}`}${inches === undefined ? "" : ` =${inches}`}⟧`;

function rounded(v: number, bound: Bound): number {
  const whole = bound === "most" ? Math.floor(v + 1e-9) : bound === "least" ? Math.ceil(v - 1e-9) : Math.round(v);
  return whole === 0 ? 0 : whole;
}

/** The figure alone, in the shop's system. */
function figure(text: string, unit: string, bound: Bound, system: System): string {
  const v = Number(text);
  if (system === "inch" && unit === "mm") return lengthInches(v, bound);
  if (system === "inch" && unit === "cm²") return areaInches(v, bound);
  if (system === "inch" && unit === "°C") return String(rounded(toFahrenheit(v), bound));
  if (system === "inch" && unit === "K") return String(rounded(v * 1.8, bound));
  return text;
}

function unitIn(system: System, unit: string, many: number): string {
  if (system === "inch" && unit === "mm") return "in";
  if (system === "inch" && unit === "cm²") return "in²";
  if (system === "inch" && (unit === "°C" || unit === "K")) return "°F";
  return unitWord(unit, many);
}

/** Words from the core as a shop of {@code system} says them; no figure is parted from its unit at a line's end. */
export function said(words: string, system: System): string {
  if (!words.includes("⟦")) return words;
  return words.replace(
    QUANTITY,
    (
      _,
      from: string,
      joint: string | undefined,
      to: string | undefined,
      unit: string | undefined,
      bound: Bound,
      twin: string | undefined,
    ) => {
      const u = unit ?? "";
      // What is allowed from one to another grows no wider.
      const first =
        twin !== undefined && system === "inch"
          ? lengthInches(Number(twin) * 25.4, undefined)
          : figure(from, u, to === undefined ? bound : "least", system);
      const last = to === undefined ? "" : figures(figure(to, u, "most", system));
      const whole =
        to === undefined
          ? figures(first)
          : joint === ":"
            ? `${figures(first)} : ${last}`
            : msg("{from} to {to}", { from: figures(first), to: last });
      const shown = unitIn(system, u, Number(to ?? from));
      return (shown === "" ? whole : shown === "°" ? `${whole}°` : `${whole}${THIN}${shown}`).replace(/-/g, "−");
    },
  );
}

const told: Record<System, WeakMap<object, unknown>> = { metric: new WeakMap(), inch: new WeakMap() };

/** Everything that the server told, its words as a shop of {@code system} says them. What holds no quantity comes back as it is. */
export function inUnits<T>(json: T, system: System): T {
  return walk(json, system) as T;
}

function walk(json: unknown, system: System): unknown {
  if (typeof json === "string") return said(json, system);
  if (typeof json !== "object" || json === null) return json;
  const known = told[system].get(json);
  if (known !== undefined) return known;
  const out = Array.isArray(json) ? listed(json, system) : named(json as Record<string, unknown>, system);
  told[system].set(json, out);
  return out;
}

function listed(json: unknown[], system: System): unknown[] {
  // A drawing has thousands of numbers.
  if (typeof json[0] === "number") return json;
  const out = json.map((v) => walk(v, system));
  return out.every((v, i) => v === json[i]) ? json : out;
}

function named(json: Record<string, unknown>, system: System): Record<string, unknown> {
  let out = json;
  for (const [key, value] of Object.entries(json)) {
    const turned = walk(value, system);
    if (turned !== value) {
      if (out === json) out = { ...json };
      out[key] = turned;
    }
  }
  return out;
}
