import type { Programme, ProgrammeCue, ProgrammeSegment, RunState, Screen } from "../api/client";

/** A cue of a programme for tests. */
export function cue(atMs: number, kind: string, values: Partial<ProgrammeCue> = {}): ProgrammeCue {
  const track = values.track ?? null;
  return {
    key: `${atMs}-${track ?? "all"}-${kind}-${values.text?.length ?? 1}`,
    atMs,
    track,
    kind,
    text: kind,
    short: values.text ?? kind,
    stands: false,
    isStep: false,
    before: null,
    after: null,
    stance: "own",
    lengthMs: null,
    marked: [],
    reminders: [],
    chain: null,
    beside: [],
    sound: null,
    ...values,
  };
}

/** A cue that says what is drilled from then on. */
export function shows(atMs: number, kind: string, values: Partial<ProgrammeCue> = {}): ProgrammeCue {
  return cue(atMs, kind, { stands: true, ...values });
}

export function segment(
  fromS: number,
  toS: number,
  kind: ProgrammeSegment["kind"],
  values: Partial<ProgrammeSegment> = {},
): ProgrammeSegment {
  return {
    fromMs: 1000 * fromS,
    toMs: 1000 * toS,
    track: null,
    kind,
    block: "Rounds",
    drill: kind === "work" ? "repeat" : null,
    title: kind === "work" ? "Repeat" : null,
    medium: "bag",
    purpose: null,
    pace: null,
    station: null,
    moves: false,
    note: "",
    stance: "own",
    combinations: [],
    ...values,
  };
}

export function programme(
  segments: ProgrammeSegment[],
  cues: ProgrammeCue[],
  values: Partial<Programme> = {},
): Programme {
  const starts = [...new Set(segments.map((one) => one.fromMs))].sort((one, other) => one - other);
  return {
    version: 1,
    name: "Test",
    lengthMs: Math.max(0, ...segments.map((one) => one.toMs)),
    needs: [],
    tracks: [],
    stretches: starts,
    waits: [],
    segments,
    opening: [],
    cues,
    said: [],
    chains: [],
    ...values,
  };
}

export const running: RunState = {
  zeroMs: 1_000_000,
  passage: "start-0001",
  pausedMs: null,
  endedMs: null,
  speed: 1,
  holdMs: null,
};

export function screen(state: RunState = running, revision = 1, version = 1): Screen {
  return {
    kind: "wall",
    gym: "Saltworks",
    name: "Floor",
    hasKeys: true,
    numberings: [],
    nowMs: 0,
    run: { id: 7, name: "Liver", revision, programme: version, lengthMs: 600_000, followKey: "f".repeat(32), state },
  };
}
