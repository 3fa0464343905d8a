import { msg } from "../messages/messages";
import type { components } from "./generated/api-types";
import { preferred } from "../units/preferred";
import { inUnits } from "../units/text";
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

/** What the server has against single fields, where that is why it refused. */
export function problemsOf(e: unknown): readonly Api["InputProblem"][] {
  return e instanceof Problem && Array.isArray(e.more.problems) ? (e.more.problems as Api["InputProblem"][]) : [];
}

/** The server cannot be reached. */
export class Unreachable extends Error {}

let me: string | undefined;
let turnedAway: () => void = () => {};

/** Whoever is signed in on this page: what it sends is for them alone, though another tab may have signed somebody else in since. */
export const speaksFor = (account: string | undefined) => (me = account);

let askAgain: () => Promise<boolean> = () => Promise.resolve(false);

/** How the password is asked for once more; answers whether it was given. */
export const whenAskedAgain = (act: () => Promise<boolean>) => (askAgain = act);

/** Resolves once the password was typed a short while ago, asking for it where it was not; false where it was not given. */
export async function fresh(): Promise<boolean> {
  try {
    await ask("/api/session/again");
    return true;
  } catch (e) {
    if (e instanceof Problem && e.more.again === true) return false;
    // Out of reach it is judged when what is done arrives.
    if (e instanceof Unreachable) return true;
    throw e;
  }
}

/** What to do when the sign-in has run out, or is somebody else's by now. */
export const whenTurnedAway = (act: () => void) => (turnedAway = act);

const token = () => /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1];

/** The headers that a request which changes something must carry. */
async function changing(): Promise<Record<string, string>> {
  if (!token()) await ask<Api["Session"]>("/api/session");
  return { "X-XSRF-TOKEN": token() ?? "", ...(me && { "X-Person": me }) };
}

interface Ask {
  method?: "GET" | "POST" | "PUT" | "DELETE";
  /** Sent as JSON; a Blob is sent as it is. */
  body?: unknown;
  version?: number;
  signal?: AbortSignal;
}

/** Asks the server; a refusal is a {@link Problem}, silence is {@link Unreachable}. */
export async function ask<T>(path: string, how: Ask = {}): Promise<T> {
  try {
    return await askOnce<T>(path, how);
  } catch (e) {
    if (e instanceof Problem && e.more.again === true && (await askAgain())) return askOnce<T>(path, how);
    throw e;
  }
}

async function askOnce<T>(path: string, { method = "GET", body, version, signal }: Ask): Promise<T> {
  const headers: Record<string, string> = {
    Accept: "application/json",
    ...(method === "GET" ? {} : await changing()),
  };
  if (body !== undefined) {
    headers["Content-Type"] = body instanceof Blob ? body.type || "application/octet-stream" : "application/json";
  }
  if (version !== undefined) headers["If-Match"] = `"${version}"`;
  const asked = Date.now();
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      headers,
      credentials: "same-origin",
      body: body === undefined || body instanceof Blob ? body : JSON.stringify(body),
      signal,
    });
  } catch (e) {
    if (signal?.aborted) throw e;
    throw new Unreachable(msg("The server cannot be reached. What you do is kept here and sent when it is back."));
  }
  const serverNow = response.headers.get("X-Now");
  if (serverNow) correct(serverNow, asked);
  const text = await response.text();
  let json: unknown;
  try {
    json = text ? JSON.parse(text) : undefined;
  } catch {
    json = undefined;
  }
  if (!response.ok) {
    // A refusal is read at once: it is said in the shop's units where it comes in.
    const p = inUnits(
      (json ?? {}) as { title?: string; detail?: string } & Record<string, unknown>,
      preferred().system,
    );
    if ((response.status === 401 && !path.startsWith("/api/session")) || p.signedInAs !== undefined) turnedAway();
    throw new Problem(
      response.status,
      p.title ?? msg("Refused"),
      p.detail ?? msg("The server answered {status}.", { status: response.status }),
      p,
    );
  }
  return json as T;
}
