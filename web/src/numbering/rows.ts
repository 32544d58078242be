import type { Numbering, NumberingRequest } from "../api/client";

/** One number as it is edited; the key stays the same while everything else changes. */
export type Row = NonNullable<NumberingRequest["numbers"]>[number] & { key: number };
/** Whether a number means a role, which the stance turns into a hand, or a hand. */
export type BoundTo = Numbering["boundTo"];

const POSITIONS: Record<BoundTo, Row["position"][]> = { role: ["lead", "rear"], hand: ["left", "right"] };

let last = 0;
const keyed = (row: Omit<Row, "key">): Row => {
  last += 1;
  return { key: last, ...row };
};

export const positionsOf = (boundTo: BoundTo): Row["position"][] => POSITIONS[boundTo];

export function rowsOf(numbering: Pick<Numbering, "numbers">): Row[] {
  return numbering.numbers.map(({ number, family, position, target, name }) =>
    keyed({ number, family, position, target, name }),
  );
}

/** A row without a number yet. */
export function newRow(family: string, boundTo: BoundTo): Row {
  return keyed({ number: "", family, position: POSITIONS[boundTo][0] ?? "lead", target: null, name: null });
}

export function changed(rows: Row[], key: number, part: Partial<Row>): Row[] {
  return rows.map((row) => (row.key === key ? { ...row, ...part } : row));
}

/** The same numbers bound to the other, as an orthodox athlete throws them: the lead hand is the left one. */
export function bound(rows: Row[], from: BoundTo, to: BoundTo): Row[] {
  return rows.map((row) => ({
    ...row,
    position: POSITIONS[to][POSITIONS[from].indexOf(row.position)] ?? row.position,
  }));
}

/** The name in an address. */
export function idOf(name: string): string {
  return name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-|-$/g, "")
    .slice(0, 40);
}
