import { BOUNDS } from "../api/bounds.gen";
import type { Drill } from "../api/client";
import type { PlanCombination, PlanContent } from "../api/schema";
import { copied, dropped, moved, newSet, type Place, withBlock, withSet, withSets } from "./plan";

/** What can be dragged. */
export type Dragged =
  | { kind: "chain"; chain: PlanCombination; label: string }
  | { kind: "set"; place: Place; label: string }
  | { kind: "round"; block: number; round: number; label: string; onClock?: boolean }
  | { kind: "block"; block: number; label: string };

/** Where it can be dropped. */
export type Dropped =
  | { kind: "set"; place: Place }
  | { kind: "lane"; place: Place }
  | { kind: "round"; block: number; round: number }
  | { kind: "block"; block: number };

/** Returns the plan after a drop; unchanged where it does not belong. */
export function drop(content: PlanContent, what: Dragged, where: Dropped, drills: Drill[]): PlanContent {
  if (what.kind === "chain") {
    const most = (drill: string) => drills.find((one) => one.id === drill)?.most ?? 1;
    if (where.kind === "set") {
      return withSet(content, where.place, (set) => dropped(set, what.chain, most(set.drill)));
    }
    if (where.kind === "lane") {
      return withSets(content, where.place, (sets) => [...sets, { ...newSet(), combinations: [what.chain] }]);
    }
    return where.kind === "round"
      ? drop(content, what, { kind: "lane", place: { block: where.block, round: where.round } }, drills)
      : content;
  }
  if (what.kind === "set" && (where.kind === "set" || where.kind === "lane")) {
    return moveSet(content, what.place, where.place);
  }
  if (what.kind === "round" && (where.kind === "round" || where.kind === "block")) {
    return moveRound(content, what, where.kind === "round" ? where : { block: where.block, round: null });
  }
  if (what.kind === "block" && (where.kind === "block" || where.kind === "round")) {
    return { ...content, blocks: moved(content.blocks, what.block, where.block) };
  }
  return content;
}

function moveSet(content: PlanContent, from: Place, to: Place): PlanContent {
  const sameLane = from.block === to.block && from.round === to.round && from.track === to.track;
  if (sameLane) {
    return withSets(content, from, (sets) => moved(sets, from.set ?? 0, to.set ?? sets.length - 1));
  }
  let taken: PlanContent["blocks"][number]["rounds"][number]["sets"] = [];
  const left = withSets(content, from, (sets) => {
    taken = sets.slice(from.set, (from.set ?? 0) + 1);
    return sets.filter((_, at) => at !== from.set);
  });
  return withSets(left, to, (sets) => {
    const at = to.set ?? sets.length;
    return [...sets.slice(0, at), ...taken, ...sets.slice(at)];
  });
}

/** @param to the place of another round, or the end of a block */
export function moveRound(
  content: PlanContent,
  from: { block: number; round: number },
  to: { block: number; round: number | null },
): PlanContent {
  const round = content.blocks[from.block]?.rounds[from.round];
  if (round === undefined) {
    return content;
  }
  if (from.block === to.block) {
    return withBlock(content, from.block, (block) => ({
      ...block,
      rounds: moved(block.rounds, from.round, to.round ?? block.rounds.length - 1),
    }));
  }
  const left = withBlock(content, from.block, (block) => ({
    ...block,
    rounds: block.rounds.filter((_, at) => at !== from.round),
  }));
  return withBlock(left, to.block, (block) => {
    const at = to.round ?? block.rounds.length;
    return { ...block, rounds: [...block.rounds.slice(0, at), round, ...block.rounds.slice(at)] };
  });
}

/** Returns the plan after a key on the selected round; null for keys without a meaning. */
export function roundKey(
  content: PlanContent,
  place: { block: number; round: number },
  key: { key: string; shiftKey: boolean; altKey: boolean; ctrlKey: boolean; metaKey: boolean },
): { content: PlanContent; round: number } | null {
  const { block, round } = place;
  const rounds = content.blocks[block]?.rounds ?? [];
  const by =
    key.key === "ArrowRight" || key.key === "ArrowDown" ? 1 : key.key === "ArrowLeft" || key.key === "ArrowUp" ? -1 : 0;
  if (by !== 0 && key.altKey && rounds[round + by]) {
    return { content: moveRound(content, place, { block, round: round + by }), round: round + by };
  }
  if (by !== 0 && key.shiftKey) {
    return { content: stretch(content, place, 15 * by), round };
  }
  if ((key.key === "d" || key.key === "D") && (key.ctrlKey || key.metaKey)) {
    return { content: withBlock(content, block, (b) => ({ ...b, rounds: copied(b.rounds, round) })), round: round + 1 };
  }
  if (key.key === "Delete" || key.key === "Backspace") {
    return {
      content: withBlock(content, block, (b) => ({ ...b, rounds: b.rounds.filter((_, at) => at !== round) })),
      round: Math.max(0, round - 1),
    };
  }
  return null;
}

/** Minimum length in s of a stretched round. */
export const MIN_ROUND_SECONDS = 15;
/** Maximum length of a round in s. */
const MAX_ROUND_SECONDS = BOUNDS.PlanRound.seconds.maximum;

/** Returns the plan with a round longer or shorter by so many seconds. */
export function stretch(content: PlanContent, place: { block: number; round: number }, by: number): PlanContent {
  return withBlock(content, place.block, (block) => ({
    ...block,
    rounds: block.rounds.map((round, at) =>
      at === place.round
        ? { ...round, seconds: Math.max(MIN_ROUND_SECONDS, Math.min(MAX_ROUND_SECONDS, (round.seconds ?? 0) + by)) }
        : round,
    ),
  }));
}
