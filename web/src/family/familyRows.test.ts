import { expect, test } from "vitest";
import type { FamilyOfOne, Relative } from "../api/client";
import { familyRows } from "./familyRows";

const one = (id: number, text: string) => ({ id, name: `No. ${id}`, text }) as Relative;
const child = (id: number, text: string, parent: number) =>
  ({ ...one(id, text), parent }) as FamilyOfOne["descendants"][number];
const DESCENDANTS = [child(2, "1 2 3 exit", 1), child(3, "1 2 3 2 exit", 2), child(4, "1 2 6", 1)];

test("each combination is below the one it grew from and draws only what it adds", () => {
  const rows = familyRows(one(1, "1 2 exit"), DESCENDANTS, new Set());

  expect(
    rows.map(({ one: { id }, depth, parent, shared, items }) => [id, depth, parent, shared, items.join(" ")]),
  ).toEqual([
    [1, 0, null, 0, "1 2 exit"],
    [2, 1, 0, 2, "3 exit"],
    [3, 2, 1, 3, "2 exit"],
    [4, 1, 0, 2, "6"],
  ]);
});

test("a closed combination hides what grew from it", () => {
  const rows = familyRows(one(1, "1 2 exit"), DESCENDANTS, new Set([2]));

  expect(rows.map(({ one: { id } }) => id)).toEqual([1, 2, 4]);
  expect(rows[1]).toMatchObject({ children: 1, isOpen: false });
});
