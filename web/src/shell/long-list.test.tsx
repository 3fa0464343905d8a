// @vitest-environment jsdom
import { screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import { onScreen, show } from "../test/screen";
import { LongList } from "./long-list";

onScreen();

const list = (n: number) => (
  <LongList
    items={Array.from({ length: n }, (_, i) => i + 1)}
    rowPx={75}
    idOf={(i) => i}
    row={(i) => <a href={`/${i}`}>row {i}</a>}
  />
);

describe("a long list", () => {
  it("holds every row while there are few", () => {
    show(list(150));
    expect(screen.getAllByRole("link")).toHaveLength(150);
  });

  it("holds those in sight of thousands, and says of how many", () => {
    // What a browser would measure: rows of 75 px in a field of 800.
    vi.spyOn(HTMLElement.prototype, "clientHeight", "get").mockReturnValue(800);
    vi.spyOn(HTMLElement.prototype, "offsetHeight", "get").mockReturnValue(75);
    show(list(5000));
    const rows = screen.getAllByRole("listitem");
    expect(rows.length).toBeGreaterThan(5);
    expect(rows.length).toBeLessThan(40);
    expect(rows[0]?.textContent).toBe("row 1");
    expect(rows[0]?.getAttribute("aria-setsize")).toBe("5000");
    expect(rows[3]?.getAttribute("aria-posinset")).toBe("4");
    const room = parseFloat(screen.getByRole("list").style.paddingBottom) + rows.length * 75;
    expect(room).toBe(5000 * 75);
  });
});
