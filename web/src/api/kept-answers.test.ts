import "fake-indexeddb/auto";
import { QueryClient, QueryObserver } from "@tanstack/react-query";
import { describe, expect, it, vi } from "vitest";
import { KeptAnswers } from "./kept-answers";

const client = () => new QueryClient({ defaultOptions: { queries: { retry: false } } });

describe("kept answers", () => {
  it("give a later page who it is, the bench and the runs, and nothing else", async () => {
    const first = client();
    first.setQueryData(["session"], { account: { id: "tam" } });
    first.setQueryData(["run", 7], { id: 7, events: 3 });
    first.setQueryData(["people"], ["not kept"]);
    await new KeptAnswers(first, "a").keep();
    const later = client();
    await new KeptAnswers(later, "a").restore();
    expect(later.getQueryData(["session"])).toEqual({ account: { id: "tam" } });
    expect(later.getQueryData(["run", 7])).toEqual({ id: 7, events: 3 });
    expect(later.getQueryData(["people"])).toBeUndefined();
    expect(later.getQueryState(["run", 7])?.isInvalidated).toBe(true);
  });

  it("are forgotten when somebody signs out, and nothing that comes in after is kept", async () => {
    const first = client();
    const kept = new KeptAnswers(first, "b");
    first.setQueryData(["bench"], { live: [] });
    await kept.keep();
    const stop = kept.follow();
    await kept.forget();
    first.setQueryData(["bench"], { live: [1] });
    const later = client();
    await new KeptAnswers(later, "b").restore();
    expect(later.getQueryData(["bench"])).toBeUndefined();
    stop();
  });

  it("are written only when an answer says something else, not whenever one is looked at", async () => {
    vi.useFakeTimers({ toFake: ["setTimeout", "clearTimeout", "Date"] });
    try {
      const first = client();
      const kept = new KeptAnswers(first, "c");
      const keep = vi.spyOn(kept, "keep");
      const stop = kept.follow();
      first.setQueryData(["bench"], { live: [] });
      await vi.advanceTimersByTimeAsync(2_000);
      expect(keep).toHaveBeenCalledTimes(1);
      first.setQueryData(["bench"], { live: [] });
      const looking = new QueryObserver(first, { queryKey: ["bench"], enabled: false }).subscribe(() => undefined);
      await vi.advanceTimersByTimeAsync(2_000);
      expect(keep).toHaveBeenCalledTimes(1);
      first.setQueryData(["bench"], { live: [1] });
      await vi.advanceTimersByTimeAsync(2_000);
      expect(keep).toHaveBeenCalledTimes(2);
      await vi.advanceTimersByTimeAsync(2 * 3_600_000);
      first.setQueryData(["bench"], { live: [1] });
      await vi.advanceTimersByTimeAsync(2_000);
      expect(keep).toHaveBeenCalledTimes(3);
      looking();
      stop();
    } finally {
      vi.useRealTimers();
    }
  });
});
