import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import type { Check, CheckRequest, FromAbove } from "../api/client";
import { useReachable } from "../api/connection";
import { useThrottled } from "../ui/useThrottled";
import { type CheckAnswer, checkOf } from "./checkOf";

/** Time in ms between requests: a key is sent at once, those that follow within this time together. */
const PAUSE_MS = 20;
/** Time in ms after which an answer is late, and the shown result is marked as outdated. */
const LATE_MS = 600;

export interface Checked {
  /** The answer for the current line, or for an earlier one until it arrives. */
  latest: Check | undefined;
  /** The last answer that could be read, so that the picture stays while a word is half typed. */
  readable: Check | undefined;
  /** That line from above, where it was asked for; undefined until it arrives. */
  fromAbove: FromAbove | undefined;
  /** Whether `latest` belongs to the current line. */
  current: boolean;
  /** The parts for the current line, as far as they have arrived. */
  parts: Omit<CheckAnswer, "check">;
  error: unknown;
  /** Whether the shown result belongs to an earlier text, and the answer for this one is late or unavailable. */
  old: boolean;
}

const NONE: Checked["parts"] = {};

/**
 * Checks the line while typing. Outdated answers are dropped; the picture stays until the next one arrives.
 *
 * @param caret see {@link checkOf}
 */
export function useCheck(request: CheckRequest, caret?: () => number): Checked {
  const key = JSON.stringify(request);
  const asked = useThrottled(key, PAUSE_MS);
  const readable = useRef<Check | undefined>(undefined);
  const fromAbove = useRef<FromAbove | undefined>(undefined);

  const question = JSON.parse(asked) as CheckRequest;
  const query = useQuery({
    ...checkOf({ draw: ["card", "full"], ...question }, caret),
    enabled: question.text.trim() !== "",
    placeholderData: keepPreviousData,
  });
  const reachable = useReachable();
  const empty = request.text.trim() === "";
  const current = asked === key && !query.isPlaceholderData && (query.data !== undefined || empty);
  const [late, setLate] = useState(false);
  useEffect(() => {
    setLate(false);
    const timer = current || empty ? undefined : setTimeout(() => setLate(true), LATE_MS);
    return () => clearTimeout(timer);
  }, [current, empty]);
  const error = empty ? null : (query.error ?? query.failureReason);
  const latest = empty ? undefined : query.data?.check;
  if (empty) {
    readable.current = fromAbove.current = undefined;
  } else if (latest && latest.problems.length === 0) {
    // The picture from above arrives a little after its check; until then the one of the line before stays.
    fromAbove.current = query.data?.fromAbove ?? fromAbove.current;
    readable.current = latest;
  }
  return {
    latest,
    readable: readable.current,
    fromAbove: fromAbove.current,
    current,
    parts: current && !empty ? (query.data ?? NONE) : NONE,
    error,
    old: !current && !empty && (late || error !== null || !reachable),
  };
}
