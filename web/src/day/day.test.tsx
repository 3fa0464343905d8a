// @vitest-environment jsdom
import { screen, within as inside } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it, vi } from "vitest";
import * as client from "../api/client";
import { keys } from "../api/queries";
import { onScreen, show } from "../test/screen";
import DayPlace from "./day";
import { rows, type Sheet, sheets, within, workedMin } from "./day-book";

const at = (time: string, date = "2026-11-24") => `${date}T${time}:00Z`;
const block = (
  number: number,
  person: string,
  from: string,
  to: string,
  over: Partial<client.Api["DayBlock"]> = {},
) => ({
  number,
  task: `${number}-${from}`,
  work: "HANDS" as const,
  title: `Sand ${number}`,
  steps: 1,
  person,
  things: [],
  from: at(from),
  to: at(to),
  ...over,
});
const DAY = {
  now: at("08:00"),
  zone: "Europe/London",
  hours: { TUESDAY: "07:30-12:00 12:30-16:30" },
  open: [
    { from: at("08:00"), to: at("12:00") },
    { from: at("12:30"), to: at("16:30") },
    { from: at("07:30", "2026-11-25"), to: at("12:00", "2026-11-25") },
    { from: at("07:30", "2026-11-26"), to: at("12:00", "2026-11-26") },
  ],
  people: [
    { id: "priya", name: "Priya Lindqvist", role: "TECHNICIAN" },
    { id: "tam", name: "Tam Okafor", role: "TECHNICIAN" },
  ],
  jobs: [
    {
      number: 1,
      repair: 7,
      name: "Door dent",
      vehicle: "Ridge, no. 2",
      begun: true,
      handsMin: 40,
      promisedAt: at("15:00"),
      ready: at("09:30"),
    },
    {
      number: 2,
      repair: 8,
      name: "Skirt split",
      vehicle: "",
      begun: false,
      handsMin: 60,
      promisedAt: at("10:00"),
      ready: at("10:30"),
    },
  ],
  blocks: [
    block(1, "tam", "08:00", "08:30"),
    block(1, "tam", "08:30", "09:00", { work: "WAIT", steps: 0, title: "" }),
    block(2, "priya", "08:00", "08:20", { work: "LIVE" }),
    block(1, "tam", "09:00", "09:30"),
    block(2, "tam", "10:00", "10:30"),
  ],
  held: [{ repair: 9, name: "Roof hatch", why: "Deeper than planned" }],
  left: [],
  trouble: "",
  last: at("10:30"),
  firstComeLast: at("11:00"),
  lateMin: 30,
  firstComeLateMin: 90,
} as unknown as client.Api["DayView"];

const SESSION = { account: { id: "tam", name: "Tam Okafor", role: "LEAD" }, rights: ["RULES", "WORK"] };
const shown = (day: client.Api["DayView"], rights = SESSION.rights) =>
  show(<DayPlace />, [
    [keys.day, day],
    [keys.session, { ...SESSION, rights }],
  ]);

onScreen();

describe("the day as sheets", () => {
  it("is from when people come in until they leave, breaks cut out, and days on which nothing is done are left out", () => {
    const [today, ...more] = sheets(DAY);
    expect(more).toEqual([]);
    expect(today).toEqual({
      date: "2026-11-24",
      from: Date.parse(at("08:00")),
      to: Date.parse(at("16:30")),
      breaks: [{ from: Date.parse(at("12:00")), to: Date.parse(at("12:30")) }],
    });
    expect(sheets({ ...DAY, open: [] })).toEqual([]);
  });

  it("counts no break as work", () => {
    const span = (from: string, to: string) => ({ from: Date.parse(at(from)), to: Date.parse(at(to)) });
    const [today] = sheets(DAY);
    expect(workedMin([span("11:30", "13:00"), span("13:00", "13:20")], today as Sheet)).toBe(80);
    expect(workedMin([], today as Sheet)).toBe(0);
  });

  it("cuts what reaches past it, and lays what would lie on each other in rows", () => {
    const [today] = sheets(DAY);
    const night = within([{ from: at("16:00"), to: at("08:00", "2026-11-25") }], today as Sheet);
    expect(night[0]?.to).toBe(Date.parse(at("16:30")));
    const laid = rows([
      { from: 0, to: 10 },
      { from: 5, to: 8 },
      { from: 8, to: 12 },
      { from: 10, to: 11 },
    ]);
    expect(laid.map((r) => r.row)).toEqual([0, 1, 1, 0]);
  });
});

describe("the day on screen", () => {
  it("tells by name who does what, one's own first, and which promise is not kept", () => {
    shown(DAY);
    const hands = screen.getAllByRole("region", { name: /Okafor|Lindqvist/ });
    expect(hands[0]?.textContent).toBe("Tam08:00–08:301 Sand 109:00–09:301 Sand 110:00–10:302 Sand 2");
    expect(hands[1]?.textContent).toContain("2 Sand 2, hands stay");
    const jobs = region("Repairs of this plan");
    expect(jobs.getByText(/10:00, 30 min late$/)).toBeTruthy();
    expect(jobs.getByRole("link", { name: /Door dent/ }).getAttribute("href")).toBe("/repairs/7/run");
    expect(jobs.getByRole("link", { name: /Skirt split/ }).getAttribute("href")).toBe("/repairs/8/steps");
    expect(screen.getByRole("link", { name: "Calendar file" }).getAttribute("href")).toBe(
      "/api/day/calendar?person=tam",
    );
    expect(region("Held by a stop").getByText("Deeper than planned")).toBeTruthy();
    expect(screen.getByText("30 min, first come 1 h 30")).toBeTruthy();
  });

  it("says why there is no plan, and only a lead may say when the shop works", () => {
    shown({ ...DAY, trouble: "Nobody said yet when this shop works.", jobs: [], blocks: [] }, ["WORK"]);
    expect(screen.getByText("Nobody said yet when this shop works.")).toBeTruthy();
    expect(screen.queryByRole("button", { name: "Hours" })).toBeNull();
    expect(screen.queryByText("All done in this order")).toBeNull();
  });

  it("sends what was typed for each day, and keeps it where it is refused", async () => {
    const sent = vi.spyOn(client, "ask").mockRejectedValue(
      new client.Problem(422, "Hours", "Hours: see below.", {
        problems: [{ field: "hours.TUESDAY", given: "8", expected: "", message: "“8” is not read." }],
      }),
    );
    shown(DAY);
    await userEvent.click(screen.getByRole("button", { name: "Hours" }));
    await userEvent.clear(screen.getByLabelText("Tuesday"));
    await userEvent.type(screen.getByLabelText("Tuesday"), "8");
    await userEvent.click(screen.getByRole("button", { name: "Take these hours" }));
    expect(sent).toHaveBeenCalledWith("/api/shop/hours", { method: "PUT", body: { hours: { TUESDAY: "8" } } });
    expect(screen.getByLabelText<HTMLInputElement>("Tuesday").value).toBe("8");
    sent.mockRestore();
  });
});

const region = (name: string) => inside(screen.getByRole("region", { name }));
