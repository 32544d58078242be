import type { Drill } from "../api/client";
import type { PlanCombination, PlanContent, PlanRound, PlanSet } from "../api/schema";
import { newBlock, newSet, withBlock } from "./plan";
import { nextRound } from "./startPlan";
import { blockSeconds, isStretchable, stretched } from "./stretch";

/** Tells whether a round waits for its first combination. */
function isOpen(round: PlanRound, drills: Drill[]): boolean {
  const [set] = round.sets;
  const takes = (drill: string) => (drills.find((one) => one.id === drill)?.most ?? 1) > 0;
  return (
    round.tracks.length === 0 &&
    !round.locked &&
    (set === undefined || (round.sets.length === 1 && set.combinations.length === 0 && takes(set.drill)))
  );
}

/**
 * Returns the plan with combinations added, each in a round of its own: first in rounds that are still empty, then in
 * new ones at the end of the last block of rounds.
 */
export function withAdded(
  content: PlanContent,
  combinations: (PlanCombination | null)[],
  drills: Drill[],
  drill?: string | null,
): { content: PlanContent; block: number; round: number } {
  let now = content;
  let place = { block: 0, round: 0 };
  for (const combination of combinations) {
    const open = now.blocks.flatMap((one, block) =>
      one.kind === "rounds"
        ? one.rounds.flatMap((round, at) => (isOpen(round, drills) ? [{ block, round: at }] : []))
        : [],
    )[0];
    if (open) {
      place = open;
    } else {
      const last = now.blocks.findLastIndex(({ kind }) => kind === "rounds");
      const block = last < 0 ? now.blocks.length : last;
      now = last < 0 ? { ...now, blocks: [...now.blocks, newBlock("rounds", [])] } : now;
      place = { block, round: now.blocks[block]?.rounds.length ?? 0 };
      now = withBlock(now, block, (one) => ({ ...one, rounds: [...one.rounds, nextRound(one.rounds)] }));
    }
    now = withBlock(now, place.block, (one) => ({
      ...one,
      rounds: one.rounds.map((round, at) =>
        at === place.round
          ? { ...round, tracks: [], sets: [setOf(round.sets[0] ?? newSet(), combination, drill)] }
          : round,
      ),
    }));
  }
  return { content: now, ...place };
}

function setOf(set: PlanSet, combination: PlanCombination | null, drill?: string | null): PlanSet {
  return {
    ...set,
    ...(drill ? { drill, parameters: {} } : {}),
    combinations: combination ? [combination] : [],
  };
}

/**
 * Returns how many more rounds like the last one fit into the planned minutes, and the plan with them. What is left
 * over lengthens the cool-down, or the warm-up where there is none.
 */
export function filled(content: PlanContent, lengthMs: number): { content: PlanContent; rounds: number } {
  const block = content.blocks.findLastIndex(({ kind }) => kind === "rounds");
  const rounds = content.blocks[block]?.rounds ?? [];
  const next = nextRound(rounds);
  const left = 60 * (content.minutes ?? 0) - lengthMs / 1000;
  const each = Math.max(1, (next.seconds ?? 180) + next.rest);
  const count = block < 0 ? 0 : Math.max(0, Math.floor(left / each));
  const over = Math.max(0, left - count * each);
  const full = withBlock(content, block, (one) => ({
    ...one,
    rounds: [...one.rounds, ...Array.from({ length: count }, () => nextRound(rounds))],
  }));
  const kinds = ["cool-down", "warm-up"].map((kind) =>
    full.blocks.findLastIndex((one) => one.kind === kind && isStretchable(one)),
  );
  const end = kinds.find((at) => at >= 0);
  return {
    rounds: count,
    content:
      end === undefined || over === 0 ? full : withBlock(full, end, (one) => stretched(one, blockSeconds(one) + over)),
  };
}

/** Returns the place of the first empty round, or where the next one will be. */
export function placeOfNext(content: PlanContent): { block: number; round: number } {
  const block = content.blocks.findLastIndex(({ kind }) => kind === "rounds");
  const rounds = content.blocks[block]?.rounds ?? [];
  const empty = rounds.findIndex((round) => round.sets.every((set) => set.combinations.length === 0));
  return { block, round: empty < 0 ? rounds.length : empty };
}
