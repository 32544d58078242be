import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import type { Check, CheckRequest } from "../api/client";
import { useReachable } from "../api/connection";
import { useSettled } from "../ui/useSettled";
import { type CheckAnswer, checkOf } from "./checkOf";

/** Keys that come at one moment, as from a paste or a touch of the pad, are one question, ms. */
const PAUSE = 20;
/** After which an answer is late, ms: what is shown is not about what is typed, and looks so. */
const LATE = 600;

export interface Checked {
  /** The answer to what stands in the line now, or to what stood there a moment ago. */
  latest: Check | undefined;
  /** The last answer that could be read, so that the picture stays while a word is half typed. */
  readable: Check | undefined;
  /** Whether `latest` answers what stands in the line now. */
  current: boolean;
  /** What was asked for beside the check of what stands in the line now, as far as it is here. */
  parts: Omit<CheckAnswer, "check">;
  error: unknown;
  /** Whether what is shown is about an earlier text, and the answer to this one is late or cannot be had. */
  old: boolean;
}

const NONE: Checked["parts"] = {};

/**
 * Checks as one types. Answers to what is no longer there are dropped; the picture stays until the next one is here.
 *
 * @param caret see {@link checkOf}
 */
export function useCheck(request: CheckRequest, caret?: () => number): Checked {
  const key = JSON.stringify(request);
  const asked = useSettled(key, PAUSE);
  const readable = useRef<Check | undefined>(undefined);

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
    const timer = current || empty ? undefined : setTimeout(() => setLate(true), LATE);
    return () => clearTimeout(timer);
  }, [current, empty]);
  const error = empty ? null : (query.error ?? query.failureReason);
  const latest = empty ? undefined : query.data?.check;
  if (empty) {
    readable.current = undefined;
  } else if (latest && latest.problems.length === 0) {
    readable.current = latest;
  }
  return {
    latest,
    readable: readable.current,
    current,
    parts: current && !empty ? (query.data ?? NONE) : NONE,
    error,
    old: !current && !empty && (late || error !== null || !reachable),
  };
}
