import { expect, test } from "vitest";
import type { Drill } from "../api/client";
import type { PlanContent, PlanSet } from "../api/schema";
import { planOf } from "../testing/plan";
import { placeOf } from "./Advisories";
import { drop, moveRound, roundKey, stretch } from "./drag";
import { newBlock, newRound, newSet } from "./plan";
import { nextRound } from "./startPlan";

const drill = (id: string, most: number) => ({ id, most }) as Drill;
const DRILLS = [drill("repeat", 1), drill("set-list", 5), drill("exercise", 0)];
const of = (drillId: string, ...chains: string[]): PlanSet => ({
  ...newSet(drillId),
  combinations: chains.map((chain) => ({ chain, stance: "orthodox" })),
});
const plan = (...blocks: PlanSet[][][]): PlanContent => ({
  ...planOf({}),
  tracks: [{ name: "One", level: 1 }],
  blocks: blocks.map((rounds) =>
    newBlock(
      "rounds",
      rounds.map((sets, at) => ({ ...newRound(60 * (at + 1)), sets })),
      { name: "Rounds" },
    ),
  ),
});
/** Returns the plan as one line: blocks separated by |, rounds by /, sets by comma. */
const read = (content: PlanContent) =>
  content.blocks
    .map((block) =>
      block.rounds
        .map((round) => round.sets.map((set) => set.combinations.map((one) => one.chain).join("+")).join(","))
        .join("/"),
    )
    .join("|");
const chain = { kind: "chain" as const, chain: { chain: "new", stance: "orthodox" as const }, label: "new" };
const set = (block: number, round: number, at: number) => ({ kind: "set" as const, place: { block, round, set: at } });

test.each([
  ["a set of one takes it in place of its own", of("repeat", "a"), "new"],
  ["a set of several takes it beside the others", of("set-list", "a", "b"), "a+b+new"],
  ["a set without combinations stays as it is", of("exercise"), ""],
])("%s", (_, target, after) => {
  expect(read(drop(plan([[target]]), chain, set(0, 0, 0), DRILLS))).toBe(after);
});

test("a combination that is dropped next to the sets starts a new set", () => {
  expect(read(drop(plan([[of("repeat", "a")]]), chain, { kind: "lane", place: { block: 0, round: 0 } }, DRILLS))).toBe(
    "a,new",
  );
  expect(read(drop(plan([[of("repeat", "a")]]), chain, { kind: "round", block: 0, round: 0 }, DRILLS))).toBe("a,new");
});

test("a combination on a block belongs nowhere", () => {
  const before = plan([[of("repeat", "a")]]);
  expect(drop(before, chain, { kind: "block", block: 0 }, DRILLS)).toBe(before);
});

test.each([
  ["within a round", set(0, 0, 0), set(0, 0, 2), "b,c,a/d|e"],
  ["to another round", set(0, 0, 1), set(0, 1, 0), "a,c/b,d|e"],
  [
    "to the end of another block's round",
    set(0, 0, 1),
    { kind: "lane" as const, place: { block: 1, round: 0 } },
    "a,c/d|e,b",
  ],
])("a set is moved %s", (_, from, to, after) => {
  const before = plan(
    [[of("repeat", "a"), of("repeat", "b"), of("repeat", "c")], [of("repeat", "d")]],
    [[of("repeat", "e")]],
  );
  expect(read(drop(before, { ...from, label: "" }, to, DRILLS))).toBe(after);
});

test("a set that goes to a track leaves the others theirs", () => {
  const before = plan([[of("repeat", "a")], [of("repeat", "b")]]);
  const after = drop(
    before,
    { ...set(0, 0, 0), label: "" },
    { kind: "lane", place: { block: 0, round: 1, track: 0 } },
    DRILLS,
  );
  expect(after.blocks[0]?.rounds[1]?.tracks?.[0]?.sets?.map((one) => one.combinations[0]?.chain)).toEqual(["b", "a"]);
  expect(after.blocks[0]?.rounds[1]?.sets).toHaveLength(1);
});

test.each([
  [{ block: 0, round: 0 }, { block: 0, round: 1 }, "b/a|c"],
  [{ block: 0, round: 1 }, { block: 1, round: 0 }, "a|b/c"],
  [{ block: 0, round: 0 }, { block: 1, round: null }, "b|c/a"],
  [{ block: 0, round: 9 }, { block: 1, round: null }, "a/b|c"],
])("round %j goes to %j", (from, to, after) => {
  expect(read(moveRound(plan([[of("repeat", "a")], [of("repeat", "b")]], [[of("repeat", "c")]]), from, to))).toBe(
    after,
  );
});

const key = (name: string, more: object = {}) => ({
  key: name,
  shiftKey: false,
  altKey: false,
  ctrlKey: false,
  metaKey: false,
  ...more,
});

test.each([
  ["Alt and an arrow moves it", key("ArrowRight", { altKey: true }), "b/a", 1],
  ["at the end it stays", key("ArrowLeft", { altKey: true }), null, 0],
  ["Ctrl D copies it", key("d", { ctrlKey: true }), "a/a/b", 1],
  ["on a Mac, too", key("d", { metaKey: true }), "a/a/b", 1],
  ["Delete takes it out", key("Delete"), "b", 0],
  ["a letter means nothing", key("d"), null, 0],
  ["an arrow alone means nothing to the plan", key("ArrowRight"), null, 0],
])("%s", (_, pressed, after, round) => {
  const done = roundKey(plan([[of("repeat", "a")], [of("repeat", "b")]]), { block: 0, round: 0 }, pressed);
  expect(done && read(done.content)).toBe(after);
  expect(done?.round ?? 0).toBe(round);
});

test("Shift and an arrow stretches by a quarter of a minute, never below one or above an hour", () => {
  const place = { block: 0, round: 0 };
  const longer = roundKey(plan([[of("repeat", "a")]]), place, key("ArrowRight", { shiftKey: true }));
  expect(longer?.content.blocks[0]?.rounds[0]?.seconds).toBe(75);
  expect(stretch(plan([[of("repeat", "a")]]), place, -500).blocks[0]?.rounds[0]?.seconds).toBe(15);
  expect(stretch(plan([[of("repeat", "a")]]), place, 99_999).blocks[0]?.rounds[0]?.seconds).toBe(7200);
});

test("a new round is like the one before it, and empty, by level where that one is", () => {
  const before = { ...newRound(120, 30), tracks: [{ track: 0, pattern: [60, 60], sets: [of("calls", "a")] }] };
  expect(nextRound([before])).toMatchObject({
    seconds: 120,
    rest: 30,
    tracks: [{ track: 0, pattern: [60, 60], sets: [{ drill: "repeat", combinations: [] }] }],
  });
  expect(nextRound([])).toMatchObject({ seconds: 180, rest: 60 });
});

test.each([
  ["blocks[1].rounds[0].tracks[2].sets[3].combinations[0]", { block: 1, round: 0, track: 2, set: 3 }],
  ["blocks[1].rounds[12].seconds", { block: 1, round: 12, track: undefined, set: undefined }],
  ["minutes", null],
])("the place %s is found", (address, place) => {
  expect(placeOf(address)).toEqual(place);
});
