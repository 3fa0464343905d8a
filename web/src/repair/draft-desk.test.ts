import { beforeEach, describe, expect, it, vi } from "vitest";
import { type Api, type ask, Problem, Unreachable } from "../api/client";
import { DraftDesk } from "./draft-desk";

type Body = { method?: string; body?: unknown; version?: number };

/** A server of one repair. */
class Server {
  version = 1;
  draft: Api["RepairDraft"] = { part: { name: "Door" } };
  changedBy = "Tam";
  down = false;
  frozenAt?: string;
  calls: string[] = [];

  ask = (async (path: string, { method = "GET", body, version }: Body = {}) => {
    this.calls.push(`${method} ${path}`);
    if (this.down) throw new Unreachable("down");
    if (path === "/api/preview") return { problems: [] };
    if (method === "PUT") {
      if (version !== this.version) {
        throw new Problem(412, "Changed meanwhile", "crossed", { version: this.version, changedBy: this.changedBy });
      }
      this.version++;
      this.draft = body as Api["RepairDraft"];
    }
    return { version: this.version, draft: this.draft, problems: [], frozenAt: this.frozenAt };
  }) as unknown as typeof ask;
}

function memory() {
  const map = new Map<string, string>();
  return {
    getItem: (k: string) => map.get(k) ?? null,
    setItem: (k: string, v: string) => void map.set(k, v),
    removeItem: (k: string) => void map.delete(k),
    size: () => map.size,
  };
}

const rename = (name: string) => (d: Api["RepairDraft"]) => ({ ...d, part: { ...d.part, name } });

describe("draft desk", () => {
  let server: Server;
  let store: ReturnType<typeof memory>;
  const desk = async () => {
    const d = new DraftDesk(4, "tam", server.ask, store);
    await d.load();
    return d;
  };
  beforeEach(() => {
    server = new Server();
    store = memory();
  });

  it("previews while typing and saves under the version it read", async () => {
    const d = await desk();
    d.step(rename("Flap"));
    expect(d.snapshot().draft?.part?.name).toBe("Flap");
    await vi.waitFor(() => expect(server.calls).toContain("POST /api/preview"));
    expect(await d.settle()).toBe(2);
    expect(server.draft.part?.name).toBe("Flap");
    expect(d.snapshot().safety).toBe("saved");
    expect(store.size()).toBe(0);
  });

  it("says that what was just typed is not saved yet", async () => {
    const d = await desk();
    d.step(rename("Flap"));
    expect(d.snapshot().safety).toBe("saving");
  });

  it("lays an answer aside that is older than what was saved meanwhile", async () => {
    let answer: ((view: unknown) => void) | undefined;
    let slow = false;
    const asked = ((path: string, body?: Body) =>
      slow
        ? new Promise((r) => (answer = r))
        : (server.ask as (p: string, b?: Body) => Promise<unknown>)(path, body)) as unknown as typeof ask;
    const d = new DraftDesk(4, "tam", asked, store);
    await d.load();
    slow = true;
    const reading = d.load();
    slow = false;
    d.step(rename("Flap"));
    expect(await d.settle()).toBe(2);
    answer?.({ version: 1, draft: { part: { name: "Door" } }, problems: [] });
    await reading;
    expect(d.snapshot().draft?.part?.name).toBe("Flap");
  });

  it("keeps what was typed through a dead server and a reload", async () => {
    const d = await desk();
    server.down = true;
    d.step(rename("Flap"));
    await d.save();
    expect(d.snapshot().safety).toBe("kept");
    server.down = false;
    const after = await desk();
    expect(after.snapshot().draft?.part?.name).toBe("Flap");
    expect(server.draft.part?.name).toBe("Flap");
    expect(store.size()).toBe(0);
  });

  it("never writes over somebody else without a word: take theirs, or keep mine", async () => {
    const mine = await desk();
    server.version = 5;
    server.draft = { part: { name: "Theirs" } };
    mine.step(rename("Mine"));
    await mine.save();
    expect(mine.snapshot().safety).toBe("crossed");
    expect(mine.snapshot().crossedBy).toBe("Tam");
    expect(server.draft.part?.name).toBe("Theirs");
    await mine.keepMine();
    expect(server.draft.part?.name).toBe("Mine");
    mine.step(rename("Mine again"));
    server.version = 9;
    server.draft = { part: { name: "Theirs again" } };
    await mine.save();
    await mine.takeTheirs();
    expect(mine.snapshot().draft?.part?.name).toBe("Theirs again");
    expect(mine.snapshot().safety).toBe("saved");
  });

  it("undoes step by step, and the undo is saved like any step", async () => {
    const d = await desk();
    d.step(rename("One"));
    d.step(rename("Two"));
    d.undo();
    expect(d.snapshot().draft?.part?.name).toBe("One");
    d.undo();
    d.undo();
    expect(d.snapshot().draft?.part?.name).toBe("Door");
    await d.settle();
    expect(server.draft.part?.name).toBe("Door");
  });

  it("lets a frozen repair be and drops no word of what the server has", async () => {
    store.setItem("vanemend.draft.4", JSON.stringify({ draft: { part: { name: "Late" } }, version: 1 }));
    server.frozenAt = "2026-11-24T09:00:00Z";
    const d = await desk();
    expect(d.snapshot().draft?.part?.name).toBe("Door");
    expect(d.snapshot().frozenAt).toBeDefined();
  });

  it("keeps what was typed under who typed it: another person's desk neither shows nor sends it", async () => {
    const tam = await desk();
    server.down = true;
    tam.step(rename("Flap"));
    await tam.save();
    server.down = false;
    const priya = new DraftDesk(4, "priya", server.ask, store);
    await priya.load();
    await priya.save();
    expect(priya.snapshot().draft?.part?.name).toBe("Door");
    expect(server.draft.part?.name).toBe("Door");
    const back = await desk();
    await vi.waitFor(() => expect(server.draft.part?.name).toBe("Flap"));
    expect(back.snapshot().draft?.part?.name).toBe("Flap");
  });
});
