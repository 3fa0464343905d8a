/** A number with its unit, one piece of many said as one. */
export function amount(value: number, unit: string): string {
  return `${value}\u202f${value === 1 && unit.endsWith("s") ? unit.slice(0, -1) : unit}`;
}
