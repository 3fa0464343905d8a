import { keepPreviousData } from "@tanstack/react-query";
import { ask, type Api } from "../../api/client";
import { useTold } from "../../api/queries";

/** What the server makes of a mark or of bench tests, asked anew while they are typed. */
export function useIdentified(mark: string, tests: readonly Api["TestDraft"][], enabled = true) {
  return useTold({
    queryKey: ["identify", mark, tests],
    queryFn: () => ask<Api["IdentifyView"]>("/api/identify", { method: "POST", body: { mark, tests } }),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    enabled,
  });
}
