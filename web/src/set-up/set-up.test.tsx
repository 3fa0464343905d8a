// @vitest-environment jsdom
import { screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, describe, expect, it, vi } from "vitest";
import * as client from "../api/client";
import { keys } from "../api/queries";
import { onScreen, show } from "../test/screen";
import SetUp from "./set-up";
import { ShelfStep } from "./starter-shelf";

const SHOP = {
  tempC: 20,
  rhPercent: 50,
  dewPointC: 9.3,
  zone: "Europe/London",
  place: { latitudeDeg: 55.4, longitudeDeg: -3.1 },
  lamps: 1,
  ovens: 1,
  typedAt: "2026-11-29T12:00:00Z",
  units: "METRIC",
  heat: [],
  present: [],
  toSetUp: ["PLACE", "HEAT"],
} as unknown as client.Api["ShopView"];

const TOWNS = [
  { name: "London", zone: "Europe/London", latitudeDeg: 51.51, longitudeDeg: -0.13 },
  { name: "Oslo", zone: "Europe/Oslo", latitudeDeg: 59.92, longitudeDeg: 10.75 },
];

const STARTER = [
  {
    item: { id: "body-filler", group: "Fillers and putties", classId: "body-filler", name: "Body filler", unit: "g" },
    kind: { work: [4, 6], sand: [15, 30] },
    here: false,
  },
  {
    item: { id: "polish", group: "Guide coat and polish", classId: "polish", name: "Polish", unit: "g" },
    kind: { work: [], sand: [] },
    here: true,
  },
];

describe("an empty shop", () => {
  onScreen();
  afterEach(() => vi.restoreAllMocks());

  it("is led to what nobody has looked at yet; a town is taken by its name", async () => {
    const ask = vi.spyOn(client, "ask").mockResolvedValue({ ...SHOP, place: TOWNS[1] });
    show(<SetUp />, [
      [keys.bench, { shop: SHOP }],
      [["towns"], TOWNS],
    ]);
    expect(screen.getByRole("heading", { name: "Where the shop lies" })).toBeTruthy();
    expect(screen.getByRole("button", { name: "London" })).toBeTruthy();
    await userEvent.type(screen.getByLabelText("A town nearby"), "osl");
    await userEvent.click(screen.getByRole("button", { name: "Oslo" }));
    await userEvent.click(screen.getByRole("button", { name: "That is right, next" }));
    expect(ask.mock.calls).toEqual([
      ["/api/shop/place", { method: "PUT", body: { latitudeDeg: 59.92, longitudeDeg: 10.75 } }],
      ["/api/shop/set-up/PLACE", { method: "PUT", body: undefined }],
    ]);
    await waitFor(() => expect(screen.getByRole("heading", { name: "The air at the bench" })).toBeTruthy());
  });

  it("takes what was typed before it leads on, and stays where it is refused", async () => {
    const ask = vi.spyOn(client, "ask").mockRejectedValueOnce(new client.Problem(422, "Lamps and ovens", "No.", {}));
    show(<SetUp />, [[keys.bench, { shop: { ...SHOP, toSetUp: ["HEAT"] } }]]);
    const lamps = screen.getByLabelText("Lamps");
    await userEvent.clear(lamps);
    await userEvent.type(lamps, "3");
    const next = screen.getByRole("button", { name: "That is right, next" });
    await userEvent.click(next);
    expect(ask.mock.calls).toEqual([["/api/shop/heat", { method: "PUT", body: { lamps: 3, ovens: 1 } }]]);
    expect(screen.getByText("No.")).toBeTruthy();
    ask.mockResolvedValue(SHOP);
    await userEvent.click(next);
    expect(ask.mock.calls.map(([path]) => path).slice(0, 3)).toEqual([
      "/api/shop/heat",
      "/api/shop/heat",
      "/api/shop/set-up/HEAT",
    ]);
  });

  it("ticks what stands on its shelf; what is refused is said at its field and stays ticked", async () => {
    const problem = { field: "body-filler.quantity", given: "", expected: "a size", message: "Quantity is missing." };
    const ask = vi
      .spyOn(client, "ask")
      .mockRejectedValue(new client.Problem(422, "Starter shelf", "Not taken.", { problems: [problem] }));
    show(<ShelfStep restRef={{ current: undefined }} />, [[["starter"], STARTER]]);
    expect(screen.getByText(/typical: work 4.min to 6.min, sand after 15.min to 30.min; read the label/)).toBeTruthy();
    expect(screen.getByRole<HTMLInputElement>("checkbox", { name: /Polish/ }).disabled).toBe(true);
    const tick = screen.getByRole<HTMLInputElement>("checkbox", { name: /Body filler/ });
    await userEvent.click(tick);
    await userEvent.click(screen.getByRole("button", { name: "Put 1 on the shelf" }));
    expect(ask.mock.calls).toEqual([
      ["/api/shelf/starter", { method: "POST", body: { taken: [{ id: "body-filler" }] } }],
    ]);
    expect(screen.getByText("Quantity is missing.")).toBeTruthy();
    expect(screen.getByText("Not taken.")).toBeTruthy();
    expect(tick.checked).toBe(true);
  });
});
