import { figures } from "../messages/messages";
import { unitWord } from "./counted";
import { areaInches, type System } from "./units";

/** A number with its unit, one piece of many said as one; what is counted by area in square inches where the shop measures in inches. */
export function amount(value: number, unit: string, system: System): string {
  if (unit === "cm²" && system === "inch") return `${areaInches(value)}\u202fin²`;
  return `${figures(String(value))}\u202f${unitWord(unit, value)}`;
}
