import "fake-indexeddb/auto";
import { QueryClient } from "@tanstack/react-query";
import { describe, expect, it } from "vitest";
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
});
