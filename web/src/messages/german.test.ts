// @vitest-environment jsdom
import { beforeEach, describe, expect, it, vi } from "vitest";

/** The modules of a screen that was told to speak German. */
async function german() {
  localStorage.setItem("vanemend.preferences", JSON.stringify({ language: "de" }));
  vi.resetModules();
  const [messages, told, units, text, heard] = await Promise.all([
    import("./messages"),
    import("./told"),
    import("../units/units"),
    import("../units/text"),
    import("../shell/heard"),
  ]);
  return { ...messages, ...told, ...units, ...text, ...heard };
}

describe("a screen that speaks German", () => {
  beforeEach(() => localStorage.clear());

  it("says messages with their values and in their number, and in English what it has no German for", async () => {
    const { msg } = await german();
    expect(msg("Done")).toBe("Fertig");
    expect(msg("by {by}", { by: "Tam" })).toBe("von Tam");
    expect(msg("{n, plural, one {# step} other {# steps}}", { n: 1 })).toBe("1 Schritt");
    expect(msg("{n, plural, one {# step} other {# steps}}", { n: 3 })).toBe("3 Schritte");
    expect(msg("nobody says this in {place}", { place: "Bath" })).toBe("nobody says this in Bath");
  });

  it("says what the core said, its figures as quantities", async () => {
    const { told, said } = await german();
    expect(said(told("Dew point ⟦9 °C⟧ in today's air: the surface at ⟦12.5 °C least⟧ or more."), "metric")).toContain(
      "12,5\u202f°C",
    );
    expect(told("Guide coat, P80 by board")).toBe("Kontrollfarbe, P80 mit Schleifbrett");
    expect(told("Palm test, 2 of 3")).toBe("Handprobe, 2 von 3");
    expect(told("Wait to sand under the lamp")).toBe("Warten bis zum Schleifen unter dem Strahler");
    expect(told("Clear film 2 flat over it, ⟦10 mm⟧ past the injector's mark; air pushed out from the middle.")).toBe(
      "Clear film 2 flach darüber, ⟦10 mm⟧ über die Marke des Injektors hinaus; Luft von der Mitte ausgestrichen.",
    );
    expect(told("Equalise first: both sides level. Gun and mixer for ⟦1 : 1⟧.")).toBe(
      "Erst angleichen: beide Seiten eben. Pistole und Mischer für ⟦1 : 1⟧.",
    );
    expect(told("Refer: material not known.")).toBe("Abgeben: Werkstoff nicht bekannt.");
    expect(told("Rub it with Gran's rag first.")).toBe("Rub it with Gran's rag first.");
  });

  it("turns the words of a run and nothing that somebody typed", async () => {
    const { inLanguage } = await german();
    const run = {
      state: {
        steps: [{ id: "putty", loop: "putty again", step: { title: "Putty" } }],
        notes: [{ text: "Dust off" }],
        against: [{ text: "Dust off" }],
      },
      frozen: { draft: { part: { name: "Film", title: "Film" } }, workup: { name: "Film" } },
    };
    expect(inLanguage(run)).toEqual({
      ...run,
      state: { ...run.state, steps: [{ id: "putty", loop: "putty again", step: { title: "Feinspachtel" } }] },
    });
  });

  it("writes figures, ranges, counts, hours and days in its own way, and reads its commas", async () => {
    const { said, grams, percent, moment, parsePlain } = await german();
    expect(grams(3.4)).toBe("3,4\u202fg");
    expect(percent(2.25)).toBe("2,3\u202f%");
    expect(said("⟦10 to 24.5 °C⟧", "metric")).toBe("10 bis 24,5\u202f°C");
    expect(said("⟦1 drops⟧, ⟦3 drops⟧", "metric")).toBe("1\u202fTropfen, 3\u202fTropfen");
    expect(said("⟦1 : 2⟧", "metric")).toBe("1 : 2");
    expect(moment("2026-12-02T14:25:00Z", Date.parse("2026-11-30T09:00:00Z"), "UTC")).toBe("Mi 14:25");
    expect(parsePlain("3,4", "g")).toEqual({ ok: true, value: 3.4 });
  });

  it("hears its own words", async () => {
    const { keyHeard } = await german();
    expect([keyHeard("Fertig."), keyHeard("nein"), keyHeard("done")]).toEqual(["PageDown", "n", undefined]);
  });
});
