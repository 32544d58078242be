import type { Combination, Proposal, Rules, SchemeId, Stance } from "../api/client";

/** Everything on the bench that a coach has typed or chosen. */
export interface Draft {
  text: string;
  stance: Stance;
  rules: Rules;
  scheme: SchemeId;
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
  rules: "all-limbs",
  scheme: "parity",
  name: "",
  themes: [],
  level: null,
  note: "",
  basedOn: null,
};

/** A stored combination, in the numbers that its text was sent in. */
export function draftOf(combination: Combination, scheme: SchemeId): Draft {
  const { text, stance, rules, name, themes, level, note, version } = combination;
  return { text, stance, rules, scheme, name, themes, level, note, basedOn: version };
}

/** What a proposal would put in place, in the numbers that its text was sent in. */
export function draftOfProposal(proposal: Proposal, scheme: SchemeId): Draft {
  const { text, stance, rules, name, themes, level, note } = proposal.result;
  const basedOn = proposal.combination?.version ?? null;
  return { text, stance, rules, scheme, name, themes, level, note, basedOn };
}

const place = (id: string) => `periplus.bench.${id}`;

/** What was on the bench before a reload; the chain in the address goes first, since a link means what it says. */
export function recall(id: string, address: URLSearchParams): Draft | null {
  let kept: Draft | null = null;
  try {
    const stored = localStorage.getItem(place(id));
    kept = stored ? { ...EMPTY, ...(JSON.parse(stored) as Partial<Draft>) } : null;
  } catch {
    kept = null;
  }
  const text = address.get("chain");
  if (text === null) {
    return kept;
  }
  const base = kept && kept.text === text ? kept : { ...EMPTY, basedOn: kept?.basedOn ?? null, name: kept?.name ?? "" };
  return {
    ...base,
    text,
    stance: (address.get("stance") as Stance | null) ?? base.stance,
    rules: (address.get("rules") as Rules | null) ?? base.rules,
    scheme: (address.get("scheme") as SchemeId | null) ?? base.scheme,
  };
}

export function keep(id: string, draft: Draft): void {
  localStorage.setItem(place(id), JSON.stringify(draft));
}

export function forget(id: string): void {
  localStorage.removeItem(place(id));
}

/** The part of a draft that makes a link. */
export function addressOf(draft: Draft): Record<string, string> {
  return draft.text === "" ? {} : { chain: draft.text, stance: draft.stance, rules: draft.rules, scheme: draft.scheme };
}
