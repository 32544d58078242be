import { useQuery, useQueryClient } from "@tanstack/react-query";
import type { Check, CheckRequest, ItemEdit, Target } from "../api/client";
import { checkOf } from "../check/checkOf";
import type { KeyedEdit } from "../combination-line/CombinationLine";
import { useStable } from "../ui/useStable";

const HEIGHTS: Target[] = ["leg", "body", "head"];

/** Returns the edit for a key; undefined when the item does not allow it. */
export function editOf(what: KeyedEdit, edits: ItemEdit[], target: Target | undefined): ItemEdit | undefined {
  if (what !== "higher" && what !== "lower") {
    return edits.find((edit) => edit.kind === what);
  }
  const from = target === undefined ? -1 : HEIGHTS.indexOf(target);
  const way = what === "higher" ? HEIGHTS.slice(from + 1) : HEIGHTS.slice(0, Math.max(0, from)).reverse();
  // For a punch, head and body follow each other directly.
  return way.map((to) => edits.find((edit) => edit.target === to)).find(Boolean);
}

/**
 * The changes that can be made by hand to the items of a line, from the core.
 *
 * @param check of the text in the line; undefined while it is not known
 * @param picked the item that is asked about
 */
export function useItemEdits(
  request: CheckRequest,
  check: Check | undefined,
  picked: number | null,
  replace: (text: string, item: number | null) => void,
) {
  const queries = useQueryClient();
  const question = (at: number | null) => {
    const item = at === null ? undefined : check?.items[at];
    return checkOf({ ...request, draw: [], with: ["edits"], caret: item ? item.at + item.length : 0 });
  };
  const asked = useQuery({ ...question(picked), enabled: picked !== null && check?.items[picked] !== undefined });
  const make = useStable((edit: ItemEdit) => {
    const left = (check?.items.length ?? 1) - 2;
    replace(edit.text, edit.at ?? (picked === null ? null : Math.max(0, Math.min(picked, left))));
  });
  const byKey = useStable(async (what: KeyedEdit, at: number) => {
    const item = check?.items[at];
    if (item) {
      const { edits } = await queries.fetchQuery(question(at));
      const edit = editOf(what, edits?.edits ?? [], item.target);
      if (edit) {
        replace(edit.text, edit.at ?? Math.max(0, Math.min(at, (check?.items.length ?? 1) - 2)));
      }
    }
  });
  return { edits: picked === null ? undefined : asked.data?.edits?.edits, make, byKey };
}
