import { keepPreviousData, useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, api, type EntryRequest, ifMatch, type LogEntry, server } from "../api/client";
import { logbookChanged } from "../api/keys";

export interface LogFilters {
  course?: number;
  unchecked?: boolean;
  removed?: boolean;
  page: number;
}

/** Logbook entries, newest first. */
export function useLogPage(filters: LogFilters) {
  return server.useQuery(
    "get",
    "/api/logbook/entries",
    { params: { query: filters } },
    { placeholderData: keepPreviousData },
  );
}

/** What a planned session puts into the logbook. */
export function usePlannedEntry(plan: number | null) {
  return server.useQuery(
    "get",
    "/api/logbook/planned/{id}",
    { params: { path: { id: plan ?? 0 } } },
    { enabled: plan !== null },
  );
}

/** Planned sessions of the last days that are not in the logbook. */
export function useUnlogged() {
  return server.useQuery("get", "/api/today").data?.unlogged ?? [];
}

/** Who attended the last session of a course in which somebody counted. */
export function useLastAttendance(course: number | null) {
  const entries = useLogPage(course === null ? { page: 1 } : { course, page: 1 }).data?.entries ?? [];
  return course === null
    ? undefined
    : entries.find((entry) => entry.course?.id === course && (entry.orthodox !== null || entry.southpaw !== null));
}

/** The names of everybody who may have coached. */
export function useCoachNames() {
  return useLogPage({ page: 1 }).data?.coaches ?? [];
}

export function useLogEntry(id: number) {
  return server.useQuery("get", "/api/logbook/entries/{id}", { params: { path: { id } } });
}

export const writeEntry = (body: EntryRequest) => answered(api.POST("/api/logbook/entries", { body }));

export const correctEntry = (id: number, version: number, body: EntryRequest) =>
  answered(api.PUT("/api/logbook/entries/{id}", { params: { path: { id }, header: ifMatch(version) }, body }));

/** Deletes or restores an entry of the logbook. */
export function useDeleteEntry() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ entry, restore }: { entry: Pick<LogEntry, "id" | "version">; restore: boolean }) =>
      answered(
        api.POST(restore ? "/api/logbook/entries/{id}/restore" : "/api/logbook/entries/{id}/remove", {
          params: { path: { id: entry.id }, header: ifMatch(entry.version) },
        }),
      ),
    onSuccess: () => logbookChanged(queries),
  });
}
