import { keepPreviousData, queryOptions, useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { again, answered, api, type Check, type CheckRequest, isAway } from "../api/client";
import { useReachable } from "../api/connection";
import { useSettled } from "../ui/useSettled";

/** The question for one check, and its answer for good. */
export function checkOf(asked: CheckRequest) {
  const request: CheckRequest = { draw: ["card", "full"], ...asked };
  return queryOptions({
    queryKey: ["check", JSON.stringify(request)],
    queryFn: ({ signal }) =>
      answered(api.POST("/api/check", { params: { header: { "X-CSRF-Token": "" } }, body: request, signal })),
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 60_000,
    // While the server is away it is asked again until it is back.
    retry: (count, error) => isAway(error) || again(count, error),
  });
}

/** Keys that come at one moment, as from a paste or a touch of the pad, are one question, ms. */
const PAUSE = 20;
/** After which an answer is late, ms: what is shown is not about what is typed, and looks so. */
const LATE = 600;

interface Checked {
  /** The answer to what stands in the line now, or to what stood there a moment ago. */
  latest: Check | undefined;
  /** The last answer that could be read, so that the picture stays while a word is half typed. */
  readable: Check | undefined;
  /** Whether `latest` answers what stands in the line now. */
  current: boolean;
  error: unknown;
  /** Whether what is shown is about an earlier text, and the answer to this one is late or cannot be had. */
  old: boolean;
}

/** Checks as one types. Answers to what is no longer there are dropped; the picture stays until the next one is here. */
export function useCheck(request: CheckRequest): Checked {
  const key = JSON.stringify(request);
  const asked = useSettled(key, PAUSE);
  const readable = useRef<Check | undefined>(undefined);

  const question = JSON.parse(asked) as CheckRequest;
  const query = useQuery({
    ...checkOf(question),
    enabled: question.text.trim() !== "",
    placeholderData: keepPreviousData,
  });
  const reachable = useReachable();
  const empty = request.text.trim() === "";
  const current = asked === key && !query.isPlaceholderData && !query.isFetching && (query.isSuccess || empty);
  const [late, setLate] = useState(false);
  useEffect(() => {
    setLate(false);
    const timer = current || empty ? undefined : setTimeout(() => setLate(true), LATE);
    return () => clearTimeout(timer);
  }, [current, empty]);
  const error = empty ? null : (query.error ?? query.failureReason);
  const latest = empty ? undefined : query.data;
  if (empty) {
    readable.current = undefined;
  } else if (latest && latest.problems.length === 0) {
    readable.current = latest;
  }
  return {
    latest,
    readable: readable.current,
    current,
    error,
    old: !current && !empty && (late || error !== null || !reachable),
  };
}
