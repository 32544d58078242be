import { useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, api, type Combination, ifMatch, type SaveRequest, server } from "../api/client";
import { libraryChanged, refresh } from "../api/keys";

export function useCombination(id: number | null) {
  return server.useQuery(
    "get",
    "/api/combinations/{id}",
    { params: { path: { id: id ?? 0 } } },
    { enabled: id !== null },
  );
}

export function useVersions(id: number) {
  return server.useQuery("get", "/api/combinations/{id}/versions", { params: { path: { id } } });
}

/** Stores the answer in the cache and invalidates the lists. */
function useRemember() {
  const queries = useQueryClient();
  return (combination: Combination) => {
    queries.setQueryData(
      server.queryOptions("get", "/api/combinations/{id}", { params: { path: { id: combination.id } } }).queryKey,
      combination,
    );
    libraryChanged(queries);
    void refresh(queries, "/api/combinations/{id}/versions");
  };
}

/** Saves a new combination, or a change of the one with that id. */
export function useSave(id: number | null) {
  const remember = useRemember();
  return useMutation({
    mutationFn: ({ body, basedOn }: { body: SaveRequest; basedOn: number | null }) =>
      id === null
        ? answered(api.POST("/api/combinations", { body }))
        : answered(
            api.PUT("/api/combinations/{id}", { params: { path: { id }, header: ifMatch(basedOn ?? 0) }, body }),
          ),
    onSuccess: remember,
  });
}

/** Restores an earlier version as the newest. */
export function useRestoreVersion(id: number) {
  const remember = useRemember();
  return useMutation({
    mutationFn: ({ version, back }: { version: number; back: number }) =>
      answered(
        api.POST("/api/combinations/{id}/versions/{version}/bring-back", {
          params: { path: { id, version: back }, header: ifMatch(version) },
        }),
      ),
    onSuccess: remember,
  });
}

/** Archives or restores a combination. */
export function useArchive(id: number) {
  const remember = useRemember();
  return useMutation({
    mutationFn: ({ restore, version }: { restore: boolean; version: number }) => {
      const params = { path: { id }, header: ifMatch(version) };
      return answered(
        restore
          ? api.POST("/api/combinations/{id}/restore", { params })
          : api.POST("/api/combinations/{id}/archive", { params }),
      );
    },
    onSuccess: remember,
  });
}
