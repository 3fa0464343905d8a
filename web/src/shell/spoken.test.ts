import { describe, expect, it } from "vitest";
import { wordsAt } from "./spoken";

describe("what is spoken of a work time", () => {
  it("is said at two minutes, one, half of one and at its end, and at no other second", () => {
    const said = Array.from({ length: 400 }, (_, s) => wordsAt(s, "On the part by")).flatMap((w, s) =>
      w ? [[s, w]] : [],
    );
    expect(said).toEqual([
      [0, "work time is over"],
      [30, "thirty seconds: On the part by"],
      [60, "one minute: On the part by"],
      [120, "two minutes: On the part by"],
    ]);
  });
});
