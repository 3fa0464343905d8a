import { ask, type Api } from "../api/client";

/** Sends an act or a whole item and hands back the shelf as it then stands. */
export const send = (path: string, method: "POST" | "PUT", body: unknown, version?: number) =>
  ask<Api["ShelfLine"][]>(path, { method, body, version });
