import { describe, expect, it } from "vitest";
import type { Api } from "../../api/client";
import { freePlace } from "../damage/fresh";
import { withSaid } from "./said";

const nothing: Api["Said"] = { understood: [], left: [], damages: [] };

describe("what a line said, in the draft", () => {
  it("leaves alone what it did not say", () => {
    const draft = { part: { name: "Door", gaugeMm: 0.9, made: { material: "METAL" as const } }, damages: [] };
    expect(withSaid(draft, nothing)).toEqual(draft);
  });

  it("makes another kind of part of it, with its own coats and outline", () => {
    const said: Api["Said"] = {
      ...nothing,
      name: "Front bumper",
      material: "PLASTIC",
      mark: ">PP+EPDM<",
      outline: "skirt",
      damages: [{ kind: "CRACK", lengthMm: 120, through: true }],
    };
    const d = withSaid({ part: { coats: [{ kind: "E_COAT" }], outline: "door" }, damages: [] }, said);
    expect(d.part).toMatchObject({
      name: "Front bumper",
      outline: "skirt",
      coats: [],
      made: { material: "PLASTIC", mark: ">PP+EPDM<" },
    });
    const [x1 = 0, y1 = 0, x2 = 0, y2 = 0] = d.damages?.[0]?.trace ?? [];
    expect(Math.hypot(x2 - x1, y2 - y1)).toBe(120);
    expect(d.damages?.[0]?.through).toBe("THROUGH");
  });

  it("puts how thick it is where such a part has it", () => {
    const thick: Api["Said"] = { ...nothing, gaugeMm: 3 };
    expect(withSaid({}, thick).part).toMatchObject({ gaugeMm: 3 });
    const bumper = withSaid({}, { ...thick, material: "PLASTIC" }).part;
    expect(bumper?.made?.thicknessMm).toBe(3);
    expect(bumper?.gaugeMm).toBeUndefined();
  });

  it("lays no damage on another", () => {
    const dent = { kind: "DENT" as const, lengthMm: 90, widthMm: 80, depthMm: 3, through: false };
    const d = withSaid({ part: { widthMm: 800, heightMm: 600 } }, { ...nothing, damages: [dent, dent, dent] });
    const at = (d.damages ?? []).map((x) => [x.xMm ?? 0, x.yMm ?? 0] as const);
    at.forEach(([x, y], i) =>
      at.slice(0, i).forEach(([a, b]) => expect(Math.hypot(a - x, b - y)).toBeGreaterThan(150)),
    );
    expect(freePlace({ widthMm: 800, heightMm: 600 }, [])).toEqual([400, 300]);
  });
});
