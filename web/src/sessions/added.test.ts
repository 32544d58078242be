import { expect, test } from "vitest";
import type { Drill } from "../api/client";
import type { PlanCombination } from "../api/schema";
import { planOf } from "../testing/plan";
import { withAddedBlock } from "./AddBlock";
import { filled, withAdded } from "./added";
import { named } from "./useLinkedChain";

const DRILLS = [
  { id: "repeat", most: 1 },
  { id: "free", most: 0 },
] as Drill[];
const chain = (name: string): PlanCombination => ({ chain: "1 2", stance: "orthodox", name });
const round = (drill = "repeat", combinations: PlanCombination[] = []) => ({
  seconds: 180,
  rest: 60,
  sets: [{ drill, combinations }],
});
const namesOf = (content: ReturnType<typeof planOf>) =>
  content.blocks.map((block) => block.rounds.map((one) => one.sets[0]?.combinations[0]?.name ?? one.sets[0]?.drill));

test("combinations go into empty rounds first, then into new ones; free work and filled rounds stay", () => {
  const content = planOf({
    blocks: [
      { kind: "warm-up", name: "", rounds: [round("exercise")] },
      { kind: "rounds", name: "", rounds: [round("free"), round("repeat", [chain("Old")]), round()] },
    ],
  });
  const added = withAdded(content, [chain("First"), chain("Second")], DRILLS);

  expect(namesOf(added.content)).toEqual([["exercise"], ["free", "Old", "First", "Second"]]);
  expect([added.block, added.round]).toEqual([1, 3]);
});

test("a session without rounds gets some", () => {
  expect(namesOf(withAdded(planOf({ blocks: [] }), [chain("Only")], DRILLS).content)).toEqual([["Only"]]);
});

test("the rest of the minutes is filled with rounds like the last one", () => {
  const content = planOf({ minutes: 30, blocks: [{ kind: "rounds", name: "", rounds: [round()] }] });
  const full = filled(content, 10 * 60_000);

  expect([full.rounds, full.content.blocks[0]?.rounds.length]).toEqual([5, 6]);
  expect(filled(content, 28 * 60_000).rounds, "half a round does not fit").toBe(0);
  const coolDown = { kind: "cool-down", name: "", rounds: [{ ...round("exercise"), rest: 0 }] };
  const withEnd = filled(planOf({ ...content, blocks: [...content.blocks, coolDown] }), 9 * 60_000);
  expect([withEnd.rounds, withEnd.content.blocks[1]?.rounds[0]?.seconds], "the last minute").toEqual([5, 240]);
});

test("a new block goes before the cool-down, a warm-up to the beginning", () => {
  const { blocks } = planOf({
    blocks: ["warm-up", "rounds", "cool-down"].map((kind) => ({ kind, name: "", rounds: [round()] })),
  });
  const kinds = (kind: string) =>
    withAddedBlock(blocks, { ...(blocks[0] as (typeof blocks)[number]), kind: kind as "rounds" }).map(
      (one) => one.kind,
    );

  expect(kinds("conditioning")).toEqual(["warm-up", "rounds", "conditioning", "cool-down"]);
  expect(kinds("cool-down")).toEqual(["warm-up", "rounds", "cool-down", "cool-down"]);
  expect(kinds("warm-up")[0]).toBe("warm-up");
});

test.each([
  ["Tide", null, "Tide"],
  ["kick", null, "Kick the tide"],
  ["1 2", "1 2", "Double"],
  ["jab", "1", undefined],
  ["k", null, undefined],
])("“%s” names %s", (text, notation, name) => {
  const rows = [
    { name: "Kick the tide", notation: "14l" },
    { name: "Tide", notation: "6" },
    { name: "Double", notation: "1 2" },
    { name: "Jabbering", notation: "1 1" },
  ] as Parameters<typeof named>[2];
  expect(named(text, notation, rows)?.name).toBe(name);
});
