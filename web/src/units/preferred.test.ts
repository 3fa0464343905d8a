// @vitest-environment jsdom
import { beforeEach, describe, expect, it } from "vitest";
import { prefer, preferred } from "./preferred";

describe("what a screen prefers", () => {
  beforeEach(() => localStorage.clear());

  it("begins in the shop\u2019s units: none are its own", () => {
    expect(preferred()).toMatchObject({ system: "metric", ownSystem: false });
    prefer(preferred());
    expect(preferred().ownSystem).toBe(false);
  });

  it("keeps the units that were chosen here before shops had any", () => {
    localStorage.setItem("vanemend.preferences", JSON.stringify({ system: "inch", theme: "night" }));
    expect(preferred()).toMatchObject({ system: "inch", ownSystem: true, theme: "night" });
  });

  it("survives what cannot be read", () => {
    localStorage.setItem("vanemend.preferences", "{");
    expect(preferred().system).toBe("metric");
  });
});
