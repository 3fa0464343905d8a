// @vitest-environment jsdom
import { act, fireEvent, render, screen } from "@testing-library/react";
import { useState } from "react";
import { expect, it } from "vitest";
import { useKeys } from "../shell/keys";
import { onScreen } from "../test/screen";
import { Kept } from "./kept";

onScreen();

function Counts({ name, pressed }: { name: string; pressed: string[] }) {
  const [n, setN] = useState(0);
  useKeys((e) => pressed.push(name + e.key));
  return <button onClick={() => setN(n + 1)}>{`${name} ${n}`}</button>;
}

const both = (shown: string, pressed: string[], early = false) => (
  <>
    {["part", "steps"].map((name) => (
      <Kept key={name} shown={shown === name} early={early}>
        <Counts name={name} pressed={pressed} />
      </Kept>
    ))}
  </>
);

it("keeps what was shown once as it was left, and out of sight", () => {
  const { rerender } = render(both("part", []));
  expect(screen.queryByText(/steps/)).toBeNull();
  fireEvent.click(screen.getByText("part 0"));
  rerender(both("steps", []));
  expect(screen.getByText("steps 0").style.display).toBe("");
  expect(screen.getByText("part 1").style.display).toBe("none");
  expect(screen.queryByRole("button", { name: /part/ })).toBeNull();
  rerender(both("part", []));
  expect(screen.getByRole("button", { name: "part 1" }).style.display).toBe("");
});

it("leaves every key to what is shown", () => {
  const pressed: string[] = [];
  const { rerender } = render(both("part", pressed, true));
  fireEvent.keyDown(window, { key: "a" });
  rerender(both("steps", pressed, true));
  fireEvent.keyDown(window, { key: "b" });
  rerender(both("part", pressed, true));
  fireEvent.keyDown(window, { key: "c" });
  expect(pressed).toEqual(["parta", "stepsb", "partc"]);
});

it("builds early what is not shown yet, out of sight", async () => {
  render(both("part", [], true));
  await act(async () => {});
  expect(screen.getByText("steps 0").style.display).toBe("none");
});
