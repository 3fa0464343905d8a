// @vitest-environment jsdom
import { act, fireEvent, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import "fake-indexeddb/auto";
import { beforeEach, describe, expect, it, vi } from "vitest";
import type { Api } from "../../api/client";
import fixture from "../../api/generated/runs/dent-filler-putty.json";
import { onScreen, show } from "../../test/screen";
import { aheadOfServer } from "./ahead-of-server";
import { Hands } from "./hands";
import { type BenchEvent, outbox } from "./outbox";

vi.mock("../drawing/drawing-pair", () => ({ DrawingPair: () => null }));
vi.mock("../../devices/live-figure", () => ({ LiveFigureLine: () => null }));

vi.mock("../../shell/tone", () => ({ tone: () => {} }));

onScreen();

const nothing = {
  clocks: [],
  mixes: [],
  readings: [],
  pictured: [],
  notes: [],
  spots: [],
  before: [],
  findings: [],
  stops: [],
  undoableBy: "Tam Okafor",
  against: [],
  hands: "Tam Okafor",
};
const words = {
  title: "Look at it",
  detail: "",
  cautions: [],
  tool: "",
  paper: "",
  figure: "",
  activeMin: 1,
  acts: [],
};
const plan = {
  ...fixture.plan,
  loops: fixture.plan.loops.map((l) => ({ ...l, steps: l.steps.map((s) => ({ ...words, ...s })) })),
} as unknown as Api["Plan"];
const begun = {
  ...nothing,
  ...fixture.begun,
  steps: fixture.begun.steps.map((s) => ({ ...s, step: { ...words, ...s.step } })),
} as unknown as Api["RunState"];
const turns = fixture.turns.map((t) => t.event as unknown as BenchEvent);

/** The run as it stands before the first event at {@code step}, with what a test changes of it. */
function at(step: string, change: Partial<Api["RunState"]> = {}) {
  const until = turns.findIndex((e) => e.step === step);
  const state = { ...aheadOfServer(plan, begun, turns.slice(0, until)), ...change };
  const run = { id: 7, state, frozen: { workup: { name: "Luggage door", plan, drawing: {}, sites: [] } } };
  return show(<Hands run={run as unknown as Api["RunView"]} />);
}

let sent: BenchEvent[];
beforeEach(() => {
  sent = [];
  vi.restoreAllMocks();
  vi.spyOn(outbox, "push").mockImplementation((_, e) => void sent.push(e));
});

const press = (key: string) => act(() => void fireEvent.keyDown(document.body, { key }));
const told = () => sent.map((e) => [e.kind, e.step, e.answer ?? e.quantity].filter((x) => x !== undefined));

describe("a step in hand", () => {
  it("is done by its button, by Enter and by the pedal", async () => {
    at("wash");
    await userEvent.click(screen.getByRole("button", { name: /Done/ }));
    press("Enter");
    press("PageDown");
    expect(told()).toEqual([
      ["DONE", "wash"],
      ["DONE", "wash"],
      ["DONE", "wash"],
    ]);
  });

  it("is not done again by Enter on a button that has the focus", () => {
    at("wash");
    screen.getByRole("button", { name: /Note/ }).focus();
    fireEvent.keyDown(screen.getByRole("button", { name: /Note/ }), { key: "Enter" });
    expect(sent).toEqual([]);
  });
});

describe("a gate", () => {
  it("asks what is wrong where there is more than one fault, and takes the one that is named", async () => {
    at("shape-gate");
    press("n");
    const faults = screen.getAllByRole("button").map((b) => b.textContent);
    expect(faults.some((f) => f?.startsWith("Low spot"))).toBe(true);
    expect(faults.some((f) => f?.startsWith("Pinholes"))).toBe(true);
    await userEvent.click(screen.getByRole("button", { name: /^Low spot/ }));
    expect(told()).toEqual([["GATE", "shape-gate", "low"]]);
  });

  it("goes back to its question without an answer", async () => {
    at("shape-gate");
    press("n");
    await userEvent.click(screen.getByRole("button", { name: "Back" }));
    expect(sent).toEqual([]);
    expect(screen.getByRole("button", { name: /^Good/ })).toBeTruthy();
  });

  it("that takes a reading asks for it on the screen, is passed by no key without it, and by hand says what that means", async () => {
    at("depth");
    press("PageDown");
    press("Enter");
    expect(sent).toEqual([]);
    expect(screen.getByRole("alert").textContent).toContain("it asks for a reading first");
    await userEvent.type(screen.getByLabelText("Depth left"), "3.4{Enter}");
    expect(sent.at(-1)).toMatchObject({ kind: "READING", step: "depth", quantity: "DEPTH_MM", value: 3.4 });
    const yes = screen.getByRole("button", { name: /^Shallow enough/ });
    expect(yes.textContent).toContain("not read: it stands in the record");
    await userEvent.click(yes);
    expect(told().at(-1)).toEqual(["GATE", "depth", "yes"]);
  });
});

/** Nine millimetres read at the depth gate. */
const TOO_DEEP: BenchEvent = {
  id: "deep",
  kind: "READING",
  at: "2026-11-24T09:00:00Z",
  step: "depth",
  quantity: "DEPTH_MM",
  value: 9,
};

describe("a stop", () => {
  const stopped = () => {
    const until = turns.findIndex((e) => e.step === "depth");
    const { stops, readings, findings } = aheadOfServer(plan, begun, [...turns.slice(0, until), TOO_DEEP]);
    return { stops, readings, findings };
  };

  it("stands across the screen with what was read and every way out, and no key goes on", async () => {
    at("depth", stopped());
    expect(screen.getByRole("heading", { name: "Stop: too deep to fill" })).toBeTruthy();
    for (const word of ["Measure again", "Straighten again", "Plan anew from here", "End here", "Go against it"]) {
      expect(screen.getByRole("button", { name: new RegExp(word) })).toBeTruthy();
    }
    expect(screen.getByRole<HTMLButtonElement>("button", { name: /Go against it/ }).disabled).toBe(true);
    ["PageDown", "Enter", " "].forEach(press);
    expect(sent).toEqual([]);
    expect(screen.getByText(/The pedal does nothing here: a stop stands/)).toBeTruthy();
    press("r");
    await userEvent.type(screen.getByLabelText("Depth left"), "2.4{Enter}");
    expect(sent.at(-1)).toMatchObject({ kind: "READING", step: "depth", value: 2.4 });
  });

  it("is worked on by the rework that it leaves open", async () => {
    at("depth", stopped());
    await userEvent.click(screen.getByRole("button", { name: /Straighten again/ }));
    expect(told()).toEqual([["GATE", "depth", "deep"]]);
  });

  it("ends the work with what becomes of the part and why", async () => {
    at("depth", stopped());
    await userEvent.click(screen.getByRole("button", { name: /End here/ }));
    const sheet = within(screen.getByRole("dialog"));
    expect(sheet.getByRole<HTMLButtonElement>("button", { name: "End the work" }).disabled).toBe(true);
    await userEvent.click(sheet.getByLabelText("Referred"));
    await userEvent.click(sheet.getByRole("button", { name: "End the work" }));
    expect(sent.at(-1)).toMatchObject({ kind: "END", answer: "REFERRED", text: "Too deep to fill: 9\u202fmm" });
  });

  it("that an answer raised is looked at again in words", async () => {
    const stop = {
      ...stopped().stops[0],
      watch: "",
      finding: undefined,
      title: "Base shows",
      weight: "NEVER" as const,
    };
    at("depth", { stops: [stop as Api["Stop"]] });
    await userEvent.click(screen.getByRole("button", { name: /Look again/ }));
    await userEvent.type(within(screen.getByRole("dialog")).getByLabelText("What did you see?"), "dust, wiped off");
    await userEvent.click(screen.getByRole("button", { name: "It holds: go on" }));
    expect(sent.at(-1)).toMatchObject({ kind: "GATE", step: "depth", answer: "yes", text: "dust, wiped off" });
  });
});

describe("a mix in hand", () => {
  const musts = (percent: number | undefined) => ({
    before: [{ said: "dose", holds: percent === 2, detail: "", dose: true, never: false }],
    mixes: [
      { step: "filler-mix", mix: "filler", fillerTargetG: 60, creamTargetG: 1.2, fillerG: 60, percent, said: "" },
    ] as Api["MixDone"][],
  });

  it("that is not weighed starts by no key, and by hand asks why", async () => {
    at("filler-mix", musts(undefined));
    press("PageDown");
    press(" ");
    expect(sent).toEqual([]);
    await userEvent.click(screen.getByRole("button", { name: /Start all the same/ }));
    await userEvent.type(within(screen.getByRole("dialog")).getByLabelText("Why?"), "no scale here");
    await userEvent.click(screen.getByRole("button", { name: "Start it" }));
    expect(sent.at(-1)).toMatchObject({ kind: "CLOCK", step: "filler-mix", text: "no scale here" });
  });

  it("of a dose that never cures starts in no way, and can be thrown away", async () => {
    at("filler-mix", musts(10));
    expect(screen.getByRole<HTMLButtonElement>("button", { name: "This dose never starts" }).disabled).toBe(true);
    await userEvent.click(screen.getByRole("button", { name: /Scrap it/ }));
    await userEvent.click(screen.getByRole("button", { name: "Dose out of bounds" }));
    await userEvent.click(screen.getByRole("button", { name: "Throw it away" }));
    expect(sent.at(-1)).toMatchObject({ kind: "SCRAP", step: "filler-mix", text: "Dose out of bounds" });
  });

  it("takes what is weighed, refuses what no scale shows, and starts by no key before it is weighed", async () => {
    at("filler-mix");
    const field = screen.getByLabelText("Filler on the scale");
    await userEvent.type(field, "9000");
    expect(screen.getByText(/Expected 1 to 3000/)).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>("button", { name: "Take" }).disabled).toBe(true);
    await userEvent.clear(field);
    await userEvent.type(field, "61,4{Enter}");
    expect(sent.at(-1)).toMatchObject({ kind: "READING", quantity: "FILLER_G", value: 61.4 });
    field.blur();
    press(" ");
    expect(told().at(-1)).toEqual(["READING", "filler-mix", "FILLER_G"]);
    expect(screen.getAllByText(/weigh filler and cream first/)[0]).toBeTruthy();
  });
});

describe("the reading sheet", () => {
  it("opens by r, keeps the pedal still, takes either system, and says what cannot be", async () => {
    at("shape-gate");
    press("r");
    const sheet = within(screen.getByRole("dialog"));
    press("PageDown");
    expect(sent).toEqual([]);
    const field = sheet.getByLabelText("Depth left");
    await userEvent.type(field, "99");
    expect(sheet.getByText(/That cannot be right: expected 0 to 25/)).toBeTruthy();
    await userEvent.clear(field);
    await userEvent.type(field, "1/8 in");
    await userEvent.click(sheet.getByRole("button", { name: "Take the reading" }));
    expect(sent.at(-1)).toMatchObject({ kind: "READING", quantity: "DEPTH_MM", value: 3.175 });
  });
});

describe("the end of a run", () => {
  it("says what was done last, not what another method would do next", () => {
    const state = { ...begun, current: undefined, finishedAt: "2026-11-24T12:00:00Z" };
    const run = { id: 7, state, frozen: { workup: { name: "Rear tyre", plan, drawing: {} } } };
    show(<Hands run={run as unknown as Api["RunView"]} />);
    expect(screen.getByRole("heading", { name: "Finished" })).toBeTruthy();
    expect(document.body.textContent).not.toContain("ready for primer");
  });
});

describe("what the house wants at a step", () => {
  const wanted = { readings: ["SURFACE_C"], picture: true };
  const washing = (change: Partial<Api["RunState"]> = {}) =>
    at("wash", {
      steps: begun.steps.map((s) => (s.id === "wash" ? { ...s, step: { ...s.step, wanted } } : s)) as Api["RunStep"][],
      ...change,
    });
  const given = {
    readings: [
      { event: "1", step: "wash", quantity: "SURFACE_C", value: 19, at: "", by: "", source: "", logged: false },
    ],
    pictured: [{ event: "2", step: "wash", at: "", by: "" }],
  } as Partial<Api["RunState"]>;

  it("holds pedal and Enter, and a hand goes on without it, warned", async () => {
    washing();
    press("PageDown");
    press("Enter");
    expect(sent).toEqual([]);
    expect(screen.getByText(/The house wants the reading “Surface” and a picture\./)).toBeDefined();
    expect(screen.getByText(/held, the house wants something/)).toBeDefined();
    await userEvent.click(
      screen.getByRole("button", { name: /without what the house wants: it stands in the record/ }),
    );
    expect(told()).toEqual([["DONE", "wash"]]);
  });

  it("lets go once it is given", () => {
    washing(given);
    expect(screen.queryByText(/The house wants/)).toBeNull();
    press("PageDown");
    expect(told()).toEqual([["DONE", "wash"]]);
  });

  it("counts a reading that is still on its way, and none of another step", () => {
    washing({ ...given, readings: (given.readings ?? []).map((r) => ({ ...r, step: "straighten" })) });
    expect(screen.getByText(/The house wants the reading “Surface”\./)).toBeDefined();
    press("PageDown");
    expect(sent).toEqual([]);
  });
});
