import { useQuery } from "@tanstack/react-query";
import { answered, api } from "./client";
import { keys } from "./keys";

/** Strikes, moves, themes and limits from the core. */
export function useVocabulary() {
  return useQuery({
    queryKey: keys.vocabulary,
    queryFn: () => answered(api.GET("/api/vocabulary")),
    staleTime: Number.POSITIVE_INFINITY,
  }).data;
}
