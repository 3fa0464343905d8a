// @vitest-environment jsdom
import { fireEvent } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { onScreen, show } from "../../test/screen";
import { StampLayer } from "./many-fields";
import { FIRST } from "./many";
import type { Spot } from "./shape";

onScreen();

describe("dings that are tapped on", () => {
  const p = { x0: 0, y0: 0, perMm: 1, left: 0, top: 0, width: 600, height: 400 };
  const layer = () => {
    const put: Spot[][] = [];
    const { container } = show(
      <svg>
        <StampLayer
          stamp={{ ...FIRST, inField: 5 }}
          p={p as never}
          at={(e) => ({ x: e.clientX, y: 400 - e.clientY })}
          width={600}
          height={400}
          onSpots={(spots) => put.push(spots)}
        />
      </svg>,
      [],
    );
    const hand = container.querySelector<SVGRectElement>("[data-stamp]");
    if (!hand) throw new Error("no layer to tap on");
    hand.setPointerCapture = () => undefined;
    // There are no pointer events here; a mouse event of their name has what is read of them.
    const touch = (type: string, clientX: number, clientY: number) =>
      fireEvent(hand, new MouseEvent(type, { bubbles: true, clientX, clientY }));
    return { put, touch };
  };

  it("are one a tap, where it was tapped", () => {
    const { put, touch } = layer();
    for (const { x, y } of [
      { x: 100, y: 100 },
      { x: 310, y: 250 },
    ]) {
      touch("pointerdown", x, y);
      touch("pointerup", x, y);
    }
    expect(put).toEqual([[{ x: 100, y: 300 }], [{ x: 310, y: 150 }]]);
  });

  it("are as many as were counted in a field that is drawn", () => {
    const { put, touch } = layer();
    touch("pointerdown", 100, 100);
    touch("pointermove", 400, 300);
    touch("pointerup", 400, 300);
    expect(put).toHaveLength(1);
    expect(put[0]).toHaveLength(5);
  });
});
