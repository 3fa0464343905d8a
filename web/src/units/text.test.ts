import { describe, expect, it } from "vitest";
import { inUnits, said } from "./text";
import { lengthInches, THIN } from "./units";

const inch = (words: string) => said(words, "inch").replaceAll(THIN, " ").replaceAll("\u00a0", " ");
const metric = (words: string) => said(words, "metric").replaceAll(THIN, " ");

describe("words with quantities", () => {
  it("are said as they are kept in metric, and hold a figure to its unit", () => {
    expect(said("at most ⟦3 mm most⟧", "metric")).toBe(`at most 3${THIN}mm`);
    expect(metric("from ⟦10 to 24 °C⟧, over ⟦25 ° most⟧, ⟦0.8⟧ of ⟦5 min⟧")).toBe(
      "from 10 to 24 °C, over 25°, 0.8 of 5 min",
    );
    expect(metric("⟦1 cartridges⟧, ⟦2 mixers⟧, ⟦1 : 1.2⟧, ⟦2:24 min⟧, ⟦-5 °C⟧, ⟦1 times⟧")).toBe(
      "1 cartridge, 2 mixers, 1 : 1.2, 2:24 min, −5 °C, 1 time",
    );
  });

  it("never say a maximum up or a minimum down in inches: 3 mm is 7.56 64ths", () => {
    expect(inch("at most ⟦3 mm most⟧")).toBe("at most 7/64 in");
    expect(inch("at least ⟦3 mm least⟧")).toBe("at least 1/8 in");
    expect(inch("⟦3 mm⟧")).toBe("1/8 in");
    expect(inch("from ⟦0.5 to 4 mm⟧")).toBe("from 1/32 to 5/32 in");
    expect(inch("⟦50 °C most⟧, ⟦10 °C least⟧, ⟦23 °C⟧, ⟦3 K least⟧")).toBe("122 °F, 50 °F, 73 °F, 6 °F");
  });

  it("keep what is held against a limit on its own side of it: a depth of 3 mm is inside 3 mm, one of 3.1 mm is not", () => {
    expect(inch("⟦3 mm most⟧ deep, at most ⟦3 mm most⟧")).toBe("7/64 in deep, at most 7/64 in");
    expect(inch("⟦3.1 mm least⟧ deep, at most ⟦3 mm most⟧")).toBe("1/8 in deep, at most 7/64 in");
    expect(inch("⟦49.9 mm most⟧ away, at least ⟦50 mm least⟧")).toBe("1 15/16 in away, at least 1 31/32 in");
  });

  it("say an area off a roll in square inches: 100 cm² is 15.50", () => {
    expect(inch("⟦2 pieces⟧, ⟦784 cm²⟧")).toBe("2 pieces, 121.5 in²");
    expect(inch("at most ⟦100 cm² most⟧, at least ⟦100.1 cm² least⟧")).toBe("at most 15.5 in², at least 15.6 in²");
    expect(metric("⟦784 cm²⟧")).toBe("784 cm²");
  });

  it("say the twin where the trade prints a pair", () => {
    expect(inch("⟦25 mm =1⟧ past the hole")).toBe("1 in past the hole");
    expect(metric("⟦25 mm =1⟧ past the hole")).toBe("25 mm past the hole");
    expect(inch("⟦4.76 mm most =0.1875⟧")).toBe("3/16 in");
  });

  it("use the fractions of a bench: 32nds, 64ths under half an inch, decimals below a 64th", () => {
    const of = (mm: number, bound?: "most" | "least") => lengthInches(mm, bound).replace("\u00a0", " ");
    expect(of(65.0875)).toBe("2 9/16");
    expect(of(25.4)).toBe("1");
    expect(of(12.6, "least")).toBe("1/2");
    expect(of(0.3, "most")).toBe("0.011");
    expect(of(0.3, "least")).toBe("0.012");
    expect(of(0)).toBe("0");
    expect(of(-50)).toBe("-1 31/32");
  });

  it("hold the rounding for every length there is", () => {
    const value = (text: string) => {
      const [whole, part] = text.includes(" ") ? text.split(" ") : text.includes("/") ? ["0", text] : [text, "0/1"];
      const [a, b] = (part ?? "0/1").split("/");
      return Number(whole) + Number(a) / Number(b);
    };
    for (let mm = 0.01; mm < 400; mm *= 1.013) {
      const most = value(lengthInches(mm, "most").replace("\u00a0", " ")) * 25.4;
      const least = value(lengthInches(mm, "least").replace("\u00a0", " ")) * 25.4;
      const step = mm < 25.4 / 64 ? 0.0254 : mm < 12.7 ? 25.4 / 64 : 25.4 / 32;
      expect(most).toBeLessThanOrEqual(mm + 1e-6);
      expect(mm - most).toBeLessThan(step + 1e-6);
      expect(least).toBeGreaterThanOrEqual(mm - 1e-6);
      expect(least - mm).toBeLessThan(step + 1e-6);
    }
  });

  it("leave alone what is no quantity, and give back the same object where nothing was one", () => {
    expect(said("91 mm", "inch")).toBe("91 mm");
    const plain = { steps: [{ title: "Wash", at: [1, 2, 3] }] };
    expect(inUnits(plain, "inch")).toBe(plain);
    const words = { steps: [{ title: "Wash" }, { title: "⟦25.4 mm⟧" }], n: [1, 2] };
    const turned = inUnits(words, "inch");
    expect(turned.steps[1]?.title).toBe(`1${THIN}in`);
    expect(turned.steps[0]).toBe(words.steps[0]);
    expect(turned.n).toBe(words.n);
    expect(inUnits(words, "inch")).toBe(turned);
    expect(words.steps[1]?.title).toBe("⟦25.4 mm⟧");
  });
});
