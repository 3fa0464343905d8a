import { IntlMessageFormat } from "intl-messageformat";
import counting from "virtual:parsed-messages/en";
import { preferred } from "../units/preferred";

/** The language of this screen. It is chosen before anything is said: another one loads the page anew. */
export const language = preferred().language;

// Only what is not English comes by itself: English stands where it is said.
const [catalogue, countingToo] =
  language === "de"
    ? await Promise.all([
        import("./de.json").then((m): Catalogue => m.default),
        import("virtual:parsed-messages/de").then((m) => m.default),
      ])
    : [{} satisfies Catalogue as Catalogue, {}];

type Catalogue = Readonly<Record<string, string>>;

/** What was parsed at the build: every message that says one thing of one and another of many. */
const parsed = { ...counting, ...countingToo };

/** How days and figures are written in it. */
export const locale = language === "de" ? "de-DE" : "en-GB";

const made = new Map<string, IntlMessageFormat>();

function counted(message: string): IntlMessageFormat | undefined {
  const known = made.get(message);
  const ast = parsed[message];
  if (known || ast === undefined) return known;
  const now = new IntlMessageFormat(ast, language);
  made.set(message, now);
  return now;
}

/**
 * A message of the catalogue in the language of this screen. It is called by its English, an ICU message: `Step {step} of {steps}`. What the
 * language does not have yet is said in English.
 */
export function msg(message: string, values?: Values): string {
  const said = catalogue[message] ?? message;
  return values === undefined ? said : filled(said, values);
}

export type Values = Readonly<Record<string, string | number>>;

/** An ICU message with its values; one that it asks for and is not given is a fault. */
export function filled(message: string, values: Values): string {
  const counts = counted(message);
  if (counts) return String(counts.format(values));
  return message.replace(/\{(\w+)\}/g, (_, name: string) => {
    const value = values[name];
    if (value === undefined) throw new Error(`“${message}” is said without its ${name}`);
    return String(value);
  });
}

/** What stands for itself elsewhere, as it stands within a sentence: English writes it small, German has its nouns. */
export const within = (said: string) => (language === "en" ? said.toLowerCase() : said);

/** Figures as the language writes them: 3.4; 3,4. */
export const figures = (written: string) => (language === "de" ? written.replace(".", ",") : written);
