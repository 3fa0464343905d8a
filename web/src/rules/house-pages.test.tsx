// @vitest-environment jsdom
import { screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it, vi } from "vitest";
import * as client from "../api/client";
import { keys } from "../api/queries";
import { onScreen, show } from "../test/screen";
import { HousePages } from "./house-pages";

onScreen();

const rule = (id: number, said: string, more: object = {}) => ({
  id,
  method: "RUST_PITS",
  methodTitle: "Rust without a hole",
  said,
  reason: "Water stood behind them.",
  by: "Isla Renwick",
  at: "2026-11-16T19:29:00Z",
  endedBy: "",
  ...more,
});
const ended = { endedBy: "Isla Renwick", endedAt: "2026-11-20T08:00:00Z" };
const pages = (maySign: boolean) => ({
  rules: [rule(1, "Left out “Blow off”", ended), rule(2, "⟦3 mm most⟧ at the edge")],
  acts: [],
  readable: [],
  maySign,
});

describe("the house's own pages in Rules", () => {
  it("lists what is in force by method and what was taken back, and a technician takes nothing back", () => {
    show(<HousePages find="" />, [[keys.housePages, pages(false)]]);
    expect(
      within(screen.getByRole("region", { name: "Rust without a hole" })).getByText(/3.mm at the edge/),
    ).toBeDefined();
    expect(within(screen.getByRole("region", { name: "Taken back" })).getByText(/Left out/)).toBeDefined();
    expect(screen.queryByRole("button", { name: /Take back/ })).toBeNull();
    expect(screen.getByText(/Only a lead signs them/)).toBeDefined();
  });

  it("is taken back with one tap, and says why it was not", async () => {
    const ask = vi.spyOn(client, "ask").mockRejectedValue(new Error("This rule was taken back already."));
    show(<HousePages find="" />, [[keys.housePages, pages(true)]]);
    await userEvent.click(screen.getByRole("button", { name: /Take back/ }));
    expect(ask).toHaveBeenCalledWith("/api/house-pages/2/back", { method: "POST", body: undefined });
    expect(screen.getByRole("alert").textContent).toBe("This rule was taken back already.");
  });

  it("is found by its words", () => {
    show(<HousePages find="nothing like it" />, [[keys.housePages, pages(true)]]);
    expect(screen.queryByText(/at the edge/)).toBeNull();
  });
});
