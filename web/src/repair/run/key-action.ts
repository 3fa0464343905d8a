/** What a key or the pedal does in a run. */
export type Does = "primary" | "start" | "undo" | "other" | "note" | "reading" | "keys" | "leave" | "nothing";

/** How things stand when a key is pressed. */
export interface Situation {
  /** Something is being typed. */
  typing: boolean;
  /** No other key is held with it, and it is no repeat. */
  plain: boolean;
  /** A button or a link has the focus: it answers Enter and Space by itself. */
  onButton: boolean;
  /** A mix is in hand whose clock does not run yet. */
  mixing: boolean;
  /** Why nothing may be done blind here: it takes a hand that looks. */
  held: boolean;
}

export interface KeyAction {
  does: Does;
  /** The browser's own answer to the key is not wanted. */
  own: boolean;
  /** Held: it is not safe to do blind, and is said. */
  held: boolean;
}

const act = (does: Does, own = false): KeyAction => ({ does, own, held: false });
const HELD: KeyAction = { does: "nothing", own: true, held: true };

/** What `key` does; undefined where it does nothing of ours. The pedal is Page Down and works while something is typed. */
export function keyAction(key: string, { typing, plain, onButton, mixing, held }: Situation): KeyAction | undefined {
  if (key === "PageDown") return held ? HELD : act("primary", true);
  if (typing || !plain) return undefined;
  switch (key) {
    case "Enter":
      if (onButton) return undefined;
      return held ? HELD : act("primary");
    case " ":
      if (onButton) return undefined;
      if (held) return HELD;
      return act(mixing ? "start" : "nothing", true);
    case "u":
      return act("undo");
    case ".":
      return act("note", true);
    case "r":
      return act("reading", true);
    case "n":
      return act("other");
    case "?":
      return act("keys");
    case "Escape":
      return act("leave");
    default:
      return undefined;
  }
}
