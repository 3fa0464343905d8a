// @vitest-environment jsdom
import { screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it, vi } from "vitest";
import { usePreferences } from "../shell/preferences";
import { onScreen, show } from "../test/screen";
import { ask, Problem } from "./client";
import { useTold } from "./queries";

onScreen();

function Told() {
  const { turn } = usePreferences();
  const told = useTold({ queryKey: ["told"], queryFn: () => Promise.resolve({ words: "at most ⟦3 mm most⟧" }) });
  return <button onClick={() => turn({ system: "inch" })}>{told.data?.words}</button>;
}

describe("what the server tells", () => {
  it("is said in the shop's units, and anew when they are turned, without asking again", async () => {
    show(<Told />);
    const words = await screen.findByRole("button");
    await waitFor(() => expect(words.textContent).toBe("at most 3\u202fmm"));
    await userEvent.click(words);
    await waitFor(() => expect(words.textContent).toBe("at most 7/64\u202fin"));
  });

  it("is said so in a refusal too", async () => {
    localStorage.setItem("vanemend.preferences", JSON.stringify({ system: "inch" }));
    const refused = { title: "Dent", detail: "expected ⟦0.5 to 4 mm⟧", problems: [{ expected: "⟦10 °C least⟧" }] };
    vi.stubGlobal("fetch", () => Promise.resolve(new Response(JSON.stringify(refused), { status: 422 })));
    const problem = await ask("/api/anything").catch((e: unknown) => e as Problem);
    expect((problem as Problem).message).toBe("expected 1/32 to 5/32\u202fin");
    expect((problem as Problem).more.problems).toEqual([{ expected: "50\u202f°F" }]);
    vi.unstubAllGlobals();
  });
});
