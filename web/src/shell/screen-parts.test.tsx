// @vitest-environment jsdom
import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import "fake-indexeddb/auto";
import { createMemoryRouter, RouterProvider } from "react-router";
import { describe, expect, it, vi } from "vitest";
import { Problem } from "../api/client";
import { Outbox, outbox } from "../repair/run/outbox";
import { Stations, standings } from "../repair/stations";
import { onScreen, show } from "../test/screen";
import { ClockRail } from "./clock-rail";
import { Line, problemAt } from "./field";
import { FormDialog } from "./form-dialog";
import { Mishap } from "./mishap";

onScreen();

describe("the stations", () => {
  it("name the open one and what is done", () => {
    show(<Stations id={3} at="verdict" standing={{ ...standings(undefined, [], undefined), part: "done" }} />);
    const links = screen.getAllByRole("link");
    expect(links).toHaveLength(8);
    expect(screen.getByRole("link", { current: "page" }).textContent).toContain("Verdict");
    expect(screen.getByRole("link", { name: /Part/ }).querySelector("[aria-label=done]")).not.toBeNull();
    expect(screen.getByRole("link", { name: /Steps/ }).getAttribute("href")).toBe("/repairs/3/steps");
  });
});

describe("a form in a sheet", () => {
  it("keeps what was typed when it is refused, says why at the field, and closes when it is taken", async () => {
    const send = vi
      .fn<() => Promise<void>>()
      .mockRejectedValueOnce(
        new Problem(422, "Item", "Refused", {
          problems: [{ field: "lot", given: "", expected: "1 to 40 characters", message: "Lot is missing." }],
        }),
      )
      .mockResolvedValueOnce(undefined);
    show(
      <FormDialog title="An item" told="" act="Keep it" trigger={<button>New</button>} send={send}>
        {(problems) => <Line label="Lot" value="BF" onChange={() => {}} problem={problemAt(problems, "lot")} />}
      </FormDialog>,
    );
    await userEvent.click(screen.getByText("New"));
    await userEvent.click(screen.getByText("Keep it"));
    await waitFor(() => expect(screen.getByText("Lot is missing.")).toBeTruthy());
    expect(screen.getByLabelText<HTMLInputElement>("Lot").value).toBe("BF");
    await userEvent.click(screen.getByText("Keep it"));
    await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
  });

  it("is put away by Escape", async () => {
    show(
      <FormDialog title="An item" told="Told." act="Keep it" trigger={<button>New</button>} send={async () => {}}>
        {() => null}
      </FormDialog>,
    );
    await userEvent.click(screen.getByText("New"));
    await userEvent.keyboard("{Escape}");
    expect(screen.queryByRole("dialog")).toBeNull();
  });
});

describe("what is kept here", () => {
  const state = (over: Partial<ReturnType<Outbox["snapshot"]>>) =>
    vi.spyOn(outbox, "snapshot").mockReturnValue({
      pending: [],
      others: [],
      keeping: 0,
      reachable: true,
      trouble: "",
      refused: [],
      late: [],
      ...over,
    });
  const kept = { key: "1", repair: 1, event: { id: "e", kind: "NOTE", at: "2026-11-24T09:00:00Z" } } as const;

  it.each([
    ["nothing waits", {}, undefined, undefined],
    ["something is on its way", { pending: [kept] }, "Sending", "1 kept here"],
    ["the browser has not kept it yet", { pending: [kept, kept], keeping: 1 }, "Sending", "1 not kept yet"],
    ["the server is away", { pending: [kept, kept], reachable: false }, "Server not reached", "2 kept here"],
    [
      "the store is slow",
      { pending: [kept], trouble: "Store does not answer" },
      "Store does not answer",
      "1 kept here",
    ],
    ["all is sent, but it was away", { reachable: false }, "Server not reached", "trying again"],
  ])("%s", (_, over, word, count) => {
    const spied = state(over);
    show(<ClockRail slim />);
    const said = screen.queryByRole("status")?.textContent;
    if (word) expect(said).toBe(word + count);
    else expect(said).toBeUndefined();
    spied.mockRestore();
  });
});

describe("a screen that comes to a stop", () => {
  it("says so, with a way on, and leaves the browser's own store as it was", async () => {
    vi.spyOn(console, "error").mockImplementation(() => {});
    localStorage.setItem("vanemend.draft.5", "typed so far");
    const Broken = () => {
      throw new Error("a figure that is not there");
    };
    const router = createMemoryRouter([{ path: "/", element: <Broken />, errorElement: <Mishap /> }]);
    render(<RouterProvider router={router} />);
    expect((await screen.findByRole("alert")).textContent).toContain("a figure that is not there");
    expect(screen.getByRole("link", { name: "To the bench" }).getAttribute("href")).toBe("/bench");
    expect(localStorage.getItem("vanemend.draft.5")).toBe("typed so far");
  });
});
