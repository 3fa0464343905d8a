import { expect, test } from "vitest";
import type { Api } from "./client";
import { keys, newerRun, queryClient } from "./queries";

const answer = (events: number, now: string) => ({ id: 3, events, now }) as Api["RunView"];

test("an answer that was on its way while an event was taken does not put the step back in hand", () => {
  const taken = answer(8, "2026-05-05T08:00:01Z");
  queryClient.setQueryData(keys.run(3), taken);
  queryClient.setQueryData(keys.run(3), answer(7, "2026-05-05T08:00:00Z"));
  expect(queryClient.getQueryData(keys.run(3))).toBe(taken);
  const later = answer(8, "2026-05-05T08:00:05Z");
  queryClient.setQueryData(keys.run(3), later);
  expect(queryClient.getQueryData(keys.run(3))).toBe(later);
});

test("a store brought back from a backup is shown as it is", () => {
  const back = answer(5, "2026-05-05T08:02:00Z");
  expect(newerRun(answer(8, "2026-05-05T08:00:00Z"), back)).toBe(back);
});
