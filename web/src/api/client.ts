import { t } from "@lingui/core/macro";
import createClient, { type Middleware } from "openapi-fetch";
import { noteConnection } from "./connection";
import type * as Schema from "./schema";
import type { Problem } from "./schema";

export type * from "./schema";
export type ImportLine = Schema.ImportLines["lines"][number];
export type View = Schema.Views["views"][number];
export type RunCommand = Schema.CommandRequest;
export type Shown = Schema.ShownRequest["shown"][number];

/** An error answer of the server, with its sentence for people. */
export class Refusal extends Error {
  constructor(readonly problem: Problem) {
    super(problem.title);
  }
}

/** The problem shown when there is no answer. */
export const AWAY: Problem = {
  type: "away",
  status: 0,
  title: t`Cannot reach the server. What you typed is still here; try again shortly.`,
};

/** Statuses of a proxy whose server is down. */
const AWAY_STATUS = new Set([502, 503, 504]);

function isProblem(error: unknown): error is Problem {
  const problem = error as Partial<Problem> | undefined;
  return Boolean(problem?.title && problem.type);
}

/** Tells whether the server could not be reached; a refusal is an answer. */
export function isAway(error: unknown): boolean {
  return error instanceof Refusal && (error.problem.type === AWAY.type || error.problem.type === "server-away");
}

/** Number of retries when the server is busy with other long tasks of the same coach. */
const BUSY_RETRIES = 4;

/** Tells whether to retry: once, but not after a final refusal. */
export function again(count: number, error: unknown): boolean {
  if (error instanceof Refusal && error.problem.type === "busy") {
    return count < BUSY_RETRIES;
  }
  return count < 1 && !(error instanceof Refusal && error.problem.status >= 400 && error.problem.status < 500);
}

let token = "";

/** Remembers the CSRF token of the session, which is sent with every write. */
export function rememberToken(next: string): void {
  token = next;
}

const withToken: Middleware = {
  onRequest({ request }) {
    if (request.method !== "GET") {
      request.headers.set("X-CSRF-Token", token);
    }
    return request;
  },
};

export const api = createClient<Schema.paths>({ baseUrl: window.location.origin });
api.use(withToken);

/** Returns the header that names the version a write is based on. */
export const ifMatch = (version: number) => ({ "If-Match": `"${version}"` });

/** Returns the data of an answer, or throws its refusal. */
export async function answered<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  let result: { data?: T; error?: unknown; response: Response };
  try {
    result = await call;
  } catch (error) {
    if (error instanceof DOMException && error.name === "AbortError") {
      throw error;
    }
    noteConnection(false);
    throw new Refusal(AWAY);
  }
  noteConnection(!AWAY_STATUS.has(result.response.status) || isProblem(result.error));
  if (!result.response.ok) {
    throw new Refusal(isProblem(result.error) ? result.error : { ...AWAY, status: result.response.status });
  }
  return result.data as T;
}

export function refusal(error: unknown): Problem {
  return error instanceof Refusal ? error.problem : AWAY;
}
