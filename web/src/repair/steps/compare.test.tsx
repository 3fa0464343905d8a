// @vitest-environment jsdom
import { screen } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { Api } from "../../api/client";
import { keys } from "../../api/queries";
import { onScreen, show } from "../../test/screen";
import type { DraftOnScreen } from "../use-draft";
import { ComparePanel } from "./compare";

onScreen();

const school = (id: string, question: string, options: Record<string, string>) => ({
  school: { id, question, options: Object.entries(options).map(([o, label]) => ({ id: o, label, planned: true })) },
  chosen: Object.keys(options)[0],
});

describe("the other school", () => {
  it("is asked about what the plan follows alone, and what the plan follows cannot be asked for again", () => {
    show(
      <ComparePanel
        on={{ draft: undefined } as unknown as DraftOnScreen}
        plan={
          { schools: [{ school: "back", option: "patch", question: "Back", label: "Patch" }] } as unknown as Api["Plan"]
        }
        frozen={false}
      />,
      [
        [
          keys.rules,
          {
            schools: [
              school("back", "Back", { cloth: "Cloth", patch: "Patch" }),
              school("front", "Front first", { a: "Back first", b: "Face first" }),
            ],
          },
        ],
      ],
    );
    expect(screen.getByRole<HTMLButtonElement>("button", { name: "Cloth" }).disabled).toBe(false);
    // The way that was taken stands for this plan, whatever the house says.
    expect(screen.getByRole<HTMLButtonElement>("button", { name: "Patch, this plan" }).disabled).toBe(true);
    expect(screen.queryByText("Front first")).toBeNull();
  });
});
