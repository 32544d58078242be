import type { PlanFix } from "../api/client";
import type { PlanBlock, PlanCombination, PlanContent, PlanRound, PlanSet, Stance } from "../api/schema";

export type ParameterValue = PlanSet["parameters"][string];

/** A position in a plan: a block, a round of it, a set of the round or of one of its tracks. */
export interface Place {
  block: number;
  round?: number;
  /** Missing for everybody. */
  track?: number;
  set?: number;
}

export function newSet(drill = "repeat"): PlanSet {
  return { drill, seconds: null, combinations: [], parameters: {}, allOut: 0, note: "" };
}

export function newBlock(kind: PlanBlock["kind"], rounds: PlanRound[], values: Partial<PlanBlock> = {}): PlanBlock {
  return { kind, name: "", note: "", changeover: 0, locked: false, rounds, ...values };
}

export function newRound(seconds = 180, rest = 60): PlanRound {
  return {
    name: "",
    seconds,
    rest,
    times: 1,
    laps: 1,
    breath: 0,
    stance: "own",
    moves: false,
    lastTen: true,
    note: "",
    locked: false,
    sets: [newSet()],
    tracks: [],
  };
}

/** Writes out what a plan leaves open that was kept in this browser by an earlier version. */
export function writtenOut(content: PlanContent): PlanContent {
  const set = (one: PlanSet): PlanSet => ({ ...newSet(), ...one });
  return {
    ...content,
    tracks: content.tracks ?? [],
    needs: content.needs ?? "",
    blocks: (content.blocks ?? []).map((block) => ({
      ...newBlock(block.kind, []),
      ...block,
      rounds: (block.rounds ?? []).map((round) => ({
        ...newRound(0, 0),
        ...round,
        sets: (round.sets ?? []).map(set),
        tracks: (round.tracks ?? []).map((lane) => ({ ...lane, ...(lane.sets && { sets: lane.sets.map(set) }) })),
      })),
    })),
  };
}

/** Returns the sets at that position: those of a track where it has its own, otherwise those of everybody. */
export function setsAt(content: PlanContent, place: Place): PlanSet[] {
  const round = content.blocks[place.block]?.rounds[place.round ?? -1];
  const own = place.track === undefined ? undefined : round?.tracks.find((one) => one.track === place.track)?.sets;
  return own ?? round?.sets ?? [];
}

/** Returns the tempo of the round at that position: its own, or that of the session. */
export function tempoAt(content: PlanContent, place: Place): number {
  return content.blocks[place.block]?.rounds[place.round ?? -1]?.tempo ?? content.tempo;
}

export function withBlock(content: PlanContent, at: number, change: (block: PlanBlock) => PlanBlock): PlanContent {
  return { ...content, blocks: content.blocks.map((block, place) => (place === at ? change(block) : block)) };
}

export function withRound(content: PlanContent, place: Place, change: (round: PlanRound) => PlanRound): PlanContent {
  return withBlock(content, place.block, (block) => ({
    ...block,
    rounds: block.rounds.map((round, at) => (at === place.round ? change(round) : round)),
  }));
}

/** Returns the plan with the sets at that position changed; a track that shared those of everybody gets its own. */
export function withSets(content: PlanContent, place: Place, change: (sets: PlanSet[]) => PlanSet[]): PlanContent {
  return withRound(content, place, (round) => {
    if (place.track === undefined) {
      return { ...round, sets: change(round.sets) };
    }
    const { tracks } = round;
    const own = tracks.find((one) => one.track === place.track) ?? { track: place.track };
    const changed = { ...own, sets: change(own.sets ?? round.sets) };
    return { ...round, tracks: [...tracks.filter((one) => one !== own), changed].sort((a, b) => a.track - b.track) };
  });
}

export function withSet(content: PlanContent, place: Place, change: (set: PlanSet) => PlanSet): PlanContent {
  return withSets(content, place, (sets) => sets.map((set, at) => (at === place.set ? change(set) : set)));
}

/** Returns the set with a combination added; it replaces the previous one where the drill takes only one. */
export function dropped(set: PlanSet, chain: PlanCombination, most: number): PlanSet {
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
  return withRound(content, place, (round) => ({ ...round, tracks: [] }));
}

/** Replaces combinations that were changed in the library. */
export function renewed(
  content: PlanContent,
  id: number,
  now: { chain: string; stance: Stance; version: number | null },
): PlanContent {
  const renew = (set: PlanSet): PlanSet => ({
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
        tracks: round.tracks.map((track) => ({ ...track, ...(track.sets && { sets: track.sets.map(renew) }) })),
      })),
    })),
  };
}

/** Returns the plan with the values of a press that mends a problem. */
export function mended(content: PlanContent, fix: PlanFix): PlanContent {
  const next = structuredClone(content);
  let part = next as unknown as Record<string, Record<string, unknown>>;
  for (const [key] of fix.place.matchAll(/[^.[\]]+/g)) {
    part[key] ??= {};
    part = part[key] as typeof part;
  }
  Object.assign(part, fix.values);
  return next;
}

/** Returns the round with so many laps and such breaths between its sets; the sets stay as long as they are. */
export function withLaps(round: PlanRound, laps: number, breath: number): PlanRound {
  const breaths = (count: number, each: number) => each * Math.max(0, count * round.sets.length - 1);
  const work = ((round.seconds ?? 0) - breaths(round.laps, round.breath)) / round.laps;
  return {
    ...round,
    laps,
    breath,
    seconds: round.seconds === null ? null : Math.round(work * laps + breaths(laps, breath)),
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
