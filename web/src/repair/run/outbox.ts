import { msg } from "../../messages/messages";
import { createStore, del, entries, set, type UseStore } from "idb-keyval";
import { useMemo, useSyncExternalStore } from "react";
import { ask, type Api, Problem, Unreachable } from "../../api/client";

/** A bench event with the id that makes it count once. */
export type BenchEvent = Required<Pick<Api["EventDraft"], "id" | "kind" | "at">> & Api["EventDraft"];

/** Who did it. */
export type Doer = Pick<Api["Account"], "id" | "name">;

interface Kept {
  key: string;
  repair: number;
  event: BenchEvent;
  /** Absent on what was kept before this was noted: it is sent by whoever is signed in. */
  by?: Doer;
}

/** What the screen shows of the outbox. */
export interface OutboxState {
  pending: readonly Kept[];
  /** What others did on this screen and is not with the server yet: it waits until they sign in here. */
  others: readonly Kept[];
  /** Acts that the browser's own store does not have yet: a page that is left now would lose them. */
  keeping: number;
  reachable: boolean;
  /** What the server said is wrong, or that it is slow; empty while nothing is known to be. */
  trouble: string;
  /** What was not taken and why; shown until read. */
  refused: readonly Refusal[];
  /** What was kept but came too late to count: others had ended the work or planned it anew meanwhile; until it is answered. */
  late: readonly Late[];
}

/** An act that stands in the record and counts for nothing. */
export interface Late {
  repair: number;
  name: string;
  told: Api["Ignored"];
}

/** Why an event was not taken; the event itself where one was named, so that nothing of it is lost. */
export interface Refusal {
  message: string;
  event?: BenchEvent;
}

/** Takes in the server's newest answer; an event leaves the browser's store only when that is done. */
type Taken = (repair: number, run: Api["RunView"]) => void | Promise<void>;

const FIRST_PAUSE_MS = 800;
const LONGEST_PAUSE_MS = 8_000;
const SLOW_MS = 3_000;
const MOST_AT_ONCE = 100;

/** Answers by which the server has judged what was sent, and will never judge it otherwise. */
const JUDGED = new Set([400, 422]);
const TOO_LARGE = 413;

/** Whether the answer is about this repair, not about the server, the sign-in or how much is sent. */
const ofThisRepair = (e: unknown): e is Problem =>
  e instanceof Problem && [404, 409, TOO_LARGE].some((s) => s === e.status);

/**
 * Keeps what was done at the bench until the server has it. Every event is in the browser's own store before it is sent, so that a
 * reload, a lost network or a dead server loses nothing; the server counts an event once however often it comes. An event belongs to who did
 * it and is never sent under another's sign-in.
 */
export class Outbox {
  private state: OutboxState = {
    pending: [],
    others: [],
    keeping: 0,
    reachable: true,
    trouble: "",
    refused: [],
    late: [],
  };
  private all: readonly Kept[] = [];
  private me: Doer | undefined;
  private readonly listeners = new Set<() => void>();
  private readonly store: UseStore;
  private readonly unkept = new Set<string>();
  private counter = 0;
  private sending = false;
  private pause = FIRST_PAUSE_MS;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private taken: Taken = () => {};

  constructor(
    name = "vanemend-outbox",
    private readonly send: (repair: number, events: BenchEvent[]) => Promise<Api["TakenView"]> = (repair, events) =>
      ask<Api["TakenView"]>(`/api/repairs/${repair}/events`, { method: "POST", body: events }),
  ) {
    this.store = createStore(name, "events");
  }

  /** Reads what an earlier page left behind and goes on sending. */
  async open(taken: Taken): Promise<void> {
    this.taken = taken;
    const left = (await entries<string, Kept>(this.store)).map(([, kept]) => kept);
    left.sort((a, b) => (a.key < b.key ? -1 : 1));
    const known = new Set(this.all.map((k) => k.key));
    this.hold([...left.filter((k) => !known.has(k.key)), ...this.all]);
    void this.flush();
  }

  /** {@code who} is signed in on this page, or nobody: what is theirs is sent, what is others' waits. */
  as(who: Doer | undefined): void {
    if (this.me?.id === who?.id) return;
    this.me = who;
    this.hold(this.all);
    void this.flush();
  }

  private hold(all: readonly Kept[]): void {
    this.all = all;
    const mine = (k: Kept) => this.me !== undefined && (k.by === undefined || k.by.id === this.me.id);
    this.change({ pending: all.filter(mine), others: all.filter((k) => !mine(k)) });
  }

  /** Keeps an event, then sends it. */
  push(repair: number, event: BenchEvent): void {
    const key = `${String(Date.now()).padStart(15, "0")}-${String(this.counter++).padStart(6, "0")}-${event.id}`;
    const kept = { key, repair, event, ...(this.me && { by: { id: this.me.id, name: this.me.name } }) };
    this.hold([...this.all, kept]);
    void this.keep(key, kept).then(() => this.flush());
  }

  /** A browser with no room left sends it all the same, and goes on saying that it is not kept. */
  private async keep(key: string, kept: Kept): Promise<void> {
    this.unkept.add(key);
    this.change({ keeping: this.unkept.size });
    await set(key, kept, this.store)
      .then(() => this.unkept.delete(key))
      .catch((e: unknown) => console.warn(e));
    this.change({ keeping: this.unkept.size });
  }

  /**
   * Sends everything, oldest first, one repair at a time. Only an answer that is about an event drops that event; where a whole batch is judged,
   * its events go one by one, so that one bad one neither holds up nor takes along the others. A repair that the server will not have just now
   * waits, and the others go on.
   */
  async flush(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    clearTimeout(this.timer);
    const slow = setTimeout(() => this.change({ trouble: msg("Server is slow") }), SLOW_MS);
    const held = new Map<number, Problem>();
    const alone = new Set<string>();
    try {
      for (;;) {
        const first = this.state.pending.find((k) => !held.has(k.repair));
        if (!first) break;
        const own = this.state.pending.filter((k) => k.repair === first.repair);
        const batch = alone.has(first.key) ? [first] : own.filter((k) => !alone.has(k.key)).slice(0, MOST_AT_ONCE);
        try {
          const answer = await this.send(
            first.repair,
            batch.map((k) => k.event),
          );
          this.pause = FIRST_PAUSE_MS;
          await this.taken(first.repair, answer.run);
          this.change({ late: [...this.state.late, ...tooLate(first.repair, answer.run, batch)] });
          await this.forget(
            batch,
            answer.refused.map((r) => refusal(r.problem.message, batch.find((k) => k.event.id === r.id)?.event)),
          );
        } catch (e) {
          const judged = e instanceof Problem && JUDGED.has(e.status);
          if (batch.length > 1 && e instanceof Problem && (judged || e.status === TOO_LARGE))
            batch.forEach((k) => alone.add(k.key));
          else if (judged) await this.forget(batch, [refusal(e.message, first.event)]);
          else if (ofThisRepair(e)) held.set(first.repair, e);
          else throw e;
        }
      }
      const [waits] = held.values();
      if (waits) this.later(true, waits.title);
      else this.change({ reachable: true, trouble: "" });
    } catch (e) {
      this.trouble(e);
    } finally {
      clearTimeout(slow);
      this.sending = false;
    }
  }

  private trouble(e: unknown): void {
    if (!(e instanceof Problem) && !(e instanceof Unreachable)) {
      this.change({ refused: [...this.state.refused, refusal(e instanceof Error ? e.message : String(e))] });
    }
    this.later(e instanceof Problem && e.status < 500, e instanceof Problem ? e.title : "");
  }

  private later(reachable: boolean, trouble: string): void {
    this.change({ reachable, trouble });
    this.timer = setTimeout(() => void this.flush(), this.pause);
    this.pause = Math.min(LONGEST_PAUSE_MS, this.pause * 1.6);
  }

  private async forget(batch: readonly Kept[], refused: Refusal[]): Promise<void> {
    await Promise.all(batch.map((k) => del(k.key, this.store)));
    const gone = new Set(batch.map((k) => k.key));
    gone.forEach((key) => this.unkept.delete(key));
    this.change({ keeping: this.unkept.size });
    this.hold(this.all.filter((k) => !gone.has(k.key)));
    this.change({ refused: [...this.state.refused, ...refused] });
  }

  /** Whether the server was there just now, as somebody found who asked. */
  reach(there: boolean): void {
    if (!there) {
      if (this.state.reachable) this.change({ reachable: false });
    } else if (!this.state.reachable) {
      if (this.state.pending.length === 0) this.change({ reachable: true, trouble: "" });
      else void this.flush();
    }
  }

  /** What came too late for {@code repair} was answered. */
  answered(repair: number): void {
    this.change({ late: this.state.late.filter((l) => l.repair !== repair) });
  }

  /** The refusals were read. */
  read(): void {
    this.change({ refused: [] });
  }

  /** Stops trying; for tests. */
  close(): void {
    clearTimeout(this.timer);
    this.listeners.clear();
  }

  snapshot = (): OutboxState => this.state;

  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  private change(next: Partial<OutboxState>): void {
    this.state = { ...this.state, ...next };
    this.listeners.forEach((l) => l());
  }
}

/** Of what was just sent the acts that others left behind. */
function tooLate(repair: number, run: Api["RunView"], batch: readonly Kept[]): Late[] {
  const mine = new Set(batch.map((k) => k.event.id));
  return run.state.ignored
    .filter((i) => mine.has(i.event) && (i.cause === "ENDED" || i.cause === "PLANNED_ANEW"))
    .map((told) => ({ repair, name: run.frozen.workup.name, told }));
}

function refusal(message: string, event?: BenchEvent): Refusal {
  return event ? { message, event } : { message };
}

/** The one outbox of this page. */
export const outbox = new Outbox();

export function useOutbox(): OutboxState {
  return useSyncExternalStore(outbox.subscribe, outbox.snapshot);
}

/** Events of one repair that the server does not have yet. */
export function usePending(repair: number): BenchEvent[] {
  const { pending } = useOutbox();
  return useMemo(() => pending.filter((k) => k.repair === repair).map((k) => k.event), [pending, repair]);
}
