import { msg } from "../messages/messages";

/** What is counted rather than measured, by its unit; each as said of so many. */
const COUNTED: Readonly<Record<string, (n: number) => string>> = {
  cartridges: (n) => msg("{n, plural, one {cartridge} other {cartridges}}", { n }),
  coats: (n) => msg("{n, plural, one {coat} other {coats}}", { n }),
  drops: (n) => msg("{n, plural, one {drop} other {drops}}", { n }),
  legs: (n) => msg("{n, plural, one {leg} other {legs}}", { n }),
  mixers: (n) => msg("{n, plural, one {mixer} other {mixers}}", { n }),
  months: (n) => msg("{n, plural, one {month} other {months}}", { n }),
  pieces: (n) => msg("{n, plural, one {piece} other {pieces}}", { n }),
  plies: (n) => msg("{n, plural, one {ply} other {plies}}", { n }),
  readings: (n) => msg("{n, plural, one {reading} other {readings}}", { n }),
  rpm: () => msg("rpm"),
  times: (n) => msg("{n, plural, one {time} other {times}}", { n }),
  years: (n) => msg("{n, plural, one {year} other {years}}", { n }),
};

/** A unit as it is said of {@code n}: drops, one drop; what is measured keeps its sign. */
export const unitWord = (unit: string, n: number): string =>
  (Object.hasOwn(COUNTED, unit) ? COUNTED[unit]?.(n) : undefined) ?? unit;
