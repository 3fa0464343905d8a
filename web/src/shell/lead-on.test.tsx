// @vitest-environment jsdom
import { act, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { BrowserRouter, Link, Route, Routes } from "react-router";
import { describe, expect, it } from "vitest";
import { render } from "@testing-library/react";
import { onScreen } from "../test/screen";
import { useLeadOn } from "./lead-on";

describe("an answer that leads on", () => {
  onScreen();
  let answer = () => {};
  const Asks = () => {
    const asking = useLeadOn();
    const ask = () => {
      const leadOn = asking();
      answer = () => leadOn("/draft");
    };
    return (
      <>
        <button onClick={ask}>Open the draft</button>
        <Link to="/plan">Go on</Link>
      </>
    );
  };
  const shown = () => {
    window.history.replaceState(null, "", "/run");
    render(
      <BrowserRouter>
        <Routes>
          <Route path="/run" element={<Asks />} />
          <Route path="/draft" element={<p>the draft</p>} />
          <Route path="/plan" element={<p>the plan</p>} />
        </Routes>
      </BrowserRouter>,
    );
  };

  it("takes who waited for it along", async () => {
    shown();
    await userEvent.click(screen.getByText("Open the draft"));
    act(() => answer());
    expect(screen.getByText("the draft")).toBeTruthy();
  });

  it("leaves alone who has gone elsewhere meanwhile", async () => {
    shown();
    await userEvent.click(screen.getByText("Open the draft"));
    await userEvent.click(screen.getByText("Go on"));
    act(() => answer());
    expect(screen.getByText("the plan")).toBeTruthy();
  });
});
