import fc from "fast-check";
import { beforeEach, expect, test, vi } from "vitest";
import type { Combination } from "../api/client";
import { addressOf, type Draft, draftOf, EMPTY, forget, keep, recall } from "./draft";

const drafts: fc.Arbitrary<Draft> = fc.record({
  text: fc.string({ minLength: 1 }),
  stance: fc.constantFrom("orthodox" as const, "southpaw" as const),
  rules: fc.constantFrom("boxing" as const, "kickboxing" as const, "all-limbs" as const),
  numbering: fc.constantFrom("parity", "body-pairs", "six", "hands", "own-3"),
  name: fc.string(),
  themes: fc.array(fc.string(), { maxLength: 3 }),
  level: fc.constantFrom(null, 1, 2, 3),
  note: fc.string(),
  basedOn: fc.constantFrom(null, 1, 7),
});
const nowhere = new URLSearchParams();

let stored: Map<string, string>;
beforeEach(() => {
  stored = new Map();
  vi.stubGlobal("localStorage", {
    getItem: (key: string) => stored.get(key) ?? null,
    setItem: (key: string, value: string) => stored.set(key, value),
    removeItem: (key: string) => stored.delete(key),
  });
});

test("a level that was not chosen follows the check", () => {
  const stored = { text: "1 2", level: 2, version: 4 } as Combination;
  expect(draftOf({ ...stored, levelChosen: false }, "parity").level).toBeNull();
  expect(draftOf({ ...stored, levelChosen: true }, "parity").level).toBe(2);
});

test("what was typed is there after a reload, whether the address still says it or not", () => {
  fc.assert(
    fc.property(drafts, (draft) => {
      keep("new", draft);
      expect(recall("new", nowhere, null)).toEqual({ now: draft, before: null });
      const link = new URLSearchParams(addressOf(draft)).toString();
      expect(recall("new", new URLSearchParams(link), null)).toEqual({ now: draft, before: null });
    }),
  );
});

test("a link says what it means on another coach's bench, and what it takes the place of is one undo away", () => {
  const stored = fc.option(drafts);
  fc.assert(
    fc.property(drafts, drafts, stored, (theirs, linked, stored) => {
      fc.pre(theirs.text !== linked.text);
      keep("12", theirs);
      const { text, stance, rules, numbering } = linked;
      expect(recall("12", new URLSearchParams(addressOf(linked)), stored)).toEqual({
        now: {
          ...(stored ?? EMPTY),
          text,
          stance,
          rules,
          numbering,
          basedOn: stored?.basedOn ? (linked.basedOn ?? stored.basedOn) : null,
        },
        before: theirs,
      });
    }),
  );
});

test("a link is based on the version it was made from, also when another coach has saved since", () => {
  const mine = { ...EMPTY, text: "1 2", basedOn: 1 };
  const theirs = { ...EMPTY, text: "1 2 3", basedOn: 2 };
  const { now } = recall("12", new URLSearchParams(addressOf(mine)), theirs);
  expect(now).toEqual({ ...theirs, text: "1 2", basedOn: 1 });
});

test("without a draft and a link it is as it is stored", () => {
  const stored = { ...EMPTY, text: "1-2", name: "Cellar window", basedOn: 3 };
  expect(recall("12", nowhere, stored)).toEqual({ now: stored, before: null });
});

test("drafts of two combinations do not get in each other's way", () => {
  keep("1", { ...EMPTY, text: "1-2" });
  keep("2", { ...EMPTY, text: "3-4" });
  forget("1");
  expect(recall("1", nowhere, null).now).toBeNull();
  expect(recall("2", nowhere, null).now?.text).toBe("3-4");
});

test("a damaged store is an empty bench, not a broken one", () => {
  stored.set("periplus.bench.new", "{ no");
  expect(recall("new", nowhere, null).now).toBeNull();
  expect(recall("new", new URLSearchParams({ chain: "1-2" }), null).now?.text).toBe("1-2");
});

test("what an older draft did not have yet is as on an empty bench", () => {
  stored.set("periplus.bench.new", JSON.stringify({ text: "1-2" }));
  expect(recall("new", nowhere, null).now).toEqual({ ...EMPTY, text: "1-2" });
});
