// @vitest-environment jsdom
import { screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it, vi } from "vitest";
import * as client from "../../api/client";
import type { Api } from "../../api/client";
import { keys } from "../../api/queries";
import { onScreen, show } from "../../test/screen";
import type { DraftOnScreen } from "../use-draft";
import { HouseRuleButton } from "./house-rule";

onScreen();

const step = (id: string, title: string) => ({ step: { id, title, activeMin: 3 }, earliestMin: 0, latestMin: 0 });
const plan = {
  method: "RUST_PITS",
  title: "Rust without a hole",
  steps: [step("clean", "Clean it"), step("loose", "Loose rust off")],
} as unknown as Api["Plan"];
const on = { draft: { damages: [] } } as unknown as DraftOnScreen;
const lead = { account: { id: "isla", name: "Isla Renwick", role: "LEAD" }, rights: ["RULES"], now: "" };
const pages = { rules: [], acts: [{ act: "CLEAN", word: "cleaned" }], readable: ["SURFACE_C"], maySign: true };

const open = async () => {
  show(<HouseRuleButton plan={plan} drawing={{ zones: [] } as unknown as Api["Drawing"]} at={1} on={on} />, [
    [keys.session, lead],
    [keys.housePages, pages],
  ]);
  await userEvent.click(screen.getByRole("button", { name: "House rule" }));
  await screen.findByRole("button", { name: "Leave it out" });
};

describe("a house rule at a step", () => {
  it("is a lead's to sign", () => {
    show(<HouseRuleButton plan={plan} drawing={{ zones: [] } as unknown as Api["Drawing"]} at={1} on={on} />);
    expect(screen.queryByRole("button", { name: "House rule" })).toBeNull();
  });

  it("is tried in the plan at hand before it is signed, and says what it breaks", async () => {
    const asked: [string, unknown][] = [];
    vi.spyOn(client, "ask").mockImplementation((path, how) => {
      asked.push([path, how?.body]);
      return Promise.resolve({
        change: { bears: true, said: "Left out “Loose rust off”" },
        broken: [
          { interlock: "i", step: "s", title: "Convert", said: "Rust comes off first.", missing: "m", follows: "f" },
        ],
        problems: [],
      });
    });
    await open();
    await userEvent.click(screen.getByRole("button", { name: "Leave it out" }));
    await waitFor(() => expect(screen.getByText(/Rust comes off first/)).toBeDefined());
    expect(asked[0]?.[0]).toBe("/api/house-pages/tried");
    expect(asked[0]?.[1]).toMatchObject({
      rule: { method: "RUST_PITS", kind: "LEAVE_OUT", step: "loose", stepTitle: "Loose rust off" },
      repair: on.draft,
    });
    const sign = screen.getByRole("button", { name: "Sign it for the house" });
    expect(sign).toHaveProperty("disabled", true);
    await userEvent.type(screen.getByLabelText("Why"), "It is off already");
    await userEvent.click(sign);
    expect(asked.find(([path]) => path === "/api/house-pages")?.[1]).toMatchObject({
      rule: { reason: "It is off already" },
    });
  });

  it("puts a step of its own behind the step at hand and says what is missing beside its field", async () => {
    vi.spyOn(client, "ask").mockImplementation((path) =>
      path === "/api/house-pages"
        ? Promise.reject(
            new client.Problem(422, "House rule", "Not whole.", {
              problems: [{ field: "minutes", given: "", expected: "", message: "Hands-on time is missing." }],
            }),
          )
        : Promise.resolve({ broken: [], problems: [] }),
    );
    await open();
    await userEvent.click(screen.getByRole("button", { name: "Add a step after it" }));
    await userEvent.type(screen.getByLabelText("What is done, verb first"), "Rinse it");
    await userEvent.click(screen.getByRole("button", { name: "cleaned" }));
    await userEvent.type(screen.getByLabelText("Why"), "Salt");
    await userEvent.click(screen.getByRole("button", { name: "Sign it for the house" }));
    await waitFor(() => expect(screen.getByText("Hands-on time is missing.")).toBeDefined());
    expect(screen.getByLabelText("What is done, verb first")).toHaveProperty("value", "Rinse it");
    expect(client.ask).toHaveBeenCalledWith(
      "/api/house-pages",
      expect.objectContaining({
        body: expect.objectContaining({
          rule: expect.objectContaining({ after: "loose", afterTitle: "Loose rust off", acts: ["CLEAN"] }) as unknown,
        }) as unknown,
      }),
    );
  });
});
