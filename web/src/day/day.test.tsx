// @vitest-environment jsdom
import { cleanup, screen, within as inside } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it, vi } from "vitest";
import * as client from "../api/client";
import { keys } from "../api/queries";
import { onScreen, show } from "../test/screen";
import DayPlace from "./day";
import { dragged } from "./drag";
import { lines } from "./job-sheet";
import { told } from "./moved";
import { asked as askedFor } from "./what-if-dialog";
import { beside, inOneGo, past, rows, type Sheet, sheets, within, workedMin } from "./day-book";

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
  own: { tam: { TUESDAY: "10:00-14:00" } },
  away: [{ id: 3, who: "LAMP", from: at("08:00"), to: at("11:00") }],
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
      pin: { first: false, wished: false },
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
      pin: { by: "priya", first: true, wished: false },
    },
  ],
  blocks: [
    block(1, "tam", "08:00", "08:30"),
    block(1, "tam", "08:30", "09:00", { work: "WAIT", steps: 0, title: "" }),
    block(2, "priya", "08:00", "08:20", { work: "LIVE" }),
    block(1, "tam", "09:00", "09:30"),
    block(2, "tam", "10:00", "10:30"),
  ],
  done: [],
  held: [{ repair: 9, name: "Roof hatch", why: "Deeper than planned" }],
  left: [],
  trouble: "",
  last: at("10:30"),
  firstComeLast: at("11:00"),
  lateMin: 30,
  firstComeLateMin: 90,
} as unknown as client.Api["DayView"];

const SESSION = { account: { id: "tam", name: "Tam Okafor", role: "LEAD" }, rights: ["RULES", "WORK"] };
const ODDS: client.Api["OddsView"] = {
  times: 2000,
  holds: 90,
  runs: 4,
  gates: 31,
  repairs: [
    { repair: 7, inHundred: 97, holds: at("10:40") },
    { repair: 8, inHundred: 0 },
  ],
};
const shown = (day: client.Api["DayView"], rights = SESSION.rights, odds = ODDS) =>
  show(<DayPlace />, [
    [keys.day, day],
    [[...keys.day, "odds", day.now], odds],
    [keys.session, { ...SESSION, rights }],
  ]);

onScreen();

describe("what was moved", () => {
  const shift = (name: string, before: string, after: string, promised?: string) => ({
    repair: 1,
    name,
    before: at(before),
    after: at(after),
    ...(promised ? { promisedAt: at(promised) } : {}),
  });
  const moved = {
    at: at("12:52"),
    turned: { person: "Tam Okafor", first: "Skirt", then: "Door" },
    repairs: [shift("Skirt", "15:20", "14:50", "15:00"), shift("Door", "15:24", "15:46", "16:00")],
  };

  it("says who goes first, what that keeps, and what it costs", () => {
    expect(told(moved, (m) => m.slice(11, 16))).toEqual([
      "Skirt before Door for Tam.",
      "Skirt keeps 15:00.",
      "Door is ready 22\u202fmin later, 14\u202fmin before its 16:00.",
    ]);
    expect(
      told(
        {
          at: moved.at,
          repairs: [
            shift("A", "15:00", "14:00"),
            shift("B", "15:00", "14:50", "14:40"),
            shift("C", "15:00", "15:30"),
            shift("D", "15:00", "15:40", "15:10"),
            shift("E", "15:00", "15:50"),
          ],
        },
        (m) => m.slice(11, 16),
      ),
    ).toEqual([
      "D is ready 40\u202fmin later, 30\u202fmin past its 15:10.",
      "A is ready 14:00, 1\u202fh\u202f00 sooner.",
      "3 more move.",
    ]);
  });

  it("tells who gains most and who loses most where no promise turns", () => {
    const say = (r: client.Api["ShiftView"][]) => told({ at: moved.at, repairs: r }, (m) => m.slice(11, 16));
    expect(
      say([shift("A", "15:00", "14:00"), shift("B", "15:00", "14:50", "14:40"), shift("C", "15:00", "15:30")]),
    ).toEqual(["A is ready 14:00, 1\u202fh\u202f00 sooner.", "C is ready 15:30, 30\u202fmin later.", "1 more moves."]);
    expect(say([shift("B", "15:00", "14:50", "14:40")])).toEqual([
      "B is ready 10\u202fmin sooner, still 10\u202fmin past its 14:40.",
    ]);
    expect(say([shift("B", "15:00", "15:10", "16:40")])).toEqual([
      "B is ready 10\u202fmin later, 1\u202fh\u202f30 before its 16:40.",
    ]);
  });

  it("is kept off by whoever may say so, and stands without the button for others", async () => {
    const ask = vi.spyOn(client, "ask").mockResolvedValue(DAY);
    const day = { ...DAY, moved };
    shown(day, ["DAY"]);
    await userEvent.click(screen.getByRole("button", { name: "Keep it off" }));
    expect(ask).toHaveBeenCalledWith("/api/day/moved/off", { method: "POST", body: {} });
    expect(screen.queryByText(/Skirt before Door/)).toBeNull();
  });

  it("stands without the button for who may only look", () => {
    shown({ ...DAY, moved }, []);
    expect(screen.getByText(/Skirt before Door for Tam/)).toBeTruthy();
    expect(screen.queryByRole("button", { name: "Keep it off" })).toBeNull();
  });
});

describe("what was done today", () => {
  const done = [
    { repair: 7, name: "Door dent", person: "tam", from: at("07:30"), to: at("07:50"), steps: 3 },
    { repair: 6, name: "Lid", person: "tam", from: at("07:50"), to: at("07:55"), steps: 1 },
  ];

  it("stands on its own day alone, from the first of it until now", () => {
    const day = { ...DAY, done };
    const [today] = sheets(day);
    if (!today) throw new Error("no sheet");
    expect(past(day, today)).toEqual({ from: Date.parse(at("07:30")), to: Date.parse(at("08:00")), done });
    expect(past(day, { ...today, date: "2026-11-25" }).done).toEqual([]);
  });

  it("is told to whom it is, in words", () => {
    shown({ ...DAY, done });
    const tam = region("Tam Okafor");
    expect(tam.getByText("Done today: 25 min")).toBeTruthy();
    expect(tam.getByText("Door dent, 3 steps")).toBeTruthy();
    expect(region("Priya Lindqvist").queryByText(/Done today/)).toBeNull();
  });
});

describe("a block that is dragged", () => {
  const joss = { id: "joss", name: "Joss Marr", role: "APPRENTICE" as const };
  const day = {
    ...DAY,
    people: [...DAY.people, joss],
    jobs: DAY.jobs.map((j) => (j.number === 2 ? { ...j, pin: { first: false, wished: true } } : j)),
  } as unknown as client.Api["DayView"];
  const of = (number: number, from: string) => {
    const b = day.blocks.find((x) => x.number === number && x.from === at(from));
    if (!b) throw new Error("no such block");
    return b;
  };
  const MIN = 60_000;

  it("later is not before then, by its repair's first block, to five minutes; a wish stays one", () => {
    expect(dragged(day, of(2, "10:00"), 32 * MIN, "tam")).toEqual({
      drop: { repair: 8, person: undefined, notBefore: "2026-11-24T08:35:00.000Z", first: false, wished: true },
      told: "Skirt split: not before 08:35",
    });
  });

  it("sooner is before all others; to another's lane it is theirs, an apprentice's as far as they may", () => {
    expect(dragged(day, of(2, "10:00"), -20 * MIN, "priya")).toEqual({
      drop: { repair: 8, person: "priya", notBefore: undefined, first: true, wished: true },
      told: "Skirt split: before all others, by Priya",
    });
    expect(dragged(day, of(2, "08:00"), 0, "joss").told).toBe("Skirt split: by Joss, what an apprentice may of it");
  });

  it("says why it cannot be, and nothing where a hand only shook", () => {
    expect(dragged(day, of(1, "08:00"), 60 * MIN, "priya")).toEqual({ told: "Door dent is in hand: it stays." });
    expect(dragged(day, of(2, "08:00"), 60 * MIN, "LAMP").drop).toBeUndefined();
    expect(dragged(day, of(2, "08:00"), 2 * MIN, "priya")).toEqual({ told: "" });
  });
});

describe("whom to stand beside", () => {
  const joss = { id: "joss", name: "Joss Marr", role: "APPRENTICE" as const };
  const day = {
    ...DAY,
    people: [...DAY.people, joss],
    blocks: [
      ...DAY.blocks,
      block(3, "joss", "10:00", "10:30"),
      block(4, "priya", "10:20", "10:40", { work: "LIVE" }),
      block(5, "tam", "08:10", "08:25", { work: "LIVE" }),
      block(6, "tam", "11:00", "11:10", { work: "LIVE" }),
      block(7, "priya", "12:10", "12:20", { work: "LIVE" }),
    ],
  } as unknown as client.Api["DayView"];
  const [sheet] = sheets(day);
  const told = (d: client.Api["DayView"]) =>
    sheet ? beside(d, sheet).map((b) => `${b.person} ${b.block.number} ${b.block.person}`) : [];

  it("is what goes off in others' hands while an apprentice's are free, one at a time, not in a break", () => {
    expect(told(day)).toEqual(["joss 2 priya", "joss 6 tam"]);
  });

  it("is nobody while they are away, and not told where their hours are their own", () => {
    expect(told({ ...day, away: [{ id: 1, who: "joss", from: at("10:50"), to: at("12:00") }] })).toEqual([
      "joss 2 priya",
    ]);
    expect(told({ ...day, own: { joss: {} } } as unknown as client.Api["DayView"])).toEqual([]);
  });

  it("is said to them in words", () => {
    shown(day);
    expect(region("Joss Marr").getByText("Priya at 2: Sand 2")).toBeTruthy();
    expect(region("Tam Okafor").queryByText("With hands free, to stand beside")).toBeNull();
  });
});

describe("what if", () => {
  it("asks for what was chosen alone", () => {
    expect(askedFor({ lamps: "0", without: "", airC: undefined })).toBe("");
    expect(askedFor({ lamps: "1", without: "tam", airC: 6, from: at("14:00") })).toBe(
      "?lamps=1&without=tam&airC=6&from=2026-11-24T14%3A00%3A00Z",
    );
  });

  it("stands beside the day as it is, with who is ready at another time", async () => {
    const ask = vi.spyOn(client, "ask").mockResolvedValue({
      last: at("10:00"),
      lateMin: 0,
      missed: 0,
      asLast: at("10:30"),
      asLateMin: 30,
      asMissed: 1,
      repairs: [{ repair: 8, name: "Skirt split", promisedAt: at("10:00"), before: at("10:30"), after: at("10:00") }],
      left: [],
    });
    shown(DAY);
    await userEvent.click(screen.getByRole("button", { name: "What if" }));
    const lamps = await screen.findByRole("group", { name: "Lamps" });
    await userEvent.click(inside(lamps).getByText("One more"));
    expect(ask).toHaveBeenLastCalledWith("/api/day/what-if?lamps=1");
    const row = await screen.findByRole("row", { name: /Promises missed/ });
    expect(
      inside(row)
        .getAllByRole("cell")
        .map((c) => c.textContent),
    ).toEqual(["1 by 30\u202fmin in all", "none"]);
    expect(screen.getByRole("list", { name: "Ready at another time" }).textContent).toBe(
      "Skirt split: 10:30 → 10:00, promised 10:00",
    );
  });
});

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

  it("hangs on the wall with what follows at once of one repair as one line", () => {
    const [today] = sheets(DAY);
    const some = [
      block(1, "tam", "08:30", "09:00", { steps: 2 }),
      block(1, "tam", "08:00", "08:30", { steps: 3 }),
      block(2, "tam", "09:00", "09:10"),
      block(1, "tam", "09:20", "09:30"),
      block(1, "tam", "09:40", "09:50"),
    ] as client.Api["DayBlock"][];
    const time = (ms: number) => new Date(ms).toISOString().slice(11, 16);
    expect(
      inOneGo(within(some, today as Sheet)).map((b) => [b.block.number, time(b.from), time(b.to), b.more]),
    ).toEqual([
      [1, "08:00", "09:00", 4],
      [2, "09:00", "09:10", 0],
      [1, "09:20", "09:30", 0],
      [1, "09:40", "09:50", 0],
    ]);
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
    expect(region("Held by a stop").getByText("Deeper than planned")).toBeTruthy();
    expect(screen.getByText("30 min, first come 1 h 30")).toBeTruthy();
  });

  it("tells how often each promise is kept, by when it holds, and where that comes from", () => {
    shown(DAY);
    const jobs = region("Repairs of this plan");
    expect(jobs.getByText("kept in 97 of 100")).toBeTruthy();
    expect(jobs.getByText(/^by .*10:40 in 90 of 100$/)).toBeTruthy();
    expect(jobs.getByText("kept in 0 of 100")).toBeTruthy();
    expect(screen.getByText(/Loops from 31 answers at gates of 4 finished runs, and from memory/)).toBeTruthy();
    cleanup();
    shown(DAY, SESSION.rights, { ...ODDS, runs: 1, gates: 1 });
    expect(
      screen.getByText(/this order 2000 times .* Loops from 1 answer at gates of 1 finished run, and/),
    ).toBeTruthy();
    cleanup();
    shown({ ...DAY, jobs: [] });
    expect(screen.queryByText(/answers at gates/)).toBeNull();
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

  it("types the hours of somebody who has their own", async () => {
    const sent = vi.spyOn(client, "ask").mockResolvedValue(DAY);
    shown(DAY);
    await userEvent.click(screen.getByRole("button", { name: "Hours" }));
    await userEvent.click(screen.getByRole("button", { name: "Tam" }));
    expect(screen.getByLabelText<HTMLInputElement>("Tuesday").value).toBe("10:00-14:00");
    await userEvent.click(screen.getByRole("button", { name: "Take these hours" }));
    expect(sent).toHaveBeenCalledWith("/api/shop/hours?person=tam", {
      method: "PUT",
      body: { hours: { TUESDAY: "10:00-14:00" } },
    });
    sent.mockRestore();
  });

  it("gives one's own day to another calendar: as a file, and at an address that is told once and can be taken away", async () => {
    let since: string | undefined;
    const sent = vi.spyOn(client, "ask").mockImplementation(((_: string, how?: { method?: string }) => {
      if (how?.method === "POST") since = at("08:00");
      if (how?.method === "DELETE") since = undefined;
      return Promise.resolve(how?.method === "POST" ? { path: "/calendar/abc.ics", since } : { since });
    }) as typeof client.ask);
    shown(DAY, ["CALENDAR"]);
    await userEvent.click(screen.getByRole("button", { name: "Calendar" }));
    expect(screen.getByRole("link", { name: "Calendar file" }).getAttribute("href")).toBe(
      "/api/day/calendar?person=tam",
    );
    await userEvent.click(screen.getByRole("button", { name: "Make an address" }));
    const told = screen.getByLabelText<HTMLInputElement>("The address, shown only now");
    expect(told.value).toBe(`${window.location.origin}/calendar/abc.ics`);
    await userEvent.click(screen.getByRole("button", { name: "Close" }));
    await userEvent.click(screen.getByRole("button", { name: "Calendar" }));
    expect(await screen.findByText(/^One was made .*08:00\. It is shown only when it is made/)).toBeTruthy();
    expect(screen.queryByLabelText("The address, shown only now")).toBeNull();
    await userEvent.click(screen.getByRole("button", { name: "Take it away" }));
    expect(await screen.findByRole("button", { name: "Make an address" })).toBeTruthy();
    sent.mockRestore();
  });

  it("tells what is not there, and asks to have it back", async () => {
    const sent = vi.spyOn(client, "ask").mockResolvedValue({ ...DAY, away: [] });
    shown(DAY);
    await userEvent.click(screen.getByRole("button", { name: "Not there: 1" }));
    const gone = inside(screen.getByRole("list", { name: "Not there now or later" }));
    expect(gone.getByText(/A lamp/)).toBeTruthy();
    await userEvent.click(gone.getByRole("button", { name: "Back" }));
    expect(sent).toHaveBeenCalledWith("/api/day/away/3", { method: "DELETE" });
    sent.mockRestore();
  });
});

describe("a repair of the day, opened", () => {
  it("names three that have the hands, and tells more of them together", () => {
    const hands = (by: string, minutes: number) => ({ kind: "HANDS" as const, by, minutes });
    const some = [hands("a", 40), { kind: "CURE" as const, by: "", minutes: 35 }, hands("b", 30), hands("c", 20)];
    expect(lines([...some, hands("d", 9)]).map((l) => l.told)).toHaveLength(5);
    const many = lines([...some, hands("d", 16), hands("e", 15)]);
    expect(many.map((l) => [l.told, l.minutes])).toEqual([
      ["Hands are at a", 40],
      ["Cures and dries by itself", 35],
      ["Hands are at 2 others", 31],
      ["Hands are at b", 30],
      ["Hands are at c", 20],
    ]);
    expect(many.filter((l) => l.freed.includes("another pair"))).toHaveLength(1);
  });

  const TOLD = {
    repair: 8,
    ready: at("10:30"),
    held: [
      { kind: "HANDS", by: "Door dent", minutes: 90 },
      { kind: "WORK", by: "", minutes: 60 },
      { kind: "THING", by: "", minutes: 10 },
    ],
    soonest: at("09:00"),
    promise: at("10:15"),
    pushed: [],
    holds: at("11:05"),
    often: 90,
    falls: [{ name: "Door dent", before: 97, after: 81 }],
  } as unknown as client.Api["RepairDayView"];

  const opened = async (rights = ["PLAN", "DAY"], told: Partial<client.Api["RepairDayView"]> = {}) => {
    const sent = vi
      .spyOn(client, "ask")
      .mockImplementation(((path: string) =>
        Promise.resolve(path.startsWith("/api/day/repairs") ? { ...TOLD, ...told } : DAY)) as typeof client.ask);
    shown(DAY, rights);
    await userEvent.click(screen.getByRole("button", { name: /2: what holds Skirt split/ }));
    return { sent, sheet: region("Skirt split on this day") };
  };

  it("says what its time goes to, and what may be promised", async () => {
    const { sent, sheet } = await opened();
    expect(await sheet.findByText("Hands are at Door dent")).toBeTruthy();
    expect(sheet.getByText("The lamp or oven is out of order")).toBeTruthy();
    expect(
      sheet.getByText(/^No order has it ready before .*09:00, even with nothing else in the shop\.$/),
    ).toBeTruthy();
    expect(sheet.getByText("holds in 90 of 100, as loops and minutes fall.")).toBeTruthy();
    // What is promised is what holds, not what the planned minutes say.
    expect(sheet.getByRole("button", { name: /^Promise .*11:05$/ })).toBeTruthy();
    expect(sheet.getByText("Door dent: kept in 81 of 100 instead of 97")).toBeTruthy();
    expect(region("Repairs of this plan").getByText(/of hands, before all others, by Priya$/)).toBeTruthy();
    sent.mockRestore();
  });

  it("answers what is asked for, and names who would be late for it", async () => {
    const { sent, sheet } = await opened(["PLAN", "DAY"], {
      asked: at("09:30"),
      answer: "PUSHES",
      inHundred: 62,
      pushed: [{ repair: 7, name: "Door dent", promisedAt: at("15:00"), before: at("09:30"), after: at("15:40") }],
    });
    await userEvent.type(sheet.getByLabelText("Asked for"), "24/11/2026");
    await userEvent.type(inside(sheet.getByRole("group", { name: "Asked for" })).getByLabelText("at"), "9:30");
    expect(await sheet.findByText("At the cost of others, in the best order found:")).toBeTruthy();
    expect(sheet.getByText("Ready by then in 62 of 100.")).toBeTruthy();
    expect(sheet.getByText(/^Door dent, promised .*15:00: ready .*15:40 instead of .*09:30$/)).toBeTruthy();
    expect(sent).toHaveBeenCalledWith(`/api/day/repairs/8?by=${encodeURIComponent("2026-11-24T09:30:00.000Z")}`);
    sent.mockRestore();
  });

  it("calls what seldom holds no promise", async () => {
    const { sent, sheet } = await opened(["PLAN", "DAY"], { asked: at("10:20"), answer: "HOLDS", inHundred: 40 });
    await userEvent.type(sheet.getByLabelText("Asked for"), "24/11/2026");
    await userEvent.type(inside(sheet.getByRole("group", { name: "Asked for" })).getByLabelText("at"), "10:20");
    expect(await sheet.findByText("By planned minutes it is ready by then, but that seldom holds.")).toBeTruthy();
    expect(sheet.getByText("Ready by then in 40 of 100.")).toBeTruthy();
    sent.mockRestore();
  });

  it("is opened by a link to it, and says so where it has no time on the day", async () => {
    const sent = vi
      .spyOn(client, "ask")
      .mockImplementation(((path: string) =>
        Promise.resolve(path.startsWith("/api/day/repairs") ? TOLD : DAY)) as typeof client.ask);
    const given = [
      [keys.day, DAY],
      [[...keys.day, "odds", DAY.now], ODDS],
      [keys.session, SESSION],
    ] as const;
    show(<DayPlace />, given, "/day?repair=8");
    expect(await screen.findByRole("region", { name: "Skirt split on this day" })).toBeTruthy();
    cleanup();
    show(<DayPlace />, given, "/day?repair=77");
    expect(screen.getByRole("status").textContent).toMatch(/has no time on this day/);
    sent.mockRestore();
  });

  it("keeps a place that is said, and takes it back", async () => {
    const { sent, sheet } = await opened();
    await userEvent.click(sheet.getByRole("button", { name: "Tam" }));
    await userEvent.click(sheet.getByRole("button", { name: "As the order has it" }));
    await userEvent.click(sheet.getByRole("button", { name: "A wish: gives way" }));
    await userEvent.click(sheet.getByRole("button", { name: "Plan it so" }));
    expect(sent).toHaveBeenCalledWith("/api/day/repairs/8/pin", {
      method: "PUT",
      body: { person: "tam", notBefore: undefined, first: false, wished: true },
    });
    sent.mockRestore();
  });

  it("is read by an apprentice, not changed", async () => {
    const { sent, sheet } = await opened(["READ"]);
    expect(await sheet.findByText("Hands are at Door dent")).toBeTruthy();
    expect(sheet.queryByRole("button", { name: "Plan it so" })).toBeNull();
    expect(sheet.queryByRole("button", { name: /Promise/ })).toBeNull();
    sent.mockRestore();
  });
});

const region = (name: string) => inside(screen.getByRole("region", { name }));
