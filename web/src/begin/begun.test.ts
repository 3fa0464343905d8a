import { describe, expect, it } from "vitest";
import type { Api } from "../api/client";
import { freePlace } from "../repair/damage/fresh";
import { type Begun, begun, likeThat, offered } from "./begun";

const SAID: Api["Said"] = { understood: [], left: [], damages: [] };
const DOOR: Api["TypicalView"] = {
  id: "door",
  word: "Door",
  draft: {
    name: "Door",
    made: { material: "METAL" },
    widthMm: 1100,
    heightMm: 720,
    gaugeMm: 0.8,
    outline: "door",
    coats: [{ kind: "BASE" }],
    assumed: ["WIDTH", "HEIGHT", "OUTLINE", "GAUGE", "COATS"],
  },
};
const BUMPER: Api["TypicalView"] = {
  id: "bumper-cover",
  word: "Bumper cover",
  draft: {
    name: "Bumper cover",
    made: { material: "PLASTIC", thicknessMm: 3 },
    widthMm: 1600,
    heightMm: 480,
    outline: "skirt",
    coats: [],
    assumed: ["WIDTH", "HEIGHT", "OUTLINE", "THICKNESS"],
  },
};
const KINDS: Api["CatalogueView"]["damages"] = [
  { kind: "DENT", word: "Dent", materials: ["METAL"] },
  { kind: "CRACK", word: "Crack", materials: ["METAL", "PLASTIC", "COMPOSITE", "GLASS"] },
  { kind: "RUN", word: "Run or sag", materials: ["FILM"] },
];
const PANE: Api["TypicalView"] = {
  id: "windscreen",
  word: "Windscreen",
  draft: {
    name: "Windscreen",
    made: { material: "GLASS" },
    widthMm: 1450,
    heightMm: 850,
    coats: [],
    assumed: ["WIDTH"],
  },
};

describe("damage to touch", () => {
  const words = (b: Partial<Begun>, known = true) =>
    offered({ touched: {}, vehicle: "", ...b }, known, [DOOR, BUMPER, PANE], KINDS).map((k) => k.kind);

  it("is what the part can have, and a run on whatever is painted", () => {
    expect(words({ typical: DOOR })).toEqual(["DENT", "CRACK", "RUN"]);
    expect(words({ typical: BUMPER })).toEqual(["CRACK", "RUN"]);
    expect(words({ typical: PANE })).toEqual(["CRACK"]);
    expect(words({}, false)).toEqual(["DENT", "CRACK", "RUN"]);
  });

  it("stays there when a run is touched, and what was touched can be touched off", () => {
    expect(words({ typical: DOOR, touched: { RUN: 1 } })).toEqual(["DENT", "CRACK", "RUN"]);
    expect(words({ typical: BUMPER, touched: { RUN: 1 } })).toEqual(["CRACK", "RUN"]);
    expect(words({ typical: PANE, touched: { DENT: 1 } })).toEqual(["DENT", "CRACK"]);
  });
});

const draft = (b: Partial<Begun>) => begun({ touched: {}, vehicle: "", ...b }, [DOOR, BUMPER], KINDS);

describe("a new repair of what was said and touched", () => {
  it("is the usual part with each figure marked as not measured, and nothing that decides the method", () => {
    const d = draft({ typical: DOOR, touched: { DENT: 2 }, vehicle: "Ridge, no. 3" });
    expect(d.part).toMatchObject({ name: "Door", vehicle: "Ridge, no. 3", widthMm: 1100, assumed: DOOR.draft.assumed });
    expect(d.part?.metal).toBeUndefined();
    expect(d.damages?.map((x) => x.kind)).toEqual(["DENT", "DENT"]);
  });

  it("takes what a line says before what is usual, and that is no longer assumed", () => {
    const said: Api["Said"] = {
      ...SAID,
      typical: "bumper-cover",
      name: "Front bumper",
      material: "PLASTIC",
      mark: ">PP+EPDM<",
      thicknessMm: 2.6,
      damages: [{ kind: "CRACK", lengthMm: 120, through: true }],
    };
    const d = draft({ said });
    expect(d.part).toMatchObject({ name: "Front bumper", made: { mark: ">PP+EPDM<", thicknessMm: 2.6 } });
    expect(d.part?.assumed).toEqual(["WIDTH", "HEIGHT", "OUTLINE"]);
    const [x1 = 0, y1 = 0, x2 = 0, y2 = 0] = d.damages?.[0]?.trace ?? [];
    expect(Math.hypot(x2 - x1, y2 - y1)).toBe(120);
    expect(d.damages?.[0]?.through).toBe("THROUGH");
  });

  it("goes by the part that was touched where the line says another", () => {
    const said: Api["Said"] = { ...SAID, typical: "bumper-cover", name: "Bumper", material: "PLASTIC", mark: ">PP<" };
    const d = draft({ said, typical: DOOR });
    expect(d.part).toMatchObject({ name: "Door", made: { material: "METAL" }, gaugeMm: 0.8 });
    expect(d.part?.made?.mark).toBeUndefined();
  });

  it("has another stuff's coats and no gauge where the line says so", () => {
    const said: Api["Said"] = { ...SAID, material: "COMPOSITE", composite: "CARBON" };
    expect(draft({ said }).part).toMatchObject({ made: { material: "COMPOSITE", composite: "CARBON" }, coats: [] });
  });

  it("puts how thick it is where such a part has it", () => {
    expect(draft({ said: { ...SAID, thicknessMm: 1.2 } }).part).toMatchObject({ gaugeMm: 1.2 });
    const wall = draft({ said: { ...SAID, material: "PLASTIC", thicknessMm: 3 } }).part;
    expect(wall?.made?.thicknessMm).toBe(3);
    expect(wall?.gaugeMm).toBeUndefined();
  });

  it("mends a run inside its film, whatever lies beneath", () => {
    expect(draft({ typical: BUMPER, touched: { RUN: 1 } }).part?.assumed).toEqual([
      "WIDTH",
      "HEIGHT",
      "OUTLINE",
      "COATS",
    ]);
    expect(draft({ typical: BUMPER, touched: { RUN: 1 } }).part?.made).toEqual({
      material: "FILM",
      filmOver: "PLASTIC",
    });
    const door = draft({ typical: DOOR, said: { ...SAID, metal: "ALUMINIUM" }, touched: { RUN: 1 } }).part;
    expect(door).toMatchObject({ made: { material: "FILM", filmOver: "ALUMINIUM" } });
    expect(draft({ typical: DOOR, touched: { RUN: 1 } }).part?.made?.filmOver).toBeUndefined();
    expect(draft({ typical: DOOR, touched: { RUN: 1, DENT: 1 } }).part?.made?.material).toBe("METAL");
  });

  it("never makes a film of a pane or a tyre", () => {
    for (const material of ["GLASS", "TYRE"] as const) {
      const typical = { id: "x", word: "X", draft: { made: { material } } };
      expect(draft({ typical, touched: { RUN: 1 } }).part?.made?.material).toBe(material);
    }
  });

  it("lays no damage on another", () => {
    const at = (draft({ typical: DOOR, touched: { DENT: 4 } }).damages ?? []).map((x) => [x.xMm ?? 0, x.yMm ?? 0]);
    at.forEach(([x = 0, y = 0], i) =>
      at.slice(0, i).forEach(([a = 0, b = 0]) => expect(Math.hypot(a - x, b - y)).toBeGreaterThan(150)),
    );
    expect(freePlace({ widthMm: 800, heightMm: 600 }, [])).toEqual([400, 300]);
  });
});

describe("a part like that one", () => {
  const past: Api["PartDraft"] = {
    name: "Door",
    metal: "MILD_STEEL",
    gaugeMm: 0.9,
    widthMm: 1000,
    reach: "BOTH_SIDES",
    made: { material: "METAL" },
    answers: { airbag: "NO" },
    face: ["RUST_LIGHT"],
    assumed: ["WIDTH"],
  };

  it("is never taken over with the answers that guard life, nor with what lay on it", () => {
    for (const same of [true, false]) expect(likeThat(past, same)).toMatchObject({ answers: {}, face: [] });
  });

  it("of the same vehicle is as it was measured; of another nothing is, and what decides the method is asked", () => {
    expect(likeThat(past, true)).toMatchObject({ metal: "MILD_STEEL", reach: "BOTH_SIDES", assumed: ["WIDTH"] });
    const other = likeThat(past, false);
    expect(other).toMatchObject({ gaugeMm: 0.9, assumed: ["WIDTH", "GAUGE"] });
    expect([other.metal, other.reach, other.made?.mark]).toEqual([undefined, undefined, undefined]);
  });
});
