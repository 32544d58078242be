import { useQuery } from "@tanstack/react-query";
import { answered, api } from "./client";

/** Strikes, moves, themes and limits as the core knows them. */
export function useVocabulary() {
  return useQuery({
    queryKey: ["vocabulary"],
    queryFn: () => answered(api.GET("/api/vocabulary")),
    staleTime: Number.POSITIVE_INFINITY,
  }).data;
}
