import { describe, expect, it } from "vitest";
import { keyAction, type Situation } from "./key-action";

const usual: Situation = { typing: false, plain: true, onButton: false, mixing: false, held: false };
const does = (key: string, s: Partial<Situation> = {}) => keyAction(key, { ...usual, ...s })?.does;

describe("keys of a run", () => {
  it("does what stands in hand by pedal and Enter, and leaves it to a button that has the focus", () => {
    expect(does("PageDown")).toBe("primary");
    expect(does("Enter")).toBe("primary");
    expect(does("Enter", { onButton: true })).toBeUndefined();
    expect(does(" ", { onButton: true })).toBeUndefined();
  });

  it("passes a stop by no key and no pedal", () => {
    for (const key of ["PageDown", "Enter"]) {
      expect(keyAction(key, { ...usual, held: true })).toMatchObject({ does: "nothing", held: true });
    }
  });

  it("starts a clock by Space only where a mix is in hand", () => {
    expect(does(" ", { mixing: true })).toBe("start");
    expect(does(" ")).toBe("nothing");
  });

  it("takes letters as letters while something is typed, but the pedal works on", () => {
    for (const key of ["u", "n", "r", ".", "Escape", "Enter"]) expect(does(key, { typing: true })).toBeUndefined();
    expect(does("PageDown", { typing: true })).toBe("primary");
  });

  it("does nothing of ours with other keys held, or held down", () => {
    for (const key of ["u", "n", "Enter"]) expect(does(key, { plain: false })).toBeUndefined();
  });

  it("opens what each letter names", () => {
    expect([".", "r", "n", "u", "?", "Escape", "x"].map((k) => does(k))).toEqual([
      "note",
      "reading",
      "other",
      "undo",
      "keys",
      "leave",
      undefined,
    ]);
  });
});
