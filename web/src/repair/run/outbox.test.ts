import "fake-indexeddb/auto";
import { afterEach, describe, expect, it, vi } from "vitest";
import { type Api, Problem, Unreachable } from "../../api/client";
import { type BenchEvent, Outbox } from "./outbox";

const event = (n: number): BenchEvent => ({ id: `e${n}`, kind: "NOTE", at: "2026-11-24T09:00:00Z", text: `n${n}` });
const taken = { run: { id: 1, state: { ignored: [] } }, refused: [] } as unknown as Api["TakenView"];
const open: Outbox[] = [];

const TAM = { id: "tam", name: "Tam Okafor" };
const PRIYA = { id: "priya", name: "Priya Nair" };

function box(name: string, send: (repair: number, events: BenchEvent[]) => Promise<Api["TakenView"]>, who = TAM) {
  const b = new Outbox(name, send);
  b.as(who);
  open.push(b);
  return b;
}

const settled = (b: Outbox) => vi.waitFor(() => expect(b.snapshot().pending).toHaveLength(0));

afterEach(() => open.splice(0).forEach((b) => b.close()));

describe("outbox", () => {
  it("keeps what was done through a dead server and a reload, and sends it in order", async () => {
    const dead = box("reload", () => Promise.reject(new Unreachable("gone")));
    await dead.open(() => {});
    for (let i = 0; i < 5; i++) dead.push(7, event(i));
    await vi.waitFor(() => expect(dead.snapshot().reachable).toBe(false));
    dead.close();
    const sent: string[] = [];
    const after = box("reload", (_, events) => {
      sent.push(...events.map((e) => e.id));
      return Promise.resolve(taken);
    });
    await after.open(() => {});
    await settled(after);
    expect(sent).toEqual(["e0", "e1", "e2", "e3", "e4"]);
    const again = box("reload", () => Promise.reject(new Error("nothing is left to send")));
    await again.open(() => {});
    expect(again.snapshot().pending).toHaveLength(0);
  });

  it("says that an act is kept here only once a page that is left at once would not lose it", async () => {
    const b = box("kept-first", () => Promise.reject(new Unreachable("gone")));
    await b.open(() => {});
    b.push(7, event(1));
    expect(b.snapshot().keeping).toBe(1);
    await vi.waitFor(() => expect(b.snapshot().keeping).toBe(0));
    const after = box("kept-first", () => Promise.reject(new Unreachable("gone")));
    await after.open(() => {});
    expect(after.snapshot().pending.map((k) => k.event.id)).toEqual(["e1"]);
  });

  it("sends what a browser with no room cannot keep, and does not say that it is kept", async () => {
    vi.spyOn(console, "warn").mockImplementation(() => {});
    const full = vi.spyOn(IDBObjectStore.prototype, "put").mockImplementation(() => {
      throw new DOMException("no room", "QuotaExceededError");
    });
    let there = false;
    const b = box("full", () => (there ? Promise.resolve(taken) : Promise.reject(new Unreachable("gone"))));
    await b.open(() => {});
    b.push(7, event(1));
    await vi.waitFor(() => expect(b.snapshot().reachable).toBe(false));
    expect(b.snapshot().keeping).toBe(1);
    there = true;
    b.reach(true);
    await settled(b);
    expect(b.snapshot().keeping).toBe(0);
    full.mockRestore();
  });

  it("tells which of one's own acts came too late, until that is answered; what others left or was done twice is not asked about", async () => {
    const told = (id: string, cause: string) => ({ event: id, cause, said: `step ${id}` });
    const ignored = [
      told("e1", "ENDED"),
      told("e2", "DONE_ALREADY"),
      told("someone", "ENDED"),
      told("e3", "PLANNED_ANEW"),
    ];
    const run = { id: 7, frozen: { workup: { name: "Door" } }, state: { ignored } };
    const b = box("late", () => Promise.resolve({ run, refused: [] } as unknown as Api["TakenView"]));
    await b.open(() => {});
    for (let i = 1; i <= 3; i++) b.push(7, event(i));
    await settled(b);
    expect(b.snapshot().late.map((l) => l.told.said)).toEqual(["step e1", "step e3"]);
    b.answered(8);
    expect(b.snapshot().late).toHaveLength(2);
    b.answered(7);
    expect(b.snapshot().late).toEqual([]);
  });

  it("lets go of an event only when the server's answer is put away for a later page", async () => {
    let putAway = () => {};
    const b = box("put-away", () => Promise.resolve(taken));
    await b.open(() => new Promise<void>((done) => (putAway = done)));
    b.push(7, event(1));
    const later = async () => {
      const page = box("put-away", () => Promise.reject(new Unreachable("gone")));
      await page.open(() => {});
      return page.snapshot().pending.map((k) => k.event.id);
    };
    await vi.waitFor(async () => expect(await later()).toEqual(["e1"]));
    putAway();
    await settled(b);
    expect(await later()).toEqual([]);
  });

  it("tries again after the store was away and keeps the order of what came meanwhile", async () => {
    let away = 2;
    const sent: string[] = [];
    const b = box("again", (_, events) => {
      if (away-- > 0) return Promise.reject(new Problem(503, "Store", "away", {}));
      sent.push(...events.map((e) => e.id));
      return Promise.resolve(taken);
    });
    await b.open(() => {});
    b.push(1, event(1));
    b.push(1, event(2));
    await vi.waitFor(() => expect(sent).toEqual(["e1", "e2"]), 10_000);
    // What was sent is still being put away.
    await settled(b);
    await vi.waitFor(() => expect(b.snapshot().reachable).toBe(true));
  }, 12_000);

  it("hands on the run that the server answered, and says what was refused", async () => {
    const b = box("refused", () =>
      Promise.resolve({
        ...taken,
        refused: [
          {
            id: "e1",
            problem: { field: "value", given: "900", expected: "", message: "Surface of 900 °C cannot be right." },
          },
        ],
      } as unknown as Api["TakenView"]),
    );
    const runs: number[] = [];
    await b.open((repair) => void runs.push(repair));
    b.push(3, event(1));
    await settled(b);
    expect(runs).toEqual([3]);
    expect(b.snapshot().refused).toEqual([{ message: "Surface of 900 °C cannot be right.", event: event(1) }]);
    b.read();
    expect(b.snapshot().refused).toEqual([]);
  });

  it("does not let one repair that the server will not have hold up another", async () => {
    const sent: number[] = [];
    const b = box("mixed", (repair) => {
      if (repair === 1)
        return Promise.reject(new Problem(409, "Not started", "The work on this repair has not begun.", {}));
      sent.push(repair);
      return Promise.resolve(taken);
    });
    await b.open(() => {});
    b.push(1, event(1));
    b.push(2, event(2));
    await vi.waitFor(() => expect(sent).toEqual([2]), 6_000);
    expect(b.snapshot().refused).toEqual([]);
    await vi.waitFor(() => expect(b.snapshot().trouble).toBe("Not started"));
    expect(b.snapshot().pending.map((k) => k.event.id)).toEqual(["e1"]);
  }, 8_000);

  it.each([404, 408, 413, 429, 500, 503])("drops nothing for %i", async (status) => {
    const send = vi.fn(() => Promise.reject(new Problem(status, "Just now", "not now", {})));
    const b = box(`kept-${status}`, send);
    await b.open(() => {});
    b.push(1, event(1));
    await vi.waitFor(() => expect(send).toHaveBeenCalled());
    await vi.waitFor(() => expect(b.snapshot().trouble).toBe("Just now"));
    expect(b.snapshot().pending).toHaveLength(1);
    expect(b.snapshot().refused).toEqual([]);
  });

  it("sends a batch that is judged one by one: the bad one is shown whole, the others are taken in order", async () => {
    const sent: string[] = [];
    const b = box("judged", (_, events) => {
      if (events.some((e) => e.id === "e2")) return Promise.reject(new Problem(422, "Bench", "e2 cannot be right", {}));
      sent.push(...events.map((e) => e.id));
      return Promise.resolve(taken);
    });
    for (let i = 0; i < 5; i++) b.push(4, event(i));
    await b.open(() => {});
    await settled(b);
    expect(sent).toEqual(["e0", "e1", "e3", "e4"]);
    expect(b.snapshot().refused).toEqual([{ message: "e2 cannot be right", event: event(2) }]);
  });

  it("waits at the door when the session has ended, and loses nothing", async () => {
    const send = vi.fn(() => Promise.reject(new Problem(401, "Sign-in", "sign in", {})));
    const b = box("door", send);
    await b.open(() => {});
    b.push(1, event(1));
    await vi.waitFor(() => expect(send).toHaveBeenCalled());
    expect(b.snapshot().pending).toHaveLength(1);
    expect(b.snapshot().refused).toEqual([]);
  });

  it("never sends what one did under another's sign-in, through a reload too, and sends it when its owner is back", async () => {
    const sent: [string, string[]][] = [];
    let who = "tam";
    const send = (_: number, events: BenchEvent[]) => {
      sent.push([who, events.map((e) => e.id)]);
      return Promise.resolve(taken);
    };
    const away = box("whose", () => Promise.reject(new Unreachable("gone")));
    await away.open(() => {});
    away.push(7, event(1));
    await vi.waitFor(() => expect(away.snapshot().reachable).toBe(false));
    away.close();

    who = "priya";
    const b = box("whose", send, PRIYA);
    await b.open(() => {});
    expect(b.snapshot().pending).toEqual([]);
    expect(b.snapshot().others.map((k) => [k.by?.name, k.event.id])).toEqual([["Tam Okafor", "e1"]]);
    b.push(7, event(2));
    await settled(b);
    expect(sent).toEqual([["priya", ["e2"]]]);

    b.as(undefined);
    await b.flush();
    expect(sent).toHaveLength(1);
    who = "tam";
    b.as(TAM);
    await vi.waitFor(() => expect(sent[1]).toEqual(["tam", ["e1"]]));
    await settled(b);
    expect(b.snapshot().others).toEqual([]);
  });
});
