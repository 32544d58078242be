import type { FamilyOfOne, Relative } from "../api/client";

/** A combination in the drawn tree of a family. */
export interface FamilyRow {
  one: Relative;
  /** How many generations it is from the root. */
  depth: number;
  /** Index of the row it grew from; null for the root. */
  parent: number | null;
  /** Number of items that it shares with the one it grew from, which are not drawn again. */
  shared: number;
  /** The items that it adds. */
  items: string[];
  children: number;
  isOpen: boolean;
}

/** Returns how many items two chains have in common from the start. */
function sharedItems(text: string, before: string): number {
  const [items, those] = [text.split(" "), before.split(" ")];
  const differs = items.findIndex((item, at) => item !== those[at]);
  return differs < 0 ? items.length : differs;
}

/**
 * Returns the visible rows of a family, each below the one it grew from.
 *
 * @param closed ids whose descendants are hidden
 */
export function familyRows(
  root: Relative,
  descendants: FamilyOfOne["descendants"],
  closed: ReadonlySet<number>,
): FamilyRow[] {
  const rows: FamilyRow[] = [];
  const add = (one: Relative, depth: number, parent: number | null) => {
    const children = descendants.filter((other) => other.parent === one.id);
    const before = parent === null ? "" : (rows[parent]?.one.text ?? "");
    const shared = parent === null ? 0 : sharedItems(one.text, before);
    const isOpen = children.length > 0 && !closed.has(one.id);
    const at = rows.length;
    rows.push({
      one,
      depth,
      parent,
      shared,
      items: one.text.split(" ").slice(shared),
      children: children.length,
      isOpen,
    });
    for (const child of isOpen ? children : []) {
      add(child, depth + 1, at);
    }
  };
  add(root, 0, null);
  return rows;
}
