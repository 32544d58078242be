import { keepPreviousData, useMutation, useQueryClient } from "@tanstack/react-query";
import {
  answered,
  api,
  type BulkRequest,
  type MergeRequest,
  type NearDuplicates,
  server,
  type ThemeRequest,
} from "../api/client";
import { libraryChanged } from "../api/keys";
import type { operations } from "../api/schema";

export type Filters = NonNullable<operations["listCombinations"]["parameters"]["query"]>;

export function useLibrary(filters: Filters) {
  return server.useQuery(
    "get",
    "/api/combinations",
    { params: { query: filters } },
    { placeholderData: keepPreviousData },
  );
}

export function useViews() {
  return server.useQuery("get", "/api/views");
}

export type BulkAction = BulkRequest["action"];

/** Changes several combinations together, or none. */
export function useBulk() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: BulkRequest) => answered(api.POST("/api/combinations/bulk", { body })),
    onSettled: () => libraryChanged(queries),
  });
}

export type Pair = NearDuplicates["pairs"][number];

export function useNearDuplicates() {
  return server.useQuery("get", "/api/near-duplicates");
}

/** Merges two combinations. */
export function useMerge() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: MergeRequest) => answered(api.POST("/api/combinations/merge", { body })),
    onSettled: () => libraryChanged(queries),
  });
}

export function useRenameTheme() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: ThemeRequest) => answered(api.POST("/api/themes/rename", { body })),
    onSettled: () => libraryChanged(queries),
  });
}
