// @vitest-environment jsdom
import { screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { describe, expect, it } from "vitest";
import { onScreen, show } from "../../test/screen";
import { DepthLines } from "./depth-line-fields";
import type { DamageDraft } from "./fresh";

onScreen();

function Dent({ onChange, along }: { onChange: (d: DamageDraft) => void; along?: number }) {
  const [d, setD] = useState<DamageDraft>({ kind: "DENT", lengthMm: 120, widthMm: 60, depthMm: 2.4 });
  return (
    <DepthLines
      d={d}
      {...(along === undefined ? {} : { along })}
      frozen={false}
      at={(field) => (field === "lines[0].depths[0]" ? "Depth: too deep" : undefined)}
      set={(next) => {
        const all = { ...d, ...next };
        setD(all);
        onChange(all);
      }}
    />
  );
}

/** The field of the middle place. */
function second(all: HTMLElement[]): HTMLElement {
  const [, field] = all;
  if (!field) throw new Error("no second field");
  return field;
}

describe("a dent read along a straightedge", () => {
  it("begins as the bowl, follows what is typed, tells its deepest, and goes back to a shape", async () => {
    const user = userEvent.setup();
    let now: DamageDraft = {};
    show(<Dent onChange={(d) => (now = d)} />, []);
    await user.click(screen.getByRole("button", { name: "Read it along a straightedge" }));
    expect(now.lines?.[0]?.depths).toEqual([1.8, 2.4, 1.8]);
    const depths = screen.getAllByLabelText(/Depth there/);
    await user.clear(second(depths));
    await user.type(second(depths), "3.1");
    await user.tab();
    expect(now.lines?.[0]?.depths).toEqual([1.8, 3.1, 1.8]);
    expect(now.depthMm).toBe(3.1);
    expect(screen.getByText(/Deepest read: 3.1/)).toBeTruthy();
    expect(screen.getByText("Depth: too deep")).toBeTruthy();
    await user.click(screen.getByRole("button", { name: "One more line" }));
    expect(now.lines).toHaveLength(2);
    expect(screen.getByText(/joined straight across/)).toBeTruthy();
    await user.click(screen.getByRole("button", { name: "Last line out" }));
    await user.click(screen.getByRole("button", { name: "Back to a shape" }));
    expect(now.lines).toEqual([]);
  });

  it("asks for the panel beside it only where that is crowned", async () => {
    const user = userEvent.setup();
    let now: DamageDraft = {};
    show(<Dent onChange={(d) => (now = d)} />, []);
    await user.click(screen.getByRole("button", { name: "Read it along a straightedge" }));
    expect(screen.queryByLabelText(/sound panel/)).toBeNull();
    await user.click(screen.getByText("Crowned"));
    const beside = screen.getAllByLabelText(/sound panel/);
    await user.type(second(beside), "0.5");
    await user.tab();
    expect(now.depthMm).toBe(1.9);
    await user.click(screen.getByText("Flat"));
    expect(now.lines?.[0]?.beside).toBeUndefined();
    expect(now.depthMm).toBe(2.4);
  });

  it("along a weld begins as deep everywhere, from end to end, in one line only", async () => {
    const user = userEvent.setup();
    let now: DamageDraft = {};
    show(<Dent along={220} onChange={(d) => (now = d)} />, []);
    await user.click(screen.getByRole("button", { name: "Read it along the weld" }));
    expect(now.lines).toEqual([{ places: [0, 110, 220], depths: [2.4, 2.4, 2.4] }]);
    expect(screen.getByText(/rises straight to nothing/)).toBeTruthy();
    expect(screen.queryByRole("button", { name: "One more line" })).toBeNull();
    await user.click(screen.getByRole("button", { name: "As deep everywhere" }));
    expect(now.lines).toEqual([]);
  });
});
