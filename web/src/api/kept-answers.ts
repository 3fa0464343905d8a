import { dehydrate, type DehydratedState, hydrate, type Query, type QueryClient } from "@tanstack/react-query";
import { createStore, del, get, set } from "idb-keyval";

/** What a page needs to open with no server: who it is, the bench, the day, the runs under way and the words they are said in. */
const NEEDED = new Set(["session", "bench", "day", "run", "catalogue", "rules", "repairs"]);
const KEY = "answers";
/** Goes up where what is answered gets another shape: a page never shows what an earlier release kept. */
const SHAPE = 3;
const OLDEST_MS = 24 * 3_600_000;
const BREATH_MS = 1_000;
/** So old what is kept may grow before an answer that says the same is kept again. */
const FRESH_MS = 3_600_000;

interface Kept {
  at: number;
  shape?: number;
  state: DehydratedState;
}

const needed = (q: Query) => NEEDED.has(String(q.queryKey[0])) && q.state.data !== undefined;

/**
 * The server's newest answers in the browser's own store: a page that opens while the server is away shows them, and what was done since lies in
 * the outbox. They are those of whoever is signed in, and go when they sign out.
 */
export class KeptAnswers {
  private readonly store;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private stopped = false;
  /** What was kept last, by query: an answer that says the same again is the same object. */
  private readonly last = new Map<string, unknown>();
  private keptAt = 0;

  constructor(
    private readonly client: QueryClient,
    name = "vanemend-answers",
  ) {
    this.store = createStore(name, "kept");
  }

  /** Puts back what an earlier page kept, if it is not too old; all of it is asked for anew where the server is there. */
  async restore(): Promise<void> {
    const kept = await get<Kept>(KEY, this.store).catch(() => undefined);
    if (kept?.shape !== SHAPE || Date.now() - kept.at > OLDEST_MS) return;
    hydrate(this.client, kept.state);
    void this.client.invalidateQueries({ predicate: needed });
  }

  /** Keeps what comes in from now on; that somebody looks at it, or asks for it, changes nothing. */
  follow(): () => void {
    return this.client.getQueryCache().subscribe((e) => {
      const came = e.type === "updated" && e.action.type === "success";
      if (!came || this.stopped || this.timer !== undefined || !needed(e.query)) return;
      const same = e.query.state.data === this.last.get(e.query.queryHash);
      if (same && Date.now() - this.keptAt < FRESH_MS) return;
      this.timer = setTimeout(() => {
        this.timer = undefined;
        void this.keep();
      }, BREATH_MS);
    });
  }

  /** Keeps what there is now; nothing once somebody signed out. */
  async keep(): Promise<void> {
    if (this.stopped) return;
    for (const q of this.client.getQueryCache().getAll()) if (needed(q)) this.last.set(q.queryHash, q.state.data);
    this.keptAt = Date.now();
    const state = dehydrate(this.client, { shouldDehydrateQuery: needed, shouldDehydrateMutation: () => false });
    // A browser with no room left keeps the work in the outbox all the same; a later page then opens with older answers.
    await set(KEY, { at: this.keptAt, shape: SHAPE, state } satisfies Kept, this.store).catch((e: unknown) =>
      console.warn(e),
    );
  }

  /** Forgets everything: somebody signed out. */
  async forget(): Promise<void> {
    this.stopped = true;
    clearTimeout(this.timer);
    await del(KEY, this.store);
  }
}
