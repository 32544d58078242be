import type { Item } from "../api/client";

/**
 * Returns the indices in each of two chains that the other does not have, by their longest common subsequence. Items
 * are compared by their words, which are the same in every numbering and stance.
 */
export function difference(a: Item[], b: Item[]): [Set<number>, Set<number>] {
  const same = (i: number, j: number) => a[i]?.words === b[j]?.words;
  const longest = Array.from({ length: a.length + 1 }, () => new Array<number>(b.length + 1).fill(0));
  const at = (i: number, j: number) => longest[i]?.[j] ?? 0;
  for (let i = a.length - 1; i >= 0; i -= 1) {
    for (let j = b.length - 1; j >= 0; j -= 1) {
      (longest[i] as number[])[j] = same(i, j) ? at(i + 1, j + 1) + 1 : Math.max(at(i + 1, j), at(i, j + 1));
    }
  }
  const onlyA = new Set<number>();
  const onlyB = new Set<number>();
  let [i, j] = [0, 0];
  while (i < a.length || j < b.length) {
    if (i < a.length && j < b.length && same(i, j)) {
      i += 1;
      j += 1;
    } else if (j >= b.length || (i < a.length && at(i + 1, j) >= at(i, j + 1))) {
      onlyA.add(i);
      i += 1;
    } else {
      onlyB.add(j);
      j += 1;
    }
  }
  return [onlyA, onlyB];
}

/** Returns how one list of words wordDiff another: kept, removed and added words, in order. */
export function wordDiff(before: string[], after: string[]): { text: string; kind: "same" | "gone" | "new" }[] {
  const wrap = (words: string[]) => words.map((word) => ({ words: word })) as Item[];
  const [gone, come] = difference(wrap(before), wrap(after));
  const all: { text: string; kind: "same" | "gone" | "new" }[] = [];
  let at = 0;
  before.forEach((text, place) => {
    while (come.has(at) && !gone.has(place)) {
      all.push({ text: after[at] ?? "", kind: "new" });
      at += 1;
    }
    all.push({ text, kind: gone.has(place) ? "gone" : "same" });
    at += gone.has(place) ? 0 : 1;
  });
  for (const text of after.slice(at)) {
    all.push({ text, kind: "new" });
  }
  return all;
}

/** Returns what the first list has more often than the second, each once. */
export function moreOf(first: string[], second: string[]): string[] {
  const rest = [...second];
  const more = first.filter((one) => {
    const at = rest.indexOf(one);
    if (at >= 0) {
      rest.splice(at, 1);
    }
    return at < 0;
  });
  return [...new Set(more)];
}
