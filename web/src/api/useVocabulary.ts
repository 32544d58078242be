import { server } from "./client";

/** Strikes, moves, themes and limits from the core. */
export function useVocabulary() {
  return server.useQuery("get", "/api/vocabulary", undefined, { staleTime: Number.POSITIVE_INFINITY }).data;
}
