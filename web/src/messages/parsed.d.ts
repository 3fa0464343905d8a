declare module "virtual:parsed-messages/*" {
  import type { MessageFormatElement } from "@formatjs/icu-messageformat-parser";

  /** Messages of a catalogue that count, by the message, as ICU reads them. */
  const parsed: Record<string, MessageFormatElement[]>;
  export default parsed;
}
