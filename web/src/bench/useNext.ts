import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useRef } from "react";
import type { CheckRequest, Continuations } from "../api/client";
import { checkOf } from "../check/checkOf";
import type { Checked } from "../check/useCheck";

/**
 * What can follow: as the check answers it for where the cursor stood, or asked alone for an empty line and for an item
 * that was selected since. What was known last stays until then.
 */
export function useNext(request: CheckRequest, { parts, readable, current, latest }: Checked, selected: number | null) {
  const empty = request.text.trim() === "";
  const fits = parts.next && (selected === null || parts.next.after === selected) ? parts.next : undefined;
  const item = selected === null ? undefined : readable?.items[selected];
  const alone = useQuery({
    ...checkOf({ ...request, draw: [], with: ["next"], caret: item ? item.at + item.length : null }),
    enabled: empty || (current && latest === readable && parts.next !== undefined && !fits && item !== undefined),
    placeholderData: keepPreviousData,
  });
  const asked = empty || (parts.next && !fits);
  const known = useRef<Continuations | undefined>(undefined);
  // Nothing follows what cannot be read.
  const now = asked ? (alone.isPlaceholderData ? undefined : alone.data?.next) : latest === readable ? fits : undefined;
  known.current = now ?? known.current;
  const after = known.current?.after ?? null;
  return {
    next: known.current,
    /** Whether an item within the chain is followed rather than the last one. */
    within: after !== null && after < (readable?.items.length ?? 0) - 1,
    failed: asked ? alone.failureReason !== null : false,
  };
}
