import type { PlanBlock, PlanRound, PlanSet } from "../api/schema";

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

/**
 * Shares a whole in the proportion of some lengths, in whole steps. What rounding leaves over goes to the ones after
 * it, so that the sum is right.
 */
function shared(lengths: number[], whole: number): number[] {
  const before = lengths.reduce((sum, length) => sum + length, 0);
  let [due, given] = [0, 0];
  return lengths.map((length) => {
    due += before === 0 ? 0 : (length * whole) / before;
    const own = Math.max(STEP_SECONDS, STEP_SECONDS * Math.round((due - given) / STEP_SECONDS));
    given += own;
    return own;
  });
}

/** Returns the sets of a stretched round; sets without a length of their own keep sharing what is left. */
function stretchedSets(sets: PlanSet[], before: number, seconds: number): PlanSet[] {
  const own = sets.map((set) => set.seconds ?? 0);
  const sum = own.reduce((all, one) => all + one, 0);
  const lengths = shared(
    own.filter((one) => one > 0),
    before === 0 ? sum : (sum * seconds) / before,
  );
  return sets.map((set) => (set.seconds === null ? set : { ...set, seconds: lengths.shift() ?? set.seconds }));
}

/** Returns the block with the given length: every exercise becomes longer or shorter by the same share. */
export function stretched(block: PlanBlock, seconds: number): PlanBlock {
  const rests = block.rounds.reduce((sum, round) => sum + round.rest * round.times, 0);
  const lengths = shared(
    block.rounds.map((round) => (round.seconds ?? 0) * round.times),
    Math.max(0, seconds - rests),
  );
  return {
    ...block,
    rounds: block.rounds.map((round, at) => {
      const own = Math.max(STEP_SECONDS, Math.round((lengths[at] ?? 0) / round.times));
      return { ...round, seconds: own, sets: stretchedSets(round.sets, round.seconds ?? 0, own) };
    }),
  };
}
