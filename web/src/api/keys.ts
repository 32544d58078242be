import type { QueryClient } from "@tanstack/react-query";

/** The query keys. A shorter key matches all keys that start with it. */
export const keys = {
  legend: ["legend"],
  session: ["session"],
  vocabulary: ["vocabulary"],
  numberings: ["numberings"],
  numberingPreview: (numbering: string) => ["numbering-preview", numbering],
  translation: (...asked: string[]) => ["translation", ...asked],
  checks: ["check"],
  check: (request: string) => ["check", request],
  generation: (criteria: string) => ["generation", criteria],
  combinations: ["combinations"],
  combinationPage: (filters: object) => ["combinations", filters],
  combination: (id: number) => ["combination", id],
  versions: (id: number, version: number) => ["versions", id, version],
  families: ["family"],
  family: (of: number | "overview") => ["family", of],
  nearDuplicates: ["combinations", "near-duplicates"],
  themes: ["combinations", "themes"],
  views: ["views"],
  proposals: ["proposals"],
  proposalPage: (...asked: unknown[]) => ["proposals", ...asked],
  proposal: (id: number | null) => ["proposal", id],
  houseRules: ["house-rules"],
  model: ["model"],
  effects: (...asked: string[]) => ["effects", ...asked],
  importLines: (...asked: unknown[]) => ["import-lines", ...asked],
  auditLog: ["audit-log"],
  auditLogPage: (...asked: unknown[]) => ["audit-log", ...asked],
  gym: ["gym"],
  status: ["status"],
  job: (key: string) => ["job", key],
  starterLibrary: (rules: string) => ["starter-library", rules],
  drills: ["drills"],
  advice: ["advice"],
  courses: ["courses"],
  plans: ["plans"],
  planList: (...asked: unknown[]) => ["plans", "list", ...asked],
  plan: (id: number) => ["plans", "one", id],
  planVersions: (id: number, version: number) => ["plans", "versions", id, version],
  planCheck: (content: string) => ["plan-check", content],
  runs: ["runs"],
  run: (id: number) => ["runs", id],
  runRecord: (id: number) => ["runs", id, "record"],
  walls: ["walls"],
  voice: ["voice"],
  logbook: ["logbook"],
  logPage: (...asked: unknown[]) => ["logbook", "page", ...asked],
  logEntry: (id: number) => ["logbook", "entry", id],
  reports: ["reports"],
  report: (name: string, asked: object) => ["reports", name, asked],
  measurements: (combination: number) => ["measurements", combination],
  cards: ["cards"],
  athleteCard: (key: string) => ["athlete-card", key],
  coaches: ["coaches"],
  invitations: ["invitations"],
  invitation: (token: string) => ["invitation", token],
};

/** Invalidates what depends on the logbook: reports, and when combinations were last drilled. */
export function logbookChanged(queries: QueryClient): void {
  for (const queryKey of [keys.logbook, keys.reports, keys.combinations, keys.auditLog]) {
    void queries.invalidateQueries({ queryKey });
  }
  void queries.invalidateQueries({ queryKey: ["combination"] });
}

/** Invalidates what depends on the library: lists, and similar combinations on the bench. */
export function libraryChanged(queries: QueryClient): void {
  for (const queryKey of [keys.combinations, keys.families, keys.proposals, keys.auditLog, keys.checks]) {
    void queries.invalidateQueries({ queryKey });
  }
}
