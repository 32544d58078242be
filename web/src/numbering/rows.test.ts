import fc from "fast-check";
import { expect, test } from "vitest";
import { NUMBERINGS } from "../testing/facts";
import { bound, changed, idOf, newRow, positionsOf, type Row, rowsOf } from "./rows";

const NUMBERING = NUMBERINGS.numberings[0] ?? { numbers: [] };
const without = (rows: Row[]) => rows.map(({ key: _, ...row }) => row);

test("every row has its own key, also when the same numbering is read twice", () => {
  const rows = [...rowsOf(NUMBERING), ...rowsOf(NUMBERING), newRow("hook", "role")];
  expect(new Set(rows.map((row) => row.key)).size).toBe(rows.length);
});

test("a change is to one row alone", () => {
  const rows = rowsOf(NUMBERING);
  fc.assert(
    fc.property(fc.nat({ max: rows.length - 1 }), fc.string(), (at, number) => {
      const after = changed(rows, rows[at]?.key ?? 0, { number });
      expect(after[at]?.number).toBe(number);
      expect(after.filter((_, other) => other !== at)).toEqual(rows.filter((_, other) => other !== at));
    }),
  );
});

test("numbers bound to the hand and back are the same, and the lead is the left", () => {
  const rows: Row[] = (["lead", "rear"] as const).map((position) => ({ ...newRow("hook", "role"), position }));
  const hands = bound(rows, "role", "hand");
  expect(hands.map((row) => row.position)).toEqual(["left", "right"]);
  expect(bound(hands, "hand", "role")).toEqual(rows);
  expect(bound(rows, "role", "role")).toEqual(rows);
});

test("a new row is bound like its numbering", () => {
  for (const boundTo of ["role", "hand"] as const) {
    expect(positionsOf(boundTo)).toContain(newRow("hook", boundTo).position);
  }
});

test("a row holds all that the numbering says of a number", () => {
  const numbers = [
    { number: "7", family: "hook", position: "lead", target: "body", name: "dig" } as const,
    { number: "1", family: "straight", position: "lead", target: null, name: null } as const,
  ];
  expect(without(rowsOf({ numbers } as unknown as Parameters<typeof rowsOf>[0]))).toEqual(numbers);
});

test.each([
  ["Saltworks numbers", "saltworks-numbers"],
  ["  Ours!  ", "ours"],
  ["Éclair", "clair"],
  ["!!!", ""],
  ["a".repeat(60), "a".repeat(40)],
])("the numbering %s has the address %s", (name, id) => {
  expect(idOf(name)).toBe(id);
});
