import type { Syllabus, SyllabusRequest } from "../api/client";

export interface DraftCombination {
  id: number;
  name: string;
  text: string;
}

/** A week while a coach edits it. */
export interface DraftWeek {
  /** Identifies it while weeks are moved. */
  key: string;
  theme: string;
  note: string;
  combinations: DraftCombination[];
}

export interface SyllabusDraft {
  startsOn: string | null;
  weeks: DraftWeek[];
}

let made = 0;

export function newWeek(combinations: DraftCombination[] = [], theme = ""): DraftWeek {
  made += 1;
  return { key: `week ${made}`, theme, note: "", combinations };
}

/** Returns a week as it was read, to be edited. */
export function weekOf({ theme, note, combinations }: Omit<DraftWeek, "key">): DraftWeek {
  return {
    ...newWeek(
      combinations.map(({ id, name, text }) => ({ id, name, text })),
      theme,
    ),
    note,
  };
}

export function draftOf(syllabus: Syllabus): SyllabusDraft {
  return {
    startsOn: syllabus.startsOn,
    weeks: syllabus.weeks.map((week) =>
      weekOf({ ...week, combinations: week.combinations.map(({ combination }) => combination) }),
    ),
  };
}

export function requestOf({ startsOn, weeks }: SyllabusDraft): SyllabusRequest {
  return {
    startsOn,
    weeks: weeks.map(({ theme, note, combinations }) => ({
      theme,
      note,
      combinations: combinations.map(({ id }) => id),
    })),
  };
}

/** Returns whether both teach the same combinations in the same weeks, so that what is said of one holds for the other. */
export function teachTheSame(one: SyllabusDraft, other: SyllabusDraft): boolean {
  const taught = (draft: SyllabusDraft) => {
    const { startsOn, weeks } = requestOf(draft);
    return JSON.stringify([startsOn, weeks.map(({ combinations }) => combinations)]);
  };
  return taught(one) === taught(other);
}

/** Returns the weeks with the one at a place moved to another place. */
export function moved(weeks: readonly DraftWeek[], from: number, to: number): DraftWeek[] {
  const week = weeks[from];
  if (!week || to < 0 || to >= weeks.length) {
    return [...weeks];
  }
  const others = weeks.filter((_, at) => at !== from);
  return [...others.slice(0, to), week, ...others.slice(to)];
}

/** Returns the draft with a week for each combination, after those that are there; none twice. */
export function withSteps(draft: SyllabusDraft, steps: DraftCombination[]): SyllabusDraft {
  const known = new Set(draft.weeks.flatMap(({ combinations }) => combinations.map(({ id }) => id)));
  const fresh = steps.filter(({ id }) => !known.has(id));
  return { ...draft, weeks: [...draft.weeks, ...fresh.map((step) => newWeek([step]))] };
}
