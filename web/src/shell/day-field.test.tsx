// @vitest-environment jsdom
import { act, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { describe, expect, it } from "vitest";
import { onScreen, show } from "../test/screen";
import { DayField, MomentField } from "./day-field";

describe("a day and a time in a field", () => {
  onScreen();

  it("is told back in full; what is none stays typed and gives no day", async () => {
    let day: string | undefined = "2026-11-30";
    const Field = () => {
      const [now, set] = useState(day);
      day = now;
      return <DayField label="Not used from" value={now} onChange={set} />;
    };
    show(<Field />);
    const box = screen.getByLabelText<HTMLInputElement>("Not used from");
    expect(box.value).toBe("30 Nov 2026");
    expect(screen.getByText("Mon 30 Nov 2026")).toBeTruthy();
    await userEvent.clear(box);
    expect(day).toBeUndefined();
    await userEvent.type(box, "31 Nov 2026");
    expect(day).toBeUndefined();
    expect(box.value).toBe("31 Nov 2026");
    expect(screen.getByText(/is no day: type a day such as/)).toBeTruthy();
    await userEvent.clear(box);
    await userEvent.type(box, "1.12.26");
    expect(day).toBe("2026-12-01");
  });

  it("is one instant by the shop\u2019s clock, given only when both are there", async () => {
    let at: string | undefined;
    let told: (at: string) => void = () => undefined;
    const Field = () => {
      const [now, set] = useState(at);
      at = now;
      told = set;
      return <MomentField label="Promised for" value={now} onChange={set} />;
    };
    show(<Field />);
    await userEvent.type(screen.getByLabelText("Promised for"), "30 Nov 2026");
    expect(at).toBeUndefined();
    expect(screen.getByText("At what time?")).toBeTruthy();
    const time = screen.getByLabelText<HTMLInputElement>("at");
    await userEvent.type(time, "16:3");
    expect(time.value).toBe("16:3");
    await userEvent.type(time, "0");
    expect(at).toBe("2026-11-30T16:30:00.000Z");
    await userEvent.type(time, "9");
    expect(at).toBeUndefined();
    expect(time.value).toBe("16:309");
    await userEvent.type(time, "{Backspace}");
    expect(at).toBe("2026-11-30T16:30:00.000Z");
    // Told otherwise by somebody else: both follow.
    act(() => told("2027-01-02T08:05:00Z"));
    expect(screen.getByLabelText<HTMLInputElement>("Promised for").value).toBe("2 Jan 2027");
    expect(time.value).toBe("08:05");
    await userEvent.clear(time);
    await userEvent.clear(screen.getByLabelText("Promised for"));
    expect(at).toBeUndefined();
  });
});
