import { expect, test } from "vitest";
import type { PlanCombination, PlanContent } from "../api/schema";
import { planOf } from "../testing/plan";
import { boutBlock, emptyBlock } from "./AddBlock";
import {
  address,
  copied,
  dropped,
  join,
  mended,
  moved,
  newRound,
  newSet,
  renewed,
  setsAt,
  split,
  withLaps,
  without,
  withSet,
  withSets,
} from "./plan";

const plan: PlanContent = {
  ...planOf({}),
  tracks: [
    { name: "One", level: 1 },
    { name: "Two", level: 2 },
  ],
  blocks: [{ ...emptyBlock("rounds", []), rounds: [newRound(), newRound()] }],
};

const chain = (text: string): PlanCombination => ({ chain: text, stance: "orthodox" });

test("a set of everybody is changed for everybody", () => {
  const changed = withSet(plan, { block: 0, round: 0, set: 0 }, (set) => ({ ...set, drill: "ladder" }));
  expect(setsAt(changed, { block: 0, round: 0, track: 1 })[0]?.drill).toBe("ladder");
  expect(setsAt(changed, { block: 0, round: 1 })[0]?.drill).toBe("repeat");
});

test("changing the set of one track gives it its own sets and leaves the others", () => {
  const changed = withSets(plan, { block: 0, round: 0, track: 1 }, () => [newSet("calls")]);
  expect(setsAt(changed, { block: 0, round: 0, track: 1 })[0]?.drill).toBe("calls");
  expect(setsAt(changed, { block: 0, round: 0, track: 0 })[0]?.drill).toBe("repeat");
  expect(setsAt(changed, { block: 0, round: 0 })[0]?.drill).toBe("repeat");
});

test("a round is split by track and joined again", () => {
  const apart = split(plan, { block: 0, round: 1 });
  expect(apart.blocks[0]?.rounds[1]?.tracks).toHaveLength(2);
  const changed = withSet(apart, { block: 0, round: 1, track: 0, set: 0 }, (set) => ({ ...set, drill: "calls" }));
  expect(setsAt(changed, { block: 0, round: 1, track: 1 })[0]?.drill).toBe("repeat");
  expect(join(changed, { block: 0, round: 1 })).toEqual(plan);
});

test.each([
  [0, []],
  [1, ["3"]],
  [2, ["1", "3"]],
  [5, ["1", "2", "3"]],
])("where a drill takes %s, a third one dropped in leaves %j", (most, left) => {
  const set = { ...newSet("x"), combinations: most === 0 ? [] : [chain("1"), chain("2")] };
  expect(dropped(set, chain("3"), most).combinations.map((one) => one.chain)).toEqual(left);
});

test("lists are moved, copied and cut at their place", () => {
  expect(moved(["a", "b", "c"], 0, 2)).toEqual(["b", "c", "a"]);
  expect(moved(["a", "b"], 0, 2)).toEqual(["a", "b"]);
  expect(copied(["a", "b"], 0)).toEqual(["a", "a", "b"]);
  expect(without(["a", "b"], 0)).toEqual(["b"]);
});

test("a copy is not tied to what it was copied from", () => {
  const rounds = copied([newRound()], 0);
  const first = rounds[0];
  if (first?.sets[0]) {
    first.sets[0].drill = "calls";
  }
  expect(rounds[1]?.sets[0]?.drill).toBe("repeat");
});

test("a combination that was changed in the library is replaced everywhere in the plan", () => {
  const apart = split(
    withSet(plan, { block: 0, round: 0, set: 0 }, (set) => dropped(set, { ...chain("1 2"), id: 7, version: 1 }, 1)),
    { block: 0, round: 0 },
  );
  const text = JSON.stringify(renewed(apart, 7, { chain: "1 2 3", stance: "southpaw", version: 2 }));
  expect(text.match(/"chain":"1 2 3"/g)).toHaveLength(3);
  expect(text).not.toContain('"chain":"1 2"');
});

test("a place is written as the server names it", () => {
  expect(address({ block: 1, round: 0, track: 2, set: 3 })).toBe("blocks[1].rounds[0].tracks[2].sets[3]");
  expect(address({ block: 1 })).toBe("blocks[1]");
});

test("rounds of a bout are as many and as long as the format says, and free", () => {
  const block = boutBlock({ id: "x", sport: "Boxing", class: "amateur", rounds: 3, seconds: 180, rest: 60 });
  expect(block).toMatchObject({
    name: "Boxing, amateur",
    rounds: [{ seconds: 180, rest: 60, times: 3, sets: [{ drill: "free" }] }],
  });
});

test.each([
  ["rounds", "repeat"],
  ["warm-up", "exercise"],
  ["talk", "talk"],
] as const)("a new block of kind %s begins with %s", (kind, drill) => {
  expect(emptyBlock(kind, []).rounds[0]?.sets[0]?.drill).toBe(drill);
});

test("laps and breaths lengthen a round, and its sets stay as long as they are", () => {
  const round = { ...newRound(120), sets: [newSet(), newSet()] };
  const laps = withLaps(round, 3, 15);
  // 3 laps of 120 s, and five breaths of 15 s between six sets.
  expect(laps.seconds).toBe(3 * 120 + 5 * 15);
  expect(withLaps(laps, 1, 0).seconds).toBe(120);
});

test("a press that mends a problem sets the values at its place alone", () => {
  const content = planOf({ blocks: [{ kind: "rounds", rounds: [{ seconds: 60, sets: [{ drill: "ladder" }] }] }] });
  const place = "blocks[0].rounds[0].sets[0].parameters";
  const next = mended(content, { place, label: "Rungs of 20 s", values: { rung: 20 } });
  expect(next.blocks[0]?.rounds[0]?.sets[0]?.parameters).toEqual({ rung: 20 });
  expect(content.blocks[0]?.rounds[0]?.sets[0]?.parameters).toEqual({});
});
