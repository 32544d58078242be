import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useRef } from "react";
import type { CheckRequest, Continuations } from "../api/client";
import { checkOf } from "../check/checkOf";
import type { Checked } from "../check/useCheck";

interface Next {
  next: Continuations | undefined;
  /** Whether it continues an item within the chain rather than the last one. */
  within: boolean;
}

/**
 * What can follow: from the check for the position of the cursor, or from a request of its own for an empty line or a
 * newly selected item. The previous answer stays until then.
 */
export function useNext(request: CheckRequest, { parts, readable, current, latest }: Checked, selected: number | null) {
  const empty = request.text.trim() === "";
  const isReadable = current && latest === readable;
  const fits = parts.next && (selected === null || parts.next.after === selected) ? parts.next : undefined;
  const item = selected === null ? undefined : readable?.items[selected];
  const isAlone = empty || (isReadable && parts.next !== undefined && !fits && item !== undefined);
  const alone = useQuery({
    ...checkOf({ ...request, draw: [], with: ["next"], caret: item ? item.at + item.length : null }),
    enabled: isAlone,
    placeholderData: keepPreviousData,
  });
  const known = useRef<Next>({ next: undefined, within: false });
  // Nothing follows an unreadable line.
  const next = isAlone ? (alone.isPlaceholderData ? undefined : alone.data?.next) : isReadable ? fits : undefined;
  if (next && next !== known.current.next) {
    known.current = { next, within: next.after !== null && next.after < (readable?.items.length ?? 0) - 1 };
  }
  return { ...known.current, failed: isAlone && alone.failureReason !== null };
}
