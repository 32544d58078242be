import type { PlanBlock, PlanRound } from "../api/schema";

/** Lengths of exercises are whole steps of 5 s. */
const STEP_SECONDS = 5;
/** Minimum length of a block in s. */
export const MIN_BLOCK_SECONDS = 30;

const lengthOf = (round: PlanRound) => (round.seconds ?? 0) * round.times + round.rest * round.times;

/** Returns the length of a block, in s. */
export function blockSeconds(block: PlanBlock): number {
  return block.rounds.reduce((sum, round) => sum + lengthOf(round), 0);
}

/** Tells whether a block has one length, as a warm-up of several exercises has; rounds have their own. */
export function isStretchable(block: PlanBlock): boolean {
  return (
    block.kind !== "rounds" &&
    block.rounds.length > 0 &&
    block.rounds.every(({ seconds, tracks }) => seconds !== null && tracks.length === 0)
  );
}

/** Returns the block with the given length: every exercise becomes longer or shorter by the same share. */
export function stretched(block: PlanBlock, seconds: number): PlanBlock {
  const rests = block.rounds.reduce((sum, round) => sum + round.rest * round.times, 0);
  const before = blockSeconds(block) - rests;
  const factor = before === 0 ? 1 : Math.max(0, seconds - rests) / before;
  let [due, given] = [0, 0];
  const rounds = block.rounds.map((round) => {
    // What rounding leaves over goes to the exercises after it, so that the whole is as long as it should be.
    due += (round.seconds ?? 0) * round.times * factor;
    const own = Math.max(STEP_SECONDS, STEP_SECONDS * Math.round((due - given) / round.times / STEP_SECONDS));
    given += own * round.times;
    const share = round.seconds ? own / round.seconds : 1;
    return {
      ...round,
      seconds: own,
      sets: round.sets.map((set) => ({
        ...set,
        seconds: set.seconds === null ? null : Math.max(STEP_SECONDS, Math.round(set.seconds * share)),
      })),
    };
  });
  return { ...block, rounds };
}
