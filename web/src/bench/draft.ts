import type { Combination, NumberingId, Proposal, Rules, Stance } from "../api/client";

/** Everything that a coach has typed or chosen on the bench. */
export interface Draft {
  text: string;
  stance: Stance;
  /** Chosen by the coach; null to infer them from the chain. */
  rules: Rules | null;
  numbering: NumberingId;
  name: string;
  themes: string[];
  /** Chosen by the coach; null to follow the check. */
  level: number | null;
  note: string;
  /** The version it is based on; null for a new combination. */
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

/** Returns the draft of a stored combination, in the numbering of its text. */
export function draftOf(combination: Combination, numbering: NumberingId): Draft {
  const { text, stance, rules, name, themes, note, version } = combination;
  return { text, stance, rules, numbering, name, themes, level: chosenLevel(combination), note, basedOn: version };
}

/** Returns the draft of a proposal, in the numbering of its text. */
export function draftOfProposal(proposal: Proposal, numbering: NumberingId): Draft {
  const { text, stance, rules, name, themes, note } = proposal.result;
  const basedOn = proposal.combination?.version ?? null;
  return { text, stance, rules, numbering, name, themes, level: chosenLevel(proposal.result), note, basedOn };
}

/** Returns the level that a coach chose; null where it follows the check. */
function chosenLevel({ level, levelChosen }: Pick<Combination, "level" | "levelChosen">): number | null {
  return levelChosen ? level : null;
}

/** The location state that opens the bench with the save drawer. */
export const TO_SAVE = "save";

const place = (id: string) => `periplus.bench.${id}`;

/**
 * Restores the draft after a reload. A chain in the URL takes precedence, with the other fields from storage; what it
 * replaces is `before` it, so that undo brings it back.
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
    // Based on the version of the link, not on what another coach has saved since.
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

/** Returns the query parameters of a shareable link. */
export function addressOf(draft: Draft): Record<string, string> {
  const { text, stance, rules, numbering, basedOn } = draft;
  const version: Record<string, string> = basedOn === null ? {} : { version: String(basedOn) };
  return text === "" ? {} : { chain: text, stance, ...(rules ? { rules } : {}), numbering, ...version };
}

const ASIDE = "periplus.bench.aside";

/** Keeps the current line before a new combination is started. */
export function layAside(draft: Draft): void {
  localStorage.setItem(ASIDE, JSON.stringify(draft));
}

/** Returns the line that was set aside last; null when there is none. */
export function laidAside(): Draft | null {
  try {
    const written = localStorage.getItem(ASIDE);
    return written ? { ...EMPTY, ...(JSON.parse(written) as Partial<Draft>) } : null;
  } catch {
    return null;
  }
}
