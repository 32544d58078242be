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
