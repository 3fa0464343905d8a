import { createStore, del, entries, set, type UseStore } from "idb-keyval";
import { useMemo, useSyncExternalStore } from "react";
import { ask, type Api, Problem, Unreachable } from "../../api/client";

/** A bench event with the id that makes it count once. */
export type BenchEvent = Required<Pick<Api["EventDraft"], "id" | "kind" | "at">> & Api["EventDraft"];

interface Kept {
  key: string;
  repair: number;
  event: BenchEvent;
}

/** What the screen shows of the outbox. */
export interface OutboxState {
  pending: readonly Kept[];
  reachable: boolean;
  /** What the server said is wrong, or that it is slow; empty while nothing is known to be. */
  trouble: string;
  /** Why an event was not taken; shown until read. */
  refused: readonly string[];
}

type Taken = (repair: number, run: Api["RunView"]) => void;

const FIRST_PAUSE_MS = 800;
const LONGEST_PAUSE_MS = 8_000;
const SLOW_MS = 3_000;

/**
 * Keeps what was done at the bench until the server has it. Every event is in the browser's own store before it is sent, so that a
 * reload, a lost network or a dead server loses nothing; the server counts an event once however often it comes.
 */
export class Outbox {
  private state: OutboxState = { pending: [], reachable: true, trouble: "", refused: [] };
  private readonly listeners = new Set<() => void>();
  private readonly store: UseStore;
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
    const known = new Set(this.state.pending.map((k) => k.key));
    this.change({ pending: [...left.filter((k) => !known.has(k.key)), ...this.state.pending] });
    void this.flush();
  }

  /** Keeps an event, then sends it. */
  push(repair: number, event: BenchEvent): void {
    const key = `${String(Date.now()).padStart(15, "0")}-${String(this.counter++).padStart(6, "0")}-${event.id}`;
    const kept = { key, repair, event };
    this.change({ pending: [...this.state.pending, kept] });
    void set(key, kept, this.store).then(() => this.flush());
  }

  /** Sends everything, oldest first, one repair at a time. */
  async flush(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    clearTimeout(this.timer);
    const slow = setTimeout(() => this.change({ trouble: "Server is slow" }), SLOW_MS);
    try {
      while (this.state.pending.length > 0) {
        const repair = this.state.pending[0]?.repair ?? 0;
        const batch = this.state.pending.filter((k) => k.repair === repair).slice(0, 100);
        const answer = await this.send(
          repair,
          batch.map((k) => k.event),
        );
        this.pause = FIRST_PAUSE_MS;
        this.taken(repair, answer.run);
        await this.forget(
          batch,
          answer.refused.map((r) => r.problem.message),
        );
      }
      this.change({ reachable: true, trouble: "" });
    } catch (e) {
      await this.trouble(e);
    } finally {
      clearTimeout(slow);
      this.sending = false;
    }
  }

  private async trouble(e: unknown): Promise<void> {
    const first = this.state.pending[0];
    const final = e instanceof Problem && e.status >= 400 && e.status < 500 && e.status !== 401 && e.status !== 403;
    if (final && first) {
      await this.forget(
        this.state.pending.filter((k) => k.repair === first.repair),
        [e.message],
      );
    } else if (!(e instanceof Problem) && !(e instanceof Unreachable)) {
      this.change({ refused: [...this.state.refused, e instanceof Error ? e.message : String(e)] });
    }
    this.change({ reachable: e instanceof Problem && e.status < 500, trouble: e instanceof Problem ? e.title : "" });
    this.timer = setTimeout(() => void this.flush(), this.pause);
    this.pause = Math.min(LONGEST_PAUSE_MS, this.pause * 1.6);
  }

  private async forget(batch: readonly Kept[], refused: string[]): Promise<void> {
    await Promise.all(batch.map((k) => del(k.key, this.store)));
    const gone = new Set(batch.map((k) => k.key));
    this.change({
      pending: this.state.pending.filter((k) => !gone.has(k.key)),
      refused: [...this.state.refused, ...refused],
    });
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
