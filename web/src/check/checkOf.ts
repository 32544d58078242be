import { queryOptions, experimental_streamedQuery as streamedQuery } from "@tanstack/react-query";
import {
  AWAY,
  again,
  answered,
  api,
  type Check,
  type CheckRequest,
  type Continuations,
  type FromAbove,
  type ItemEdits,
  isAway,
  type Matches,
  type Mends,
  Refusal,
} from "../api/client";
import { noteConnection } from "../api/connection";
import { keys } from "../api/keys";
import { linesOf } from "../api/lines";

/** A check with the requested parts; a part is missing until its line arrives. */
export interface CheckAnswer {
  check: Check;
  /** Null for a text that cannot be read. */
  fromAbove?: FromAbove | null;
  next?: Continuations;
  edits?: ItemEdits;
  /** Null while the library is unreachable. */
  similar?: Matches | null;
  mends?: Mends;
}
type Part = NonNullable<CheckRequest["with"]>[number];

/**
 * Yields the check, then its parts, as their lines arrive.
 *
 * @throws Refusal when the server refuses, or when the answer ends before all of it has come
 */
async function* ask(request: CheckRequest, signal: AbortSignal): AsyncGenerator<Partial<CheckAnswer>> {
  const body = await answered(
    api.POST("/api/check", { body: request, signal, headers: { Accept: "application/x-ndjson" }, parseAs: "stream" }),
  );
  const missing = new Set<string>(request.with);
  let isFirst = true;
  let isCut = false;
  try {
    for await (const line of linesOf<Check | Pick<CheckAnswer, Part>>(body as ReadableStream<Uint8Array>)) {
      yield isFirst ? { check: line as Check } : (line as Pick<CheckAnswer, Part>);
      for (const part of isFirst ? [] : Object.keys(line)) {
        missing.delete(part);
      }
      isFirst = false;
    }
  } catch (error) {
    if (error instanceof DOMException && error.name === "AbortError") {
      throw error;
    }
    isCut = true;
  }
  if ((isCut || missing.size > 0) && !signal.aborted) {
    noteConnection(false);
    throw new Refusal(AWAY);
  }
}

function isWhole(answer: CheckAnswer, request: CheckRequest): boolean {
  return (request.with ?? []).every((part) => part in answer);
}

/**
 * The query for one check, cached for good.
 *
 * @param caret where the cursor is when the request is sent; the request is the same for every place
 * @example useQuery(checkOf({ text: "1 2", draw: ["row"] })).data?.check.verdict
 */
export function checkOf(request: CheckRequest, caret?: () => number) {
  return queryOptions<CheckAnswer>({
    queryKey: keys.check(JSON.stringify(request)),
    queryFn: streamedQuery({
      streamFn: ({ signal }) => ask(caret ? { ...request, caret: caret() } : request, signal),
      // The first line is the check.
      reducer: (before: CheckAnswer, part: Partial<CheckAnswer>) => ({ ...before, ...part }),
      initialValue: {} as CheckAnswer,
      // Each part replaces the previous one when it arrives.
      refetchMode: "append",
    }),
    // An incomplete answer is requested again when it is needed.
    staleTime: ({ state: { data } }) => (data && isWhole(data, request) ? Number.POSITIVE_INFINITY : 0),
    gcTime: 60_000,
    // Comparing a whole picture with the previous one is slower than drawing it.
    structuralSharing: false,
    // While the server is unreachable the request is repeated.
    retry: (count, error) => isAway(error) || again(count, error),
  });
}
