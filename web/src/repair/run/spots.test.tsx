// @vitest-environment jsdom
import { fireEvent, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import type { Api } from "../../api/client";
import { onScreen, show } from "../../test/screen";
import { Spots, spotsOf } from "./spots";

const gate = {
  question: "Flat?",
  yes: "Good",
  yesNote: "",
  no: "Not yet",
  reads: [],
  branches: [
    { id: "high", label: "High spot", note: "tap down", loop: "high", weight: "OTHER" },
    { id: "low", label: "Low spot", note: "fill the hollow", loop: "low", weight: "OTHER" },
  ],
};
const at = (step: string, rounds: Api["Round"][] = []) => ({ rounds, step, time: 1 });
const current = {
  id: "shape-gate",
  at: at("shape-gate"),
  step: {
    id: "shape-gate",
    kind: "GATE",
    title: "Look",
    gate,
    asks: ["DEPTH_MM", "SPOT_MM"],
    zone: "FEATHER",
    sites: [],
  },
} as unknown as Api["RunStep"];
const spot: Api["Spot"] = {
  event: "e1",
  step: "shape-gate",
  branch: "low",
  place: { xMm: 300, yMm: 200, lengthMm: 40, widthMm: 30, angleDeg: 0 },
  depthMm: 1.2,
  at: "2026-12-01T08:00:00Z",
  by: "Tam",
};
const state = (spots: Api["Spot"][]) =>
  ({ steps: [current], spots, lastUndoable: spots.at(-1)?.event }) as unknown as Api["RunState"];
const run = {
  id: 7,
  state: state([]),
  frozen: {
    workup: {
      sites: [],
      drawing: { widthMm: 900, heightMm: 600, outline: [0, 0, 900, 0, 900, 600, 0, 600], damages: [], zones: [] },
    },
  },
} as unknown as Api["RunView"];

const onSpot = vi.fn();
const answer = vi.fn();
const open = (spots: Api["Spot"][] = []) =>
  show(
    <Spots
      {...{ run, current, onSpot, answer }}
      state={state(spots)}
      open
      onOpenChange={() => undefined}
      onTakeBack={() => undefined}
    />,
    [[["film", 7, ""], {}]],
  );
const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe("what is wrong at a gate, drawn or typed", () => {
  onScreen();

  it("puts a typed low spot down only with its depth, a high one without", () => {
    open();
    fireEvent.click(screen.getByRole("button", { name: "Type where it is" }));
    type("Length", "40");
    type("Width", "30");
    type("From the left", "300");
    type("From below", "200");
    const down = () => screen.getByRole("button", { name: /Put it down/ });
    expect(down()).toHaveProperty("disabled", true);
    type("How deep it is", "1.2");
    fireEvent.click(down());
    expect(onSpot).toHaveBeenCalledWith({ answer: "low", value: 1.2, place: spot.place });
    fireEvent.click(screen.getByText("High spot"));
    fireEvent.click(screen.getByRole("button", { name: "Type where it is" }));
    type("Length", "20");
    type("Width", "20");
    type("From the left", "310");
    type("From below", "210");
    fireEvent.click(down());
    expect(onSpot).toHaveBeenLastCalledWith({
      answer: "high",
      place: { xMm: 310, yMm: 210, lengthMm: 20, widthMm: 20, angleDeg: 0 },
    });
  });

  it("lists what is down, takes the last back, and answers the gate with it", () => {
    open([spot]);
    expect(screen.getByText(/40.mm by 30.mm, 1\.2.mm deep/)).toBeTruthy();
    expect(screen.getByRole("button", { name: "Take back" })).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: /Not yet: low spot, fill the hollow/ }));
    expect(answer).toHaveBeenCalledWith("low");
  });

  it("marks in the rework the spots that it is for, and those of no other round", () => {
    const steps = [current, { ...current, id: "shape-gate~2", at: { ...current.at, time: 2 } }];
    const all = { ...state([spot, { ...spot, event: "e2", step: "shape-gate~2", branch: "high" }]), steps };
    const mix = (time: number) =>
      ({
        id: "m",
        at: at("mix", [{ gate: "shape-gate", time, answer: "low" }]),
        step: { kind: "MIX" },
      }) as unknown as Api["RunStep"];
    expect(spotsOf(all, mix(1)).map((s) => s.said)).toEqual(["Low spot"]);
    expect(spotsOf(all, mix(2)).map((s) => s.said)).toEqual(["High spot"]);
  });
});
