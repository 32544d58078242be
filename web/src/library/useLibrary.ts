import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { answered, api } from "../api/client";
import { keys } from "../api/keys";
import type { operations } from "../api/schema";

export type Filters = NonNullable<operations["listCombinations"]["parameters"]["query"]>;

export function useLibrary(filters: Filters) {
  return useQuery({
    queryKey: keys.combinationPage(filters),
    queryFn: ({ signal }) => answered(api.GET("/api/combinations", { params: { query: filters }, signal })),
    placeholderData: keepPreviousData,
  });
}

export function useViews() {
  return useQuery({
    queryKey: keys.views,
    queryFn: ({ signal }) => answered(api.GET("/api/views", { signal })),
  });
}
