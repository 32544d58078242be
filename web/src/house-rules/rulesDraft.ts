import type { RulesRequest } from "../api/client";

/** House rules while they are edited. */
export type Draft = RulesRequest & { calibration: Record<string, number> };

export const pick = ({ schools, severities, thresholds, calibration }: RulesRequest): Draft => ({
  schools,
  severities,
  thresholds,
  calibration: calibration ?? {},
});

/** Restores unsaved changes after a reload, with the version they are based on. */
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
