import { ask, type Api } from "../api/client";
import { keys, queryClient } from "../api/queries";

/** Sends something about the shop and shows what stands then, before the bench is asked again. */
export async function put(path: string, body?: unknown): Promise<void> {
  const shop = await ask<Api["ShopView"]>(path, { method: "PUT", body });
  queryClient.setQueryData<Api["BenchView"]>(keys.bench, (b) => b && { ...b, shop });
}
