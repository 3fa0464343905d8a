// @vitest-environment jsdom
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { describe, expect, it } from "vitest";
import { onScreen } from "../test/screen";
import { Measure, type Quantity } from "./field";
import { PreferencesProvider, usePreferences } from "./preferences";

onScreen();

function Field({ quantity, first }: { quantity: Quantity; first?: number }) {
  const [v, setV] = useState(first);
  const { system, turn } = usePreferences();
  return (
    <>
      <Measure label="Size" quantity={quantity} value={v} onChange={setV} />
      <output>{String(v)}</output>
      <button onClick={() => turn({ system: system === "metric" ? "inch" : "metric" })}>turn</button>
    </>
  );
}

const field = (quantity: Quantity, first?: number) =>
  render(
    <PreferencesProvider>
      <Field quantity={quantity} {...(first === undefined ? {} : { first })} />
    </PreferencesProvider>,
  );
const held = () => screen.getByRole("status").textContent;
const input = () => screen.getByLabelText<HTMLInputElement>("Size");
const type = async (text: string) => {
  await userEvent.clear(input());
  await userEvent.type(input(), text);
};

describe("a field for a measure", () => {
  it.each([
    ["38", 38],
    ["38 mm", 38],
    ["3.8 cm", 38],
    ["1 1/2 in", 38.1],
    ['1.5"', 38.1],
    ["2 9/16 in", 65.0875],
  ])("takes %s", async (text, mm) => {
    field("length");
    await type(text);
    expect(Number(held())).toBe(mm);
    expect(input().getAttribute("aria-invalid")).toBe("false");
  });

  it("takes a temperature in either scale", async () => {
    field("temperature");
    await type("140 F");
    expect(Number(held())).toBe(60);
    await type("60");
    expect(Number(held())).toBe(60);
  });

  it("keeps what was typed where it cannot be read, says so kindly, and does not change the value", async () => {
    field("length", 12);
    await type("12 bananas");
    expect(input().value).toBe("12 bananas");
    expect(input().getAttribute("aria-invalid")).toBe("true");
    expect(screen.getByText(/is not a length: type a number, such as 38 or 1 1\/2 in/)).toBeTruthy();
    expect(held()).toBe("12");
  });

  it("is empty, not nought, where nothing stands in it", async () => {
    field({ unit: "g" }, 5);
    await userEvent.clear(input());
    expect(held()).toBe("undefined");
  });

  it("is written anew in the other system without changing what it holds", async () => {
    field("length", 25.4);
    await userEvent.click(screen.getByText("turn"));
    expect(input().value).toBe("1");
    expect(Number(held())).toBe(25.4);
    await type("2");
    expect(Number(held())).toBe(50.8);
    await userEvent.click(screen.getByText("turn"));
    expect(input().value).toBe("50.8");
  });
});
