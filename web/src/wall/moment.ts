import type { Programme, ProgrammeChain, ProgrammeCue, ProgrammeSegment, Stance } from "../api/client";

/** What one track does at a moment. */
export interface TrackMoment {
  track: number | null;
  name: string;
  kind: ProgrammeSegment["kind"] | "before" | "over";
  segment: ProgrammeSegment | null;
  /** Until the bell: the end of this work or rest, including all its sets, in ms. */
  leftMs: number;
  /** Until the next change within it, in ms. */
  setLeftMs: number;
  /** The elapsed share, 0 to 1. */
  part: number;
  lastTen: boolean;
  /** Such as "Round 2 of 5". */
  title: string;
  /** The cue that is thrown or demonstrated now. */
  shown: ProgrammeCue | null;
  /** The steps of the drill: rungs, themes, sides, counts. */
  steps: ProgrammeCue[];
  /** Index of the current step; -1 when all count. */
  step: number;
  /** The announced cue. */
  next: ProgrammeCue | null;
  /** Which set of which lap it is, or comes after a rest. */
  station: ProgrammeSegment["station"];
  /** What the coach wrote and reminders, of which one is shown at a time. */
  hint: string;
  reminders: string[];
  /** The repetition that was counted aloud last. */
  counted: string | null;
}

/** Time in ms after which another hint is shown. */
const HINT_MS = 30_000;

/** Returns the tracks, or only null when everybody works together. */
export function tracksOf(programme: Programme): (number | null)[] {
  return programme.tracks.length === 0 ? [null] : programme.tracks.map((_, track) => track);
}

const of = (track: number | null) => (one: { track: number | null }) => one.track === null || one.track === track;

export function momentOf(programme: Programme, track: number | null, at: number): TrackMoment {
  const name = track === null ? "" : (programme.tracks[track]?.name ?? "");
  const segments = programme.segments.filter(of(track));
  const cues = programme.cues.filter(of(track));
  const place = segments.findIndex((segment) => segment.fromMs <= at && at < segment.toMs);
  const segment = segments[place] ?? null;
  const nothing = {
    track,
    name,
    lastTen: false,
    steps: [],
    step: -1,
    hint: "",
    reminders: [],
    counted: null,
    station: null,
    setLeftMs: 0,
    part: 0,
  };
  if (segment === null) {
    const before = at < 0;
    const first = before ? (programme.opening.find(of(track)) ?? null) : null;
    return {
      ...nothing,
      kind: before ? "before" : "over",
      segment: null,
      leftMs: before ? -at : 0,
      title: before ? (segments[0]?.block ?? "") : "",
      shown: null,
      next: first,
    };
  }
  // A bell starts new work; without one, sets follow each other in one round. Exercises have their own time each.
  const bells = new Set(cues.filter((cue) => cue.kind === "bell").map((cue) => cue.atMs));
  const alone = segment.drill === "exercise";
  let first = place;
  while (
    !alone &&
    first > 0 &&
    segments[first - 1]?.kind === segment.kind &&
    !bells.has(segments[first]?.fromMs ?? 0)
  ) {
    first -= 1;
  }
  let last = place;
  while (!alone && segments[last + 1]?.kind === segment.kind && !bells.has(segments[last + 1]?.fromMs ?? 0)) {
    last += 1;
  }
  const from = segments[first]?.fromMs ?? segment.fromMs;
  const to = segments[last]?.toMs ?? segment.toMs;
  const begun = cues.filter((cue) => segment.fromMs <= cue.atMs && cue.atMs <= at);
  const here = cues.filter((cue) => segment.fromMs <= cue.atMs && cue.atMs < segment.toMs);
  const steps = here.filter((cue) => cue.isStep);
  const reached = steps.filter((cue) => cue.atMs <= at).length - 1;
  const shown = begun.filter((cue) => cue.stands).at(-1) ?? begun.filter((cue) => cue.isStep).at(-1);
  const isRest = segment.kind === "rest" || segment.kind === "changeover";
  const after = segments[place + 1];
  // During a rest, those of the work that comes.
  const reminders =
    (isRest
      ? cues.find((cue) => cue.atMs >= segment.toMs && cue.atMs < (after?.toMs ?? 0) && cue.reminders.length > 0)
      : begun.filter((cue) => cue.reminders.length > 0).at(-1)
    )?.reminders ?? [];
  const hints = [...segment.note.split(" · ").filter(Boolean), ...reminders];
  const counted = begun.filter((cue) => cue.kind === "aloud" || cue.kind === "repetitions").at(-1);
  const rung = here.filter((cue) => cue.kind === "rung");
  const ownPace = rung.length > 1 && rung.every((cue) => cue.atMs === segment.fromMs);
  // What begins together is done one after the other: none of it is the current one.
  const together = steps.length > 1 && steps.every((cue) => cue.atMs === steps[0]?.atMs);
  return {
    ...nothing,
    kind: segment.kind,
    segment,
    leftMs: to - at,
    setLeftMs: segment.toMs - at,
    part: (at - from) / Math.max(1, to - from),
    lastTen: begun.some((cue) => cue.kind === "last-ten"),
    title:
      begun.find((cue) => cue.kind === "changeover")?.short ??
      begun.find((cue) => cue.kind === "bell")?.short ??
      titleOf(cues, from) ??
      segment.block,
    // A rest shows what is done in it, where something is.
    shown: isRest && segment.drill === null ? null : ownPace ? (rung.at(-1) ?? null) : (shown ?? null),
    steps,
    step: ownPace || together ? -1 : reached,
    next:
      begun
        .filter((cue) => cue.kind === "next" || (cue.kind === "changeover" && segment.kind === "changeover"))
        .at(-1) ?? null,
    hint: hints[Math.floor((at - segment.fromMs) / HINT_MS) % Math.max(1, hints.length)] ?? "",
    reminders,
    station: (isRest ? after : segment)?.station ?? null,
    counted: counted?.kind === "aloud" ? counted.short : null,
  };
}

/** Returns the title of the last bell so far. */
function titleOf(cues: ProgrammeCue[], at: number): string | undefined {
  return cues.filter((cue) => cue.kind === "bell" && cue.atMs <= at).at(-1)?.short;
}

/** What a screen shows at a moment: the current chain, or the next one during a rest. */
export interface Standing {
  resting: boolean;
  /** Whether the cue is what comes after a rest, and not what is done now. */
  comes: boolean;
  cue: ProgrammeCue | null;
  chain: ProgrammeChain | null;
  /** Demonstrated slowly for everybody. */
  slowly: boolean;
  /** The stance in which each athlete throws it. */
  thrownIn: Record<Stance, Stance>;
  /** Whether that is not their own. */
  isOther: boolean;
}

export function standingAt(moment: TrackMoment, programme: Programme): Standing {
  const resting = ["rest", "before", "changeover"].includes(moment.kind);
  const comes = resting && moment.shown === null;
  const cue = comes ? moment.next : moment.shown;
  const isOther = cue?.stance === "other";
  return {
    resting,
    comes,
    cue,
    chain: cue?.chain == null ? null : (programme.chains[cue.chain] ?? null),
    slowly: comes || cue?.kind === "demonstration",
    thrownIn: isOther ? { orthodox: "southpaw", southpaw: "orthodox" } : { orthodox: "orthodox", southpaw: "southpaw" },
    isOther,
  };
}

/** Returns the numbers of a chain; of both stances where numbers are bound to the hand. */
export function numbersOf(chain: ProgrammeChain): string {
  const { orthodox, southpaw } = chain.numbers;
  return orthodox === southpaw ? orthodox : `${orthodox} / ${southpaw}`;
}

/** Returns the start of the next stretch after that moment; the end when there is none. */
export function stretchAfter(programme: Programme, at: number): number {
  return programme.stretches.find((ms) => ms > at) ?? programme.lengthMs;
}

/** Time in ms after the start of a stretch within which "back" goes to the previous one. */
const JUST_STARTED_MS = 3000;

/** Returns the start of this stretch, or of the previous one when this has only just started. */
export function stretchBefore(programme: Programme, at: number): number {
  return programme.stretches.filter((ms) => ms <= at - JUST_STARTED_MS).at(-1) ?? 0;
}
