import type { Combination, NumberingId, Proposal, Rules, Stance } from "../api/client";

/** Everything on the bench that a coach has typed or chosen. */
export interface Draft {
  text: string;
  stance: Stance;
  /** Chosen by the coach; null for those that the chain asks for. */
  rules: Rules | null;
  numbering: NumberingId;
  name: string;
  themes: string[];
  /** Given by the coach; null for what the check makes of it. */
  level: number | null;
  note: string;
  /** The version this was made from; null for a new combination. */
  basedOn: number | null;
}

export const EMPTY: Draft = {
  text: "",
  stance: "orthodox",
  rules: null,
  numbering: "parity",
  name: "",
  themes: [],
  level: null,
  note: "",
  basedOn: null,
};

/** A stored combination, in the numbers that its text was sent in. */
export function draftOf(combination: Combination, numbering: NumberingId): Draft {
  const { text, stance, rules, name, themes, note, version } = combination;
  return { text, stance, rules, numbering, name, themes, level: chosenLevel(combination), note, basedOn: version };
}

/** What a proposal would put in place, in the numbers that its text was sent in. */
export function draftOfProposal(proposal: Proposal, numbering: NumberingId): Draft {
  const { text, stance, rules, name, themes, note } = proposal.result;
  const basedOn = proposal.combination?.version ?? null;
  return { text, stance, rules, numbering, name, themes, level: chosenLevel(proposal.result), note, basedOn };
}

/** The level that a coach gave; null where it follows the check. */
function chosenLevel({ level, levelChosen }: Pick<Combination, "level" | "levelChosen">): number | null {
  return levelChosen ? level : null;
}

/** The state of an address that opens the bench with the drawer in which it is named and saved. */
export const TO_SAVE = "save";

const place = (id: string) => `periplus.bench.${id}`;

/**
 * What was on the bench before a reload; the chain in the address goes first, since a link means what it says, with
 * everything else as it is stored. What it takes the place of is `before` it, so that an undo brings it back.
 */
export function recall(
  id: string,
  address: URLSearchParams,
  stored: Draft | null,
): { now: Draft | null; before: Draft | null } {
  let kept: Draft | null = null;
  try {
    const written = localStorage.getItem(place(id));
    kept = written ? { ...EMPTY, ...(JSON.parse(written) as Partial<Draft>) } : null;
  } catch {
    kept = null;
  }
  const text = address.get("chain");
  if (text === null) {
    return { now: kept ?? stored, before: null };
  }
  const same = kept?.text === text ? kept : null;
  const base = same ?? stored ?? EMPTY;
  const now = {
    ...base,
    text,
    stance: (address.get("stance") as Stance | null) ?? base.stance,
    rules: (address.get("rules") as Rules | null) ?? base.rules,
    numbering: (address.get("numbering") as NumberingId | null) ?? base.numbering,
    // Made from the version that the link was made from, not from what another coach has saved since.
    basedOn: base.basedOn && (Number(address.get("version")) || base.basedOn),
  };
  return { now, before: same ? null : kept };
}

export function keep(id: string, draft: Draft): void {
  localStorage.setItem(place(id), JSON.stringify(draft));
}

export function forget(id: string): void {
  localStorage.removeItem(place(id));
}

/** The part of a draft that makes a link. */
export function addressOf(draft: Draft): Record<string, string> {
  const { text, stance, rules, numbering, basedOn } = draft;
  const version: Record<string, string> = basedOn === null ? {} : { version: String(basedOn) };
  return text === "" ? {} : { chain: text, stance, ...(rules ? { rules } : {}), numbering, ...version };
}

const ASIDE = "periplus.bench.aside";

/** Keeps what stood on the bench before a new combination was begun. */
export function layAside(draft: Draft): void {
  localStorage.setItem(ASIDE, JSON.stringify(draft));
}

/** What was laid aside last; null when there is nothing. */
export function laidAside(): Draft | null {
  try {
    const written = localStorage.getItem(ASIDE);
    return written ? { ...EMPTY, ...(JSON.parse(written) as Partial<Draft>) } : null;
  } catch {
    return null;
  }
}
