import type { EntryRequest, LogEntry } from "../api/client";

/** One drilled combination in an entry by hand. */
export interface SaidCombination {
  id: number;
  name: string;
  text: string;
  minutes: number;
  stance: "own" | "other" | "both";
}

/** A logbook entry while a coach edits it. */
export interface EntryDraft {
  day: string;
  /** The planned session that took place. */
  plan: number | null;
  name: string;
  course: number | null;
  coach: number | null;
  orthodox: number | null;
  southpaw: number | null;
  levels: Record<string, number>;
  effort: number | null;
  note: string;
  /** The links that fell apart, by chain and index. */
  fallen: EntryRequest["fallen"] & object;
  /** Null for a session that ran or is logged as planned: the record or the plan says what was drilled. */
  combinations: SaidCombination[] | null;
}

export function emptyDraft(day: string, course: number | null): EntryDraft {
  return {
    day,
    plan: null,
    name: "",
    course,
    coach: null,
    orthodox: null,
    southpaw: null,
    levels: {},
    effort: null,
    note: "",
    fallen: [],
    combinations: [],
  };
}

export function draftOf(entry: LogEntry): EntryDraft {
  return {
    day: entry.day,
    plan: entry.plan,
    name: entry.name,
    course: entry.course?.id ?? null,
    coach: entry.coach.id,
    orthodox: entry.orthodox,
    southpaw: entry.southpaw,
    levels: entry.levels,
    effort: entry.effort,
    note: entry.note,
    fallen: entry.drilled.flatMap(({ notation, stance, fallen }) =>
      fallen.map(({ link, fault }) => ({ notation, stance, link, fault })),
    ),
    combinations: null,
  };
}

export function requestOf(draft: EntryDraft, id: string | null): EntryRequest {
  return {
    day: draft.day,
    id,
    plan: draft.plan,
    name: draft.name,
    course: draft.course,
    coach: draft.coach,
    orthodox: draft.orthodox,
    southpaw: draft.southpaw,
    levels: draft.levels,
    effort: draft.effort,
    note: draft.note,
    fallen: draft.fallen,
    combinations:
      draft.combinations === null
        ? null
        : draft.combinations.map(({ id: combination, minutes, stance }) => ({ combination, minutes, stance })),
  };
}

/** Returns the draft with a link marked as fallen apart, or unmarked. */
export function toggled(
  fallen: EntryDraft["fallen"],
  chain: { notation: string; stance: "orthodox" | "southpaw" },
  link: number,
): EntryDraft["fallen"] {
  const without = fallen.filter(
    (one) => !(one.notation === chain.notation && one.stance === chain.stance && one.link === link),
  );
  return without.length < fallen.length
    ? without
    : [...fallen, { notation: chain.notation, stance: chain.stance, link, fault: null }];
}

/** Returns the draft with the fault that was seen at a link; the same one again takes it away. */
export function withFault(
  fallen: EntryDraft["fallen"],
  chain: { notation: string; stance: "orthodox" | "southpaw" },
  link: number,
  fault: string,
): EntryDraft["fallen"] {
  return fallen.map((one) =>
    one.notation === chain.notation && one.stance === chain.stance && one.link === link
      ? { ...one, fault: one.fault === fault ? null : fault }
      : one,
  );
}
