import type { components } from "./generated/api-types";
import { correct } from "./clock";

/** Shapes of the API, generated from its description. */
export type Api = components["schemas"];

/** An RFC 9457 problem as the server tells it. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    detail: string,
    readonly more: Record<string, unknown>,
  ) {
    super(detail);
  }
}

/** The server cannot be reached. */
export class Unreachable extends Error {}

const token = () => /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1];

interface Ask {
  method?: "GET" | "POST" | "PUT" | "DELETE";
  body?: unknown;
  version?: number;
  signal?: AbortSignal;
}

/** Asks the server; a refusal is a {@link Problem}, silence is {@link Unreachable}. */
export async function ask<T>(path: string, { method = "GET", body, version, signal }: Ask = {}): Promise<T> {
  if (method !== "GET" && !token()) {
    await ask<Api["Session"]>("/api/session");
  }
  const headers: Record<string, string> = { Accept: "application/json" };
  const csrf = token();
  if (csrf && method !== "GET") headers["X-XSRF-TOKEN"] = csrf;
  if (body !== undefined) headers["Content-Type"] = "application/json";
  if (version !== undefined) headers["If-Match"] = `"${version}"`;
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      headers,
      credentials: "same-origin",
      body: body === undefined ? undefined : JSON.stringify(body),
      signal,
    });
  } catch (e) {
    if (signal?.aborted) throw e;
    throw new Unreachable("The server cannot be reached. What you do is kept here and sent when it is back.");
  }
  const text = await response.text();
  let json: unknown;
  try {
    json = text ? JSON.parse(text) : undefined;
  } catch {
    json = undefined;
  }
  if (!response.ok) {
    const p = (json ?? {}) as { title?: string; detail?: string } & Record<string, unknown>;
    throw new Problem(response.status, p.title ?? "Refused", p.detail ?? `The server answered ${response.status}.`, p);
  }
  if (json && typeof json === "object" && "now" in json && typeof json.now === "string") {
    correct(json.now);
  }
  return json as T;
}
