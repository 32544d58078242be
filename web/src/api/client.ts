import { t } from "@lingui/core/macro";
import createClient, { type Middleware } from "openapi-fetch";
import createQueries from "openapi-react-query";
import { noteConnection } from "./connection";
import type * as Schema from "./schema";
import type { Problem } from "./schema";

export type * from "./schema";
export type MomentFromAbove = Schema.ViewFromAbove["moments"][number];
export type OpponentFromAbove = Schema.ViewFromAbove["opponents"][number];
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
  const problem = error as Partial<Problem> | null | undefined;
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

/** Returns the error to throw for a failed request: a cancelled one is no refusal. */
function lost(error: unknown): unknown {
  if (error instanceof Refusal || (error instanceof DOMException && error.name === "AbortError")) {
    return error;
  }
  noteConnection(false);
  return new Refusal(AWAY);
}

/** Throws what the server refuses, and notes whether it can be reached. */
const withRefusals: Middleware = {
  async onResponse({ response }) {
    const problem: unknown = response.ok ? null : await response.json().catch(() => null);
    noteConnection(!AWAY_STATUS.has(response.status) || isProblem(problem));
    if (!response.ok) {
      throw new Refusal(isProblem(problem) ? problem : { ...AWAY, status: response.status });
    }
  },
  onError({ error }) {
    throw lost(error);
  },
};

export const api = createClient<Schema.paths>({ baseUrl: window.location.origin });
api.use(withToken, withRefusals);

/** The same as queries: answers are cached under their path, and `refresh` reloads them. */
export const server = createQueries(api);

/** Returns the header that names the version a write is based on. */
export const ifMatch = (version: number) => ({ "If-Match": `"${version}"` });

/** Returns the data of an answer; a broken one counts as a server that is away. */
export async function answered<T>(call: Promise<{ data?: T }>): Promise<T> {
  try {
    return (await call).data as T;
  } catch (error) {
    throw lost(error);
  }
}

export function refusal(error: unknown): Problem {
  return error instanceof Refusal ? error.problem : AWAY;
}
