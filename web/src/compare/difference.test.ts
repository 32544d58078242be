import fc from "fast-check";
import { expect, test } from "vitest";
import type { Item } from "../api/client";
import { chains, item } from "../testing/chains";
import { difference, moreOf, wordDiff } from "./difference";

const words = (chain: Item[]) => chain.map((one) => one.words);
const without = (chain: Item[], places: Set<number>) => words(chain.filter((_, at) => !places.has(at)));

/** Returns the longest common part by trying every part of the first: slow and simple. */
function longestShared(a: string[], b: string[]): number {
  let best = 0;
  for (let mask = 0; mask < 2 ** a.length; mask += 1) {
    const part = a.filter((_, at) => mask & (2 ** at));
    let at = 0;
    for (const word of b) {
      at += word === part[at] ? 1 : 0;
    }
    best = at === part.length ? Math.max(best, part.length) : best;
  }
  return best;
}

test("without what only one of them has, both are the same", () => {
  fc.assert(
    fc.property(chains, chains, (a, b) => {
      const [onlyA, onlyB] = difference(a, b);
      expect(without(a, onlyA)).toEqual(without(b, onlyB));
    }),
  );
});

test("no more is marked than has to be, against plain enumeration", () => {
  fc.assert(
    fc.property(chains, chains, (a, b) => {
      const [onlyA, onlyB] = difference(a, b);
      const shared = longestShared(words(a), words(b));
      expect(onlyA.size).toBe(a.length - shared);
      expect(onlyB.size).toBe(b.length - shared);
    }),
    { numRuns: 60 },
  );
});

test("a chain does not differ from itself in another numbering", () => {
  fc.assert(
    fc.property(chains, (chain) => {
      const renumbered = chain.map((one) => ({ ...one, text: `n${one.text}`, label: "7" }));
      expect(difference(chain, renumbered)).toEqual([new Set(), new Set()]);
    }),
  );
});

test("a slip put in between is the only mark", () => {
  const before = [item("jab"), item("cross"), item("cross")];
  const after = [item("jab"), item("cross"), item("slip lead"), item("cross")];
  expect(difference(before, after)).toEqual([new Set(), new Set([2])]);
});

test("a chain that wordDiff another shows what came and what went, and gives both back", () => {
  expect(wordDiff(["1", "2", "2"], ["1", "2", "slip-rear", "2"])).toEqual([
    { text: "1", kind: "same" },
    { text: "2", kind: "same" },
    { text: "slip-rear", kind: "new" },
    { text: "2", kind: "same" },
  ]);
  const words = fc.array(fc.constantFrom("1", "2", "3b", "exit", "slip-lead"), { maxLength: 8 });
  fc.assert(
    fc.property(words, words, (before, after) => {
      const all = wordDiff(before, after);
      expect(all.filter(({ kind }) => kind !== "new").map(({ text }) => text)).toEqual(before);
      expect(all.filter(({ kind }) => kind !== "gone").map(({ text }) => text)).toEqual(after);
    }),
  );
});

test("what is lost is what the first has more often", () => {
  expect(moreOf(["liver", "liver", "thigh"], ["liver"])).toEqual(["liver", "thigh"]);
  expect(moreOf([], ["liver"])).toEqual([]);
});
