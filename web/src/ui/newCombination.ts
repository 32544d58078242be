import type { Combination } from "../api/client";

/** What a new combination begins with. */
export type Beginning = Partial<Pick<Combination, "text" | "stance" | "rules" | "name" | "themes" | "note">>;

/** The state of an address that opens the bench with a new combination; what stood on it is laid aside. */
export interface Fresh {
  fresh: Beginning;
}

/** An empty bench. */
export const FRESH: Fresh = { fresh: {} };

export function isFresh(state: unknown): state is Fresh {
  return typeof state === "object" && state !== null && "fresh" in state;
}
