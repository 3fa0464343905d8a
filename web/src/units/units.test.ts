import { describe, expect, it } from "vitest";
import conversions from "./conversions.json";
import { amount } from "./amount";
import {
  fromFahrenheit,
  fromInch,
  length,
  lengthNumber,
  minutes,
  parseArea,
  parseLength,
  parsePlain,
  parseTemperature,
  stretch,
  temperature,
  THIN,
  moment,
  timeOfDay,
  toFahrenheit,
  toInch,
} from "./units";

const mm = (text: string, system: "metric" | "inch" = "metric") => {
  const p = parseLength(text, system);
  return p.ok ? p.value : p.message;
};

describe("areas", () => {
  const cm2 = (text: string, system: "metric" | "inch" = "metric") => {
    const p = parseArea(text, system);
    return p.ok ? p.value : p.message;
  };

  it("takes both systems, 1 in² = 6.4516 cm² exactly (square of ISO 80000-3's inch)", () => {
    expect(cm2("784")).toBe(784);
    expect(cm2("10", "inch")).toBeCloseTo(64.516, 9);
    expect(cm2("10 in²")).toBeCloseTo(64.516, 9);
    expect(cm2("784 cm2", "inch")).toBe(784);
    expect(cm2("1 1/2 sq in")).toBeCloseTo(9.6774, 9);
    expect(cm2("0.5 m²", "inch")).toBe(5000);
    expect(cm2("a palm")).toMatch(/“a palm” is not an area/);
  });

  it("stand in square inches where the shop measures in inches, everything else as it is counted", () => {
    expect(amount(784, "cm²", "metric")).toBe(`784${THIN}cm²`);
    expect(amount(784, "cm²", "inch")).toBe(`121.5${THIN}in²`);
    expect(amount(1, "pieces", "inch")).toBe(`1${THIN}piece`);
    expect(amount(36, "g", "inch")).toBe(`36${THIN}g`);
  });
});

describe("lengths", () => {
  it("takes both systems and fractions, 1 in = 25.4 mm exactly (ISO 80000-3)", () => {
    expect(mm("38")).toBe(38);
    expect(mm("38mm", "inch")).toBe(38);
    expect(mm("1 1/2 in")).toBeCloseTo(38.1, 12);
    expect(mm("1 1/2", "inch")).toBeCloseTo(38.1, 12);
    expect(mm('1/4"')).toBeCloseTo(6.35, 12);
    expect(mm("3,8 cm")).toBeCloseTo(38, 12);
    expect(mm("−5")).toBe(-5);
    expect(mm("0.12 m")).toBeCloseTo(120, 12);
  });

  it("refuses what is no length and says what would do", () => {
    expect(mm("about three")).toMatch(/“about three” is not a length/);
    expect(mm("")).toMatch(/not a length/);
    expect(mm("1/0 in")).toMatch(/not a length/);
    expect(mm("3 8 mm")).toMatch(/not a length/);
  });

  it("goes there and back without loss", () => {
    for (let i = 1; i < 400; i++) {
      const v = i * 1.37;
      expect(fromInch(toInch(v))).toBeCloseTo(v, 10);
      expect(fromFahrenheit(toFahrenheit(v))).toBeCloseTo(v, 10);
    }
  });

  it("shows no more digits than the bench can measure", () => {
    expect(length(38.44, "metric")).toBe(`38${THIN}mm`);
    expect(length(2.84, "metric", "depth")).toBe(`2.8${THIN}mm`);
    expect(length(0.15, "metric", "depth")).toBe(`0.15${THIN}mm`);
    expect(length(0.6, "metric", "depth")).toBe(`0.6${THIN}mm`);
    expect(length(38.1, "inch")).toBe(`1\u00a01/2${THIN}in`);
    expect(length(2.8, "inch", "depth")).toBe(`7/64${THIN}in`);
    expect(length(100, "metric")).toBe(`100${THIN}mm`);
    expect(lengthNumber(120, "metric")).toBe("120");
    expect(lengthNumber(0.9, "metric")).toBe("0.9");
    expect(lengthNumber(120.65, "metric")).toBe("120.65");
  });
});

describe("conversions against a reference library of units", () => {
  it("agrees with every line of the table to nine places", () => {
    for (const { mm: v, inch } of conversions.lengths) expect(toInch(v)).toBeCloseTo(inch, 8);
    for (const { celsius, fahrenheit } of conversions.temperatures)
      expect(toFahrenheit(celsius)).toBeCloseTo(fahrenheit, 8);
  });
});

describe("temperatures", () => {
  it("takes and shows °C and °F: 82.2 °C is 180 °F, −40 is both", () => {
    const p = parseTemperature("180F", "metric");
    expect(p.ok && p.value).toBeCloseTo(82.2222, 3);
    expect(temperature(50, "inch")).toBe(`122${THIN}°F`);
    expect(temperature(-40, "inch")).toBe(`-40${THIN}°F`);
    const plain = parseTemperature("70", "inch");
    expect(plain.ok && plain.value).toBeCloseTo(21.111, 3);
    expect(parseTemperature("warm", "metric").ok).toBe(false);
  });
});

describe("times", () => {
  it("rounds deadlines down and earliest times up", () => {
    expect(stretch(228.9, "down")).toBe("3:48");
    expect(stretch(228.1, "up")).toBe("3:49");
    expect(stretch(-4, "down")).toBe("0:00");
    expect(stretch(1501, "up")).toBe(`26${THIN}min`);
    expect(stretch(1559, "down")).toBe(`25${THIN}min`);
    expect(minutes(66)).toBe(`1${THIN}h${THIN}06`);
    expect(timeOfDay("2026-11-24T14:24:01Z", "UTC", "up")).toBe("14:25");
    expect(timeOfDay("2026-11-24T14:24:59Z", "UTC", "down")).toBe("14:24");
  });

  it("names the day where it is not today's in the shop's zone", () => {
    const now = Date.parse("2026-11-24T22:30:00Z");
    expect(moment("2026-11-24T23:10:20Z", now, "UTC", "up")).toBe("23:11");
    expect(moment("2026-11-25T00:10:00Z", now, "UTC")).toBe("Wed 00:10");
    // An hour east it is Wednesday from 23:00 on.
    expect(moment("2026-11-24T23:10:00Z", now, "Europe/Berlin")).toBe("Wed 00:10");
    expect(moment("2027-01-09T07:56:00Z", now, "UTC")).toBe("9 Jan 2027, 07:56");
    expect(moment("2026-12-09T07:56:00Z", now, "UTC")).toBe("Wed 9 Dec, 07:56");
  });
});

describe("plain numbers", () => {
  it("takes the unit or leaves it", () => {
    expect(parsePlain("44.6 g", "g")).toEqual({ ok: true, value: 44.6 });
    expect(parsePlain("0,9", "g")).toEqual({ ok: true, value: 0.9 });
    expect(parsePlain("some", "g").ok).toBe(false);
  });
});
