import type { Numbering, NumberingRequest } from "../api/client";

/** A number while it is edited, with a stable key for React. */
export type Row = NonNullable<NumberingRequest["numbers"]>[number] & { key: number };
/** Whether a number means a role, which depends on the stance, or a hand. */
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

/** Returns a row without a number. */
export function newRow(family: string, boundTo: BoundTo): Row {
  return keyed({ number: "", family, position: POSITIONS[boundTo][0] ?? "lead", target: null, name: null });
}

export function changed(rows: Row[], key: number, part: Partial<Row>): Row[] {
  return rows.map((row) => (row.key === key ? { ...row, ...part } : row));
}

/** Converts numbers between role and hand for an orthodox athlete: the lead hand is the left one. */
export function bound(rows: Row[], from: BoundTo, to: BoundTo): Row[] {
  return rows.map((row) => ({
    ...row,
    position: POSITIONS[to][POSITIONS[from].indexOf(row.position)] ?? row.position,
  }));
}

/** Returns the id of a numbering, made from its name. */
export function idOf(name: string): string {
  return name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-|-$/g, "")
    .slice(0, 40);
}
