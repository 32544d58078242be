import type { QueryClient } from "@tanstack/react-query";
import type { paths } from "./schema";

/** A path that can be asked. */
type Path = { [path in keyof paths]: paths[path] extends { get: unknown } ? path : never }[keyof paths];

/** Keys of the queries that are not kept under their path. A shorter key matches all keys that start with it. */
export const keys = {
  session: ["session"],
  translation: (...asked: string[]) => ["translation", ...asked],
  checks: ["check"],
  check: (request: string) => ["check", request],
};

/** Asks the server again for everything that was asked of these paths. */
export function refresh(queries: QueryClient, ...paths: Path[]): Promise<unknown> {
  return Promise.all(paths.map((path) => queries.invalidateQueries({ queryKey: ["get", path] })));
}

/** Refreshes what depends on the logbook: reports, and when combinations were last drilled. */
export function logbookChanged(queries: QueryClient): void {
  void refresh(
    queries,
    "/api/logbook/entries",
    "/api/logbook/entries/{id}",
    "/api/combinations",
    "/api/combinations/{id}",
    "/api/near-duplicates",
    "/api/themes",
    "/api/audit-log",
  );
  reportsChanged(queries);
}

/** Refreshes all reports. */
export function reportsChanged(queries: QueryClient): void {
  void refresh(
    queries,
    "/api/reports/drilled",
    "/api/reports/load",
    "/api/reports/links",
    "/api/reports/faults",
    "/api/reports/planned",
    "/api/reports/month",
    "/api/courses/{id}/due",
    "/api/courses/{id}/path",
    "/api/courses/{id}/syllabus",
  );
}

/** Refreshes what depends on the library: lists, and similar combinations on the bench. */
export function libraryChanged(queries: QueryClient): void {
  void refresh(
    queries,
    "/api/combinations",
    "/api/near-duplicates",
    "/api/themes",
    "/api/combinations/{id}/family",
    "/api/family",
    "/api/proposals",
    "/api/audit-log",
  );
  void queries.invalidateQueries({ queryKey: keys.checks });
}
