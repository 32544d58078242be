import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { answered, api, type GenerateRequest } from "../api/client";

/** Chains made from wishes; the same wishes with the same seed are the same chains. */
export function useGenerate(wishes: GenerateRequest) {
  return useQuery({
    queryKey: ["generate", JSON.stringify(wishes)],
    queryFn: ({ signal }) =>
      answered(api.POST("/api/generate", { params: { header: { "X-CSRF-Token": "" } }, body: wishes, signal })),
    staleTime: Number.POSITIVE_INFINITY,
    placeholderData: keepPreviousData,
  });
}

/** What the combination lines of the results draw. */
export function useLine(text: string, wishes: GenerateRequest) {
  const body = { text, rules: wishes.rules, stance: wishes.stance, scheme: wishes.scheme, tempo: wishes.tempo };
  return useQuery({
    queryKey: ["check", JSON.stringify(body)],
    queryFn: ({ signal }) =>
      answered(
        api.POST("/api/check", {
          params: { header: { "X-CSRF-Token": "" } },
          body: JSON.parse(JSON.stringify(body)),
          signal,
        }),
      ),
    staleTime: Number.POSITIVE_INFINITY,
  });
}
