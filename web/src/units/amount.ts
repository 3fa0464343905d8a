import { areaInches, type System } from "./units";

/** A number with its unit, one piece of many said as one; what is counted by area in square inches where the shop measures in inches. */
export function amount(value: number, unit: string, system: System): string {
  if (unit === "cm²" && system === "inch") return `${areaInches(value)}\u202fin²`;
  return `${value}\u202f${value === 1 && unit.endsWith("s") ? unit.slice(0, -1) : unit}`;
}
