import type { Combination } from "../api/client";

/** The initial values of a new combination. */
export type Beginning = Partial<Pick<Combination, "text" | "stance" | "rules" | "name" | "themes" | "note">>;

/** The location state that opens the bench for a new combination; the previous line is set aside. */
export interface Fresh {
  fresh: Beginning;
}

/** An empty bench. */
export const FRESH: Fresh = { fresh: {} };

export function isFresh(state: unknown): state is Fresh {
  return typeof state === "object" && state !== null && "fresh" in state;
}
