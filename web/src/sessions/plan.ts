import type { BlockKind, Group, Medium, Rules, Stance } from "../api/schema";

/** A combination in a set: typed, or from the library when it has an id. */
export interface PlannedChain {
  chain: string;
  stance?: Stance;
  name?: string;
  id?: number;
  version?: number;
}
export type Value = number | boolean | string | number[] | string[];
export interface PlannedSet {
  drill: string;
  /** Its share of the work; computed when missing. */
  seconds?: number | null;
  combinations: PlannedChain[];
  parameters?: Record<string, Value>;
  note?: string;
}
export interface TrackOfRound {
  track: number;
  /** Work, rest, work, rest in s; that of the round when missing. */
  pattern?: number[];
  /** Those of everybody when missing. */
  sets?: PlannedSet[];
}
export interface Round {
  seconds: number;
  rest?: number;
  times?: number;
  stance?: "own" | "other";
  medium?: Medium;
  moves?: boolean;
  lastTen?: boolean;
  note?: string;
  locked?: boolean;
  sets: PlannedSet[];
  tracks?: TrackOfRound[];
}
export interface Block {
  kind: BlockKind;
  name: string;
  changeover?: number;
  locked?: boolean;
  rounds: Round[];
}
/** A plan as described in docs/formats/session.md. */
export interface PlanContent {
  minutes?: number | null;
  rules: Rules;
  group: Group;
  medium: Medium;
  level: number;
  seed: number;
  numbering: string;
  tempo?: number;
  tracks: { name: string; level: number }[];
  blocks: Block[];
}

/** A position in a plan: a block, a round of it, a set of the round or of one of its tracks. */
export interface Place {
  block: number;
  round?: number;
  /** Missing for everybody. */
  track?: number;
  set?: number;
}

/** Fills in defaults, because a stored plan may be older or come from elsewhere. */
export function contentOf(stored: Record<string, unknown>): PlanContent {
  const content = stored as Partial<PlanContent>;
  return {
    ...content,
    rules: content.rules ?? "all-limbs",
    group: content.group ?? "open",
    medium: content.medium ?? "shadow",
    level: content.level ?? 2,
    seed: content.seed ?? 1,
    numbering: content.numbering ?? "parity",
    tracks: list(content.tracks),
    blocks: list(content.blocks).map((block) => ({
      ...block,
      kind: block.kind ?? "rounds",
      name: block.name ?? "",
      rounds: list(block.rounds).map((round) => ({
        ...round,
        seconds: secondsOf(round),
        sets: list(round.sets).map(setOf),
      })),
    })),
  };
}

function list<T>(value: T[] | undefined): T[] {
  return Array.isArray(value) ? value : [];
}

function setOf(set: PlannedSet): PlannedSet {
  return {
    ...set,
    drill: set.drill ?? "repeat",
    combinations: list(set.combinations).map((one) => (typeof one === "string" ? { chain: one } : one)),
  };
}

/** Returns the length of a round; without one it is the length of its sets. */
function secondsOf(round: Partial<Round>): number {
  return round.seconds ?? list(round.sets).reduce((sum, set) => sum + (set.seconds ?? 0), 0);
}

export function newSet(drill = "repeat"): PlannedSet {
  return { drill, combinations: [], parameters: {} };
}

export function newRound(seconds = 180, rest = 60): Round {
  return { seconds, rest, times: 1, sets: [newSet()] };
}

/** Returns the sets at that position: those of a track where it has its own, otherwise those of everybody. */
export function setsAt(content: PlanContent, place: Place): PlannedSet[] {
  const round = content.blocks[place.block]?.rounds[place.round ?? -1];
  const own = place.track === undefined ? undefined : round?.tracks?.find((one) => one.track === place.track)?.sets;
  return own ?? round?.sets ?? [];
}

export function withBlock(content: PlanContent, at: number, change: (block: Block) => Block): PlanContent {
  return { ...content, blocks: content.blocks.map((block, place) => (place === at ? change(block) : block)) };
}

export function withRound(content: PlanContent, place: Place, change: (round: Round) => Round): PlanContent {
  return withBlock(content, place.block, (block) => ({
    ...block,
    rounds: block.rounds.map((round, at) => (at === place.round ? change(round) : round)),
  }));
}

/** Returns the plan with the sets at that position changed; a track that shared those of everybody gets its own. */
export function withSets(
  content: PlanContent,
  place: Place,
  change: (sets: PlannedSet[]) => PlannedSet[],
): PlanContent {
  return withRound(content, place, (round) => {
    if (place.track === undefined) {
      return { ...round, sets: change(round.sets) };
    }
    const tracks = round.tracks ?? [];
    const own = tracks.find((one) => one.track === place.track) ?? { track: place.track };
    const changed = { ...own, sets: change(own.sets ?? round.sets) };
    return { ...round, tracks: [...tracks.filter((one) => one !== own), changed].sort((a, b) => a.track - b.track) };
  });
}

export function withSet(content: PlanContent, place: Place, change: (set: PlannedSet) => PlannedSet): PlanContent {
  return withSets(content, place, (sets) => sets.map((set, at) => (at === place.set ? change(set) : set)));
}

/** Returns the set with a combination added; it replaces the previous one where the drill takes only one. */
export function dropped(set: PlannedSet, chain: PlannedChain, most: number): PlannedSet {
  const kept = most <= 1 ? [] : set.combinations.slice(0, most - 1);
  return { ...set, combinations: most === 0 ? set.combinations : [...kept, chain] };
}

export function moved<T>(items: T[], from: number, to: number): T[] {
  const item = items[from];
  if (item === undefined || to < 0 || to >= items.length) {
    return items;
  }
  const rest = items.filter((_, at) => at !== from);
  return [...rest.slice(0, to), item, ...rest.slice(to)];
}

export function copied<T>(items: T[], at: number): T[] {
  const item = items[at];
  return item === undefined ? items : [...items.slice(0, at + 1), structuredClone(item), ...items.slice(at + 1)];
}

export function without<T>(items: T[], at: number): T[] {
  return items.filter((_, place) => place !== at);
}

/** Gives each track its own copy of the round. */
export function split(content: PlanContent, place: Place): PlanContent {
  return withRound(content, place, (round) => ({
    ...round,
    tracks: content.tracks.map((_, track) => ({ track, sets: structuredClone(round.sets) })),
  }));
}

export function join(content: PlanContent, place: Place): PlanContent {
  return withRound(content, place, (round) => {
    const { tracks: _, ...together } = round;
    return together;
  });
}

/** Replaces combinations that were changed in the library. */
export function renewed(
  content: PlanContent,
  id: number,
  now: { chain: string; stance: Stance; version: number | null },
): PlanContent {
  const renew = (set: PlannedSet): PlannedSet => ({
    ...set,
    combinations: set.combinations.map((one) =>
      one.id === id ? { ...one, chain: now.chain, stance: now.stance, version: now.version ?? undefined } : one,
    ),
  });
  return {
    ...content,
    blocks: content.blocks.map((block) => ({
      ...block,
      rounds: block.rounds.map((round) => ({
        ...round,
        sets: round.sets.map(renew),
        ...(round.tracks && {
          tracks: round.tracks.map((track) => ({ ...track, ...(track.sets && { sets: track.sets.map(renew) }) })),
        }),
      })),
    })),
  };
}

/** Returns the position as the server writes it. */
export function address(place: Place): string {
  return [
    `blocks[${place.block}]`,
    ...(place.round === undefined ? [] : [`rounds[${place.round}]`]),
    ...(place.track === undefined ? [] : [`tracks[${place.track}]`]),
    ...(place.set === undefined ? [] : [`sets[${place.set}]`]),
  ].join(".");
}
