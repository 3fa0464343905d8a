// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";

/** This tablet is two hours behind the server. */
const TABLET = Date.parse("2027-06-21T10:00:00Z");
const BEHIND_MS = 2 * 3_600_000;
const server = (ms: number) => new Date(ms + BEHIND_MS).toISOString();

async function clock() {
  vi.resetModules();
  localStorage.clear();
  return await import("./clock");
}

describe("the server's clock on a tablet", () => {
  beforeEach(() => vi.useFakeTimers({ now: TABLET, toFake: ["Date"] }));
  afterEach(() => vi.useRealTimers());

  it("is taken over from an answer, and kept for the next page", async () => {
    const { correct, now } = await clock();
    correct(server(TABLET), TABLET);
    expect(now() - Date.now()).toBe(BEHIND_MS);
    vi.resetModules();
    expect((await import("./clock")).now() - Date.now()).toBe(BEHIND_MS);
  });

  it("is not set back by an answer that took long", async () => {
    const { correct, now } = await clock();
    correct(server(TABLET), TABLET);
    vi.setSystemTime(TABLET + 12_000);
    // Asked at once, stamped as it came in, here twelve seconds later.
    correct(server(TABLET), TABLET);
    expect(now()).toBe(TABLET + 12_000 + BEHIND_MS);
  });

  it("is taken over as well as a slow answer allows, and better from a quick one", async () => {
    const { correct, now } = await clock();
    vi.setSystemTime(TABLET + 8_000);
    correct(server(TABLET + 3_000), TABLET);
    const off = now() - Date.now() - BEHIND_MS;
    expect(off).toBeGreaterThanOrEqual(-5_000);
    expect(off).toBeLessThanOrEqual(3_000);
    vi.setSystemTime(TABLET + 20_000);
    correct(server(TABLET + 20_010), TABLET + 20_000, TABLET + 20_040);
    expect(Math.abs(now() - Date.now() - BEHIND_MS)).toBeLessThanOrEqual(40);
  });

  it("stands still where it was a little ahead, so that nothing done comes before what was done earlier", async () => {
    const { correct, now } = await clock();
    correct(server(TABLET + 5_000), TABLET);
    const before = now();
    correct(server(TABLET), TABLET);
    expect(now()).toBe(before);
    vi.setSystemTime(TABLET + 6_000);
    expect(now()).toBe(TABLET + 6_000 + BEHIND_MS);
  });

  it("is set back where it was far ahead", async () => {
    const { correct, now } = await clock();
    correct(server(TABLET + 3_600_000), TABLET);
    now();
    correct(server(TABLET), TABLET);
    expect(now()).toBe(TABLET + BEHIND_MS);
  });

  it("does not mind what is no time", async () => {
    const { correct, now } = await clock();
    correct("soon", TABLET);
    expect(now()).toBe(TABLET);
  });
});
