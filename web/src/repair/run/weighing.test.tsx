// @vitest-environment jsdom
import { screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, it, vi } from "vitest";
import type { Api } from "../../api/client";
import { onScreen, show } from "../../test/screen";
import { Weighing } from "./weighing";

vi.mock("../../devices/live-figure", () => ({ LiveFigureLine: () => null }));
vi.mock("./on-scale", async (all) => ({
  ...(await all<typeof import("./on-scale")>()),
  useOnScale: () => undefined,
}));

onScreen();

const mix = {
  step: "filler-mix",
  mix: "filler",
  fillerTargetG: 92,
  creamTargetG: 1.8,
  said: "",
} as Api["MixDone"];
const pour = {
  fillerG: 92,
  puddleMm: 91,
  beadMm: 83,
  percent: 2,
  window: { from: 1, to: 3 },
  thinner: { material: "Finishing putty", itemId: "p", lot: "7", share: 0.25 },
} as Api["Pour"];

it("weighs thinned filler as one: filler to its own weight, then putty to the weight of both, cream to both", async () => {
  const onReading = vi.fn();
  show(<Weighing mix={mix} pour={pour} again={undefined} setAgain={() => {}} onReading={onReading} />, []);
  expect(screen.getByText(/filler to 69\s?g, then putty to 92\s?g/)).toBeTruthy();
  const field = screen.getByLabelText("Filler and putty on the scale");
  await userEvent.type(field, "93{Enter}");
  expect(onReading).toHaveBeenCalledWith("FILLER_G", 93, "");
});
