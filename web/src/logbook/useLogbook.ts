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
