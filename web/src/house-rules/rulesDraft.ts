import type { RulesRequest } from "../api/client";

/** House rules as they are being changed. */
export type Draft = RulesRequest & { calibration: Record<string, number> };

export const pick = ({ schools, severities, thresholds, calibration }: RulesRequest): Draft => ({
  schools,
  severities,
  thresholds,
  calibration: calibration ?? {},
});

/** What was changed and not saved yet is kept through a reload, for the version it was made from. */
export function recall(place: string): Draft | null {
  try {
    const kept = JSON.parse(localStorage.getItem(place) ?? "null") as RulesRequest | null;
    return kept && pick(kept);
  } catch {
    return null;
  }
}

export function keep(place: string, rules: RulesRequest | null): void {
  if (rules === null) {
    localStorage.removeItem(place);
  } else {
    localStorage.setItem(place, JSON.stringify(rules));
  }
}
