import { describe, expect, it } from "vitest";
import { inZone, instantIn, parseDay, parseTime, sayDay, typedDay } from "./days";

// A Sunday.
const TODAY = "2026-11-29";

describe("a day as it is typed", () => {
  it.each([
    ["30 Nov 2026", "2026-11-30"],
    ["30.11.26", "2026-11-30"],
    ["30/11/2026", "2026-11-30"],
    ["2026-11-30", "2026-11-30"],
    ["Nov 30, 2026", "2026-11-30"],
    ["Mon 30 Nov 2026", "2026-11-30"],
    ["30 november 2026", "2026-11-30"],
    ["1 2", "2027-02-01"],
    ["29 11", "2026-11-29"],
    ["29 Feb 2028", "2028-02-29"],
    ["today", "2026-11-29"],
    ["Tomorrow", "2026-11-30"],
    ["Fri", "2026-12-04"],
    ["sunday", "2026-11-29"],
    ["+14", "2026-12-13"],
    ["+ 400 days", "2028-01-03"],
  ])("%s is %s", (text, day) => expect(parseDay(text, TODAY, "metric")).toBe(day));

  it.each(["", "31 Nov 2026", "29 Feb 2027", "32 1", "13 13 2026", "next week", "12", "1.2.3.4", "2026", "30 Nov 202"])(
    "%s is none",
    (text) => expect(parseDay(text, TODAY, "metric")).toBeUndefined(),
  );

  it("has the month first in a shop of inches, unless it is named", () => {
    expect(parseDay("11/30/2026", TODAY, "inch")).toBe("2026-11-30");
    expect(parseDay("30 Nov 2026", TODAY, "inch")).toBe("2026-11-30");
    expect(parseDay("30/11/2026", TODAY, "inch")).toBeUndefined();
  });

  it("is said in the shop's order, and what is said can be typed again", () => {
    expect(sayDay("2026-11-30", "metric")).toBe("Mon 30 Nov 2026");
    expect(sayDay("2026-11-30", "inch")).toBe("Mon Nov 30, 2026");
    for (let i = 0; i < 800; i++) {
      const day = new Date(Date.UTC(2026, 0, 1) + i * 86_400_000).toISOString().slice(0, 10);
      for (const system of ["metric", "inch"] as const) {
        expect(parseDay(typedDay(day, system), TODAY, system)).toBe(day);
        expect(parseDay(sayDay(day, system), TODAY, system)).toBe(day);
      }
    }
  });
});

describe("a time of day", () => {
  it.each([
    ["16:30", "16:30"],
    ["1630", "16:30"],
    ["16", "16:00"],
    ["4.30 pm", "16:30"],
    ["12am", "00:00"],
    ["12 pm", "12:00"],
    ["7:05", "07:05"],
  ])("%s is %s", (text, time) => expect(parseTime(text)).toBe(time));

  it.each(["", "24:00", "16:60", "13 pm", "0 am", "noon"])("%s is none", (text) =>
    expect(parseTime(text)).toBeUndefined(),
  );

  it("is the shop's, whatever this screen's zone", () => {
    expect(instantIn("2026-11-30", "16:30", "Europe/London")).toBe("2026-11-30T16:30:00.000Z");
    expect(instantIn("2026-06-30", "16:30", "Europe/London")).toBe("2026-06-30T15:30:00.000Z");
    expect(instantIn("2026-11-30", "16:30", "Pacific/Auckland")).toBe("2026-11-30T03:30:00.000Z");
    expect(inZone("2026-11-30T03:30:00Z", "Pacific/Auckland")).toEqual({ day: "2026-11-30", time: "16:30" });
  });

  it("in the night of a clock change is the hour after the one that is skipped, the first of the one that comes twice", () => {
    expect(instantIn("2026-03-29", "01:30", "Europe/London")).toBe("2026-03-29T01:30:00.000Z");
    expect(instantIn("2026-10-25", "01:30", "Europe/London")).toBe("2026-10-25T00:30:00.000Z");
  });
});
