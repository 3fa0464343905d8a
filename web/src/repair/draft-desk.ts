import { msg } from "../messages/messages";
import { ask, type Api, Problem, Unreachable } from "../api/client";

export type Draft = Api["RepairDraft"];

/** How safe the draft is: with the server, on its way, kept here only, or crossed by somebody else's change. */
export type Safety = "saved" | "saving" | "kept" | "crossed";

/** What the screen shows of a draft. */
export interface DraftState {
  draft?: Draft;
  frozenAt?: string;
  /** Why a run is being planned anew. */
  anew?: string;
  /** What was computed from the draft as it stands; absent where it cannot be. */
  workup?: Api["Workup"];
  /** The last that could be computed. */
  lastWorkup?: Api["Workup"];
  problems: readonly Api["InputProblem"][];
  safety: Safety;
  crossedBy: string;
  past: readonly Draft[];
  /** Why the repair cannot be shown at all. */
  failed?: string;
}

interface Kept {
  draft: Draft;
  version: number;
}

const draftsOf = (account: string) => `vanemend.draft.${account}.`;

/** How many drafts of {@code account} are kept here and not with the server yet. */
export const keptDrafts = (account: string, store: Storage = localStorage) =>
  Object.keys(store).filter((k) => k.startsWith(draftsOf(account))).length;

const PREVIEW_MS = 30;
const SAVE_MS = 500;
const AGAIN_MS = 2500;
const MOST_UNDOS = 100;

/**
 * A repair's draft on this screen. Every change is kept in the browser at once, computed by the server while typing, and saved under
 * its version a moment later; what cannot be saved stays here and is tried again. Nothing that somebody else changed is overwritten
 * without a word.
 */
export class DraftDesk {
  private state: DraftState = { problems: [], safety: "saved", crossedBy: "", past: [] };
  private readonly listeners = new Set<() => void>();
  private version = 0;
  private theirs = 0;
  private dirty: Draft | undefined;
  private previewTimer: ReturnType<typeof setTimeout> | undefined;
  private saveTimer: ReturnType<typeof setTimeout> | undefined;
  private previewing: AbortController | undefined;
  private saving: Promise<void> | undefined;

  constructor(
    private readonly id: number,
    /** Whose draft it is: what is kept here belongs to who typed it. */
    private readonly by: string,
    private readonly server: typeof ask = ask,
    private readonly store: Pick<Storage, "getItem" | "setItem" | "removeItem"> = localStorage,
  ) {}

  snapshot = (): DraftState => this.state;

  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Reads the repair; what was typed here and is not with the server yet goes before. */
  async load(): Promise<void> {
    if (this.dirty) {
      this.preview(this.dirty);
      return;
    }
    let view: Api["RepairView"];
    try {
      view = await this.server<Api["RepairView"]>(`/api/repairs/${this.id}`);
    } catch (e) {
      this.change({ failed: e instanceof Error ? e.message : String(e) });
      return;
    }
    // Typed or saved while the answer was on its way: it is older than what stands here.
    if (this.dirty || view.version < this.version) return;
    const kept = this.kept();
    if (kept && !view.frozenAt) {
      this.version = kept.version;
      this.dirty = kept.draft;
      this.change({ draft: kept.draft, anew: view.anew, failed: undefined });
      this.preview(kept.draft);
      await this.save();
    } else {
      this.adopt(view);
    }
  }

  private adopt(view: Api["RepairView"]): void {
    this.version = view.version;
    this.change({ draft: view.draft, frozenAt: view.frozenAt, anew: view.anew, failed: undefined });
    this.worked(view);
  }

  private worked(view: Pick<Api["PreviewView"], "workup" | "problems">): void {
    this.change({
      workup: view.workup,
      problems: view.problems,
      lastWorkup: view.workup ?? this.state.lastWorkup,
    });
  }

  /** A step of the technician's; `undo` takes it back. */
  step(change: (draft: Draft) => Draft): void {
    const { draft, past } = this.state;
    if (!draft) return;
    this.change({ past: [...past.slice(1 - MOST_UNDOS), draft] });
    this.put(change(draft));
  }

  undo(): void {
    const last = this.state.past.at(-1);
    if (!last) return;
    this.change({ past: this.state.past.slice(0, -1) });
    this.put(last);
  }

  private put(draft: Draft): void {
    this.dirty = draft;
    this.change({ draft, safety: this.state.safety === "saved" ? "saving" : this.state.safety });
    this.keep();
    this.preview(draft);
    clearTimeout(this.saveTimer);
    if (this.state.safety !== "crossed") {
      this.saveTimer = setTimeout(() => void this.save(), SAVE_MS);
    }
  }

  private preview(draft: Draft): void {
    clearTimeout(this.previewTimer);
    this.previewTimer = setTimeout(() => {
      this.previewing?.abort();
      const abort = new AbortController();
      this.previewing = abort;
      this.server<Api["PreviewView"]>("/api/preview", { method: "POST", body: draft, signal: abort.signal }).then(
        (view) => {
          if (!abort.signal.aborted) this.worked(view);
        },
        (e: unknown) => {
          if (!abort.signal.aborted && e instanceof Unreachable) this.change({ safety: "kept" });
          else if (!abort.signal.aborted && e instanceof Problem) this.refusedPreview(e);
        },
      );
    }, PREVIEW_MS);
  }

  private refusedPreview(e: Problem): void {
    this.change({
      workup: undefined,
      problems: [{ field: String(e.more.field ?? ""), given: "?", expected: "", message: e.message }],
    });
  }

  /** Saves under the version that was read, or over `over` when the technician said so. */
  save(over?: number): Promise<void> {
    this.saving = (this.saving ?? Promise.resolve()).then(() => this.saveNow(over));
    return this.saving;
  }

  private async saveNow(over?: number): Promise<void> {
    const mine = this.dirty;
    if (!mine) return;
    clearTimeout(this.saveTimer);
    this.change({ safety: "saving" });
    try {
      const view = await this.server<Api["RepairView"]>(`/api/repairs/${this.id}`, {
        method: "PUT",
        body: mine,
        version: over ?? this.version,
      });
      this.version = view.version;
      if (this.dirty === mine) {
        this.dirty = undefined;
        this.store.removeItem(this.key());
        this.change({ safety: "saved" });
      } else {
        this.keep();
        this.saveTimer = setTimeout(() => void this.save(), SAVE_MS);
      }
    } catch (e) {
      if (e instanceof Problem && e.status === 412) {
        this.theirs = Number(e.more.version);
        this.change({ safety: "crossed", crossedBy: String(e.more.changedBy ?? msg("Somebody")) });
      } else {
        this.change({ safety: "kept" });
        if (!(e instanceof Problem) || e.status >= 500 || e.status === 401) {
          this.saveTimer = setTimeout(() => void this.save(), AGAIN_MS);
        }
      }
    }
  }

  /** Saves at once and gives the version that the server then has. */
  async settle(): Promise<number> {
    await this.save();
    return this.version;
  }

  /** Writes what is here over what somebody else wrote. */
  keepMine(): Promise<void> {
    return this.save(this.theirs);
  }

  /** Drops what is here and reads what somebody else wrote. */
  async takeTheirs(): Promise<void> {
    this.dirty = undefined;
    this.store.removeItem(this.key());
    this.change({ safety: "saved", past: [] });
    await this.load();
  }

  private key(): string {
    return `${draftsOf(this.by)}${this.id}`;
  }

  private keep(): void {
    this.store.setItem(
      this.key(),
      JSON.stringify({ draft: this.dirty, version: this.version } satisfies Partial<Kept>),
    );
  }

  private kept(): Kept | undefined {
    try {
      const text = this.store.getItem(this.key());
      return text ? (JSON.parse(text) as Kept) : undefined;
    } catch {
      return undefined;
    }
  }

  private change(next: Partial<DraftState>): void {
    this.state = { ...this.state, ...next };
    this.listeners.forEach((l) => l());
  }
}
