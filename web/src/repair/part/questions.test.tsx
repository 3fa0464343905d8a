// @vitest-environment jsdom
import { screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { describe, expect, it } from "vitest";
import type { Api } from "../../api/client";
import { keys } from "../../api/queries";
import { onScreen, show } from "../../test/screen";
import { askedOf, Questions, unansweredOf } from "./questions";

const limit = (id: string, materials: string[], damages: string[] = [], only: string[] = []) =>
  ({ id, ask: `Is it ${id}?`, materials, damages, only }) as unknown as Api["RulesView"]["limits"][number];
const LIMITS = [
  limit("airbag", ["METAL", "PLASTIC"]),
  limit("tank", ["METAL"]),
  limit("carbon", ["COMPOSITE"], [], ["CARBON"]),
  limit("bonded", ["METAL"], ["DENT"], ["ALUMINIUM"]),
  limit("rusty", ["METAL"], ["RUST"]),
];
const METAL = { made: { material: "METAL" as const } };

describe("questions about a part", () => {
  onScreen();

  it("are those that can apply to it and to its damage", () => {
    const ids = (part: Api["PartDraft"], damages: Api["DamageDraft"][] = []) =>
      askedOf(LIMITS, part, damages).map((r) => r.id);
    expect(ids(METAL)).toEqual(["airbag", "tank", "rusty"]);
    expect(ids(METAL, [{ kind: "DENT" }])).toEqual(["airbag", "tank"]);
    expect(ids({ ...METAL, metal: "ALUMINIUM" })).toEqual(["airbag", "tank", "bonded", "rusty"]);
    expect(ids({ ...METAL, metal: "MILD_STEEL" })).toEqual(["airbag", "tank", "rusty"]);
    expect(ids({ made: { material: "COMPOSITE" } })).toEqual([]);
    expect(ids({ made: { material: "COMPOSITE", composite: "CARBON" } })).toEqual(["carbon"]);
    expect(unansweredOf(LIMITS, { answers: { airbag: "NO", tank: "UNKNOWN" } }).map((r) => r.id)).toEqual([
      "tank",
      "carbon",
      "bonded",
      "rusty",
    ]);
  });

  it("are asked one at a time, each answered by itself; what is not known stays open, a tap asks again", async () => {
    let part: Api["PartDraft"] = METAL;
    const Asked = () => {
      const [now, setNow] = useState(part);
      part = now;
      return (
        <Questions part={now} set={(next) => setNow({ ...now, ...next })} frozen={false} damages={[{ kind: "DENT" }]} />
      );
    };
    show(<Asked />, [[keys.rules, { limits: LIMITS }]]);
    const answer = (word: string) => userEvent.click(screen.getByRole("button", { name: word }));
    expect(screen.getByText("2 open of 2")).toBeTruthy();
    expect(screen.queryByText("Is it tank?")).toBeNull();
    await answer("Not known");
    expect(part.answers).toEqual({ airbag: "UNKNOWN" });
    expect(screen.getByText("Is it tank?")).toBeTruthy();
    await answer("No");
    expect(part.answers).toEqual({ airbag: "UNKNOWN", tank: "NO" });
    expect(screen.getByText("1 open of 2")).toBeTruthy();
    await userEvent.click(screen.getByRole("button", { name: /Is it airbag\? Not known: answer again/ }));
    await answer("Yes");
    expect(part.answers).toEqual({ airbag: "YES", tank: "NO" });
    expect(screen.getByText("all answered")).toBeTruthy();
  });
});
