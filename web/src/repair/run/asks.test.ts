import { describe, expect, it } from "vitest";
import fixture from "../../api/generated/run-fixture.json";
import { ASKS } from "./asks";

describe("what can be read at the bench", () => {
  it("is believed within the same bounds here and in the core", () => {
    const here = Object.fromEntries(Object.entries(ASKS).map(([ask, { from, to }]) => [ask, { from, to }]));
    expect(here).toEqual(fixture.limits);
  });
});
