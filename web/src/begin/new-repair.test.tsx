// @vitest-environment jsdom
import { act, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it, vi } from "vitest";
import * as client from "../api/client";
import { keys } from "../api/queries";
import { onScreen, show } from "../test/screen";
import NewRepair from "./new-repair";

onScreen();

describe("a new repair from one line", () => {
  it("is made by an Enter that comes before the line is read, and from all of the line", async () => {
    let read: (said: unknown) => void = () => {};
    const asked = vi.spyOn(client, "ask").mockImplementation((path: string) => {
      if (path.startsWith("/api/intake")) return new Promise<never>((done) => (read = done as (said: unknown) => void));
      if (path === "/api/repairs") return Promise.resolve({ id: 7 }) as Promise<never>;
      return Promise.resolve([]) as Promise<never>;
    });
    show(<NewRepair />, [
      [
        keys.catalogue,
        {
          quantities: [],
          measured: [],
          typicalParts: [],
          damages: [{ kind: "DENT", word: "Dent", materials: ["METAL"] }],
        },
      ],
    ]);
    await userEvent.type(screen.getByRole("textbox", { name: /Say it in one line/ }), "dent{Enter}");
    expect(asked.mock.calls.filter(([path]) => path === "/api/repairs")).toEqual([]);
    await act(async () =>
      read({ understood: [], left: [], material: "METAL", damages: [{ kind: "DENT", lengthMm: 30, widthMm: 25 }] }),
    );
    await vi.waitFor(() => expect(asked.mock.calls.filter(([path]) => path === "/api/repairs").length).toBe(1));
    const [, made] = asked.mock.calls.find(([path]) => path === "/api/repairs") ?? [];
    expect(JSON.stringify(made)).toContain("DENT");
  });
});
