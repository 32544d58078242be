import { useQuery } from "@tanstack/react-query";
import { answered, api } from "./client";
import { keys } from "./keys";

/** Strikes, moves, themes and limits as the core knows them. */
export function useVocabulary() {
  return useQuery({
    queryKey: keys.vocabulary,
    queryFn: () => answered(api.GET("/api/vocabulary")),
    staleTime: Number.POSITIVE_INFINITY,
  }).data;
}
