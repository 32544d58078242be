import fc from "fast-check";
import { expect, test } from "vitest";
import { planOf } from "../testing/plan";
import { blockSeconds, stretched } from "./stretch";

const warmUp = (seconds: number[]) =>
  planOf({
    blocks: [
      {
        kind: "warm-up",
        name: "",
        rounds: seconds.map((one) => ({ seconds: one, rest: 0, sets: [{ drill: "exercise", combinations: [] }] })),
      },
    ],
  }).blocks[0] as ReturnType<typeof planOf>["blocks"][number];

test("a warm-up of several exercises becomes as long as asked, each by the same share", () => {
  const longer = stretched(warmUp([60, 30, 30]), 240);
  expect(longer.rounds.map(({ seconds }) => seconds)).toEqual([120, 60, 60]);
});

test("whatever the lengths, the whole is right to a step and no exercise vanishes", () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 1, maxLength: 9 }),
      fc.integer({ min: 24, max: 240 }),
      (lengths, steps) => {
        const block = stretched(warmUp(lengths.map((length) => 5 * length)), 5 * steps);
        const shortest = Math.min(...block.rounds.map(({ seconds }) => seconds ?? 0));
        return shortest >= 5 && Math.abs(blockSeconds(block) - 5 * steps) <= 5 * lengths.length;
      },
    ),
  );
});

test("exercises that fill one round fill it again", () => {
  const block = warmUp([300]);
  const sets = [60, 45, 30, 30, 30, 30, 30, 30, 15].map((seconds) => ({
    drill: "exercise",
    seconds,
    combinations: [],
    parameters: {},
    allOut: 0,
    note: "",
  }));
  const [round] = stretched({ ...block, rounds: block.rounds.map((one) => ({ ...one, sets })) }, 480).rounds;

  expect(round?.seconds).toBe(480);
  expect(round?.sets.reduce((sum, set) => sum + (set.seconds ?? 0), 0)).toBe(480);
});
