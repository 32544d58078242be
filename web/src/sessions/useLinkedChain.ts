import { useQueryClient } from "@tanstack/react-query";
import { answered, api, type CombinationRow } from "../api/client";
import type { PlanCombination } from "../api/schema";
import { checkOf } from "../check/checkOf";
import { useStable } from "../ui/useStable";
import { usePlanContext } from "./planContext";

/** Number of combinations that are offered while typing. */
export const MAX_OFFERED = 8;
/** Shortest text that counts as the beginning of a name. */
const MIN_NAME = 2;

/** A chain for a plan; one of the library has its name, too. */
export type Addable = Pick<CombinationRow, "text" | "notation" | "stance"> &
  Partial<Pick<CombinationRow, "id" | "name" | "version" | "themes">>;

/**
 * Returns a combination of the library as a plan stores it.
 *
 * @param numbering of the plan; rows have the numbers of the coach, and the notation that of parity
 */
export function planned(row: Addable, numbering: string): PlanCombination {
  const chain = numbering === "parity" ? row.notation : row.text;
  const { stance, id, name, version, themes = [] } = row;
  return id === undefined
    ? { chain, stance }
    : { chain, stance, name, id, version, ...(themes.length > 0 && { themes }) };
}

/**
 * Returns the combination that a typed text names: one with this name, the chain itself where it can be read, or one
 * whose name begins with the text.
 *
 * @param notation of the text read as a chain; null where it cannot be read
 */
export function named(text: string, notation: string | null, rows: CombinationRow[]): CombinationRow | undefined {
  const typed = text.trim().toLowerCase();
  return (
    rows.find(({ name }) => name.toLowerCase() === typed) ??
    (notation !== null
      ? rows.find((row) => row.notation === notation)
      : typed.length >= MIN_NAME
        ? rows.find(({ name }) => name.toLowerCase().startsWith(typed))
        : undefined)
  );
}

/**
 * Returns a function that finds the combination for a typed text. A chain that is in the library gets its name; another
 * one is written in the numbers of the plan, and what cannot be read stays as typed, with its problem beside it.
 */
export function useLinkedChain(): (text: string) => Promise<PlanCombination> {
  const queries = useQueryClient();
  const { content } = usePlanContext();
  return useStable(async (text: string) => {
    const typed: PlanCombination = { chain: text, stance: "orthodox" };
    try {
      const [check, found] = await Promise.all([
        queries.fetchQuery({
          ...checkOf({ text, stance: "orthodox", numbering: content.numbering, readIn: content.numbering, draw: [] }),
          retry: false,
        }),
        // Not from the cache: the list of the field is cancelled when the field goes.
        answered(api.GET("/api/combinations", { params: { query: { q: text, size: MAX_OFFERED, closest: true } } })),
      ]);
      const readable = check.check.problems.length === 0 ? check.check : null;
      const row = named(text, readable?.notation ?? null, found.combinations);
      return row ? planned(row, content.numbering) : { ...typed, chain: readable?.text ?? text };
    } catch {
      // Without the server the text is kept; the planner checks it once the connection is back.
      return typed;
    }
  });
}
