import type { MomentFromAbove } from "../api/client";

/** Returns the place of the moment that is on at that time of the chain: the last one that has begun. */
export function momentAt(moments: readonly MomentFromAbove[], ms: number): number {
  return Math.max(
    0,
    moments.findLastIndex((moment) => moment.fromMs <= ms),
  );
}

/** Returns the place of the first moment of an item; that of the start when nothing is selected. */
export function momentOf(moments: readonly MomentFromAbove[], at: number | null): number {
  return Math.max(
    0,
    moments.findIndex((moment) => moment.at === at),
  );
}
