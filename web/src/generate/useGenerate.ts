import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { answered, api, type GenerateRequest } from "../api/client";

/** Chains made from criteria; the same criteria with the same seed are the same chains. */
export function useGenerate(criteria: GenerateRequest) {
  return useQuery({
    queryKey: ["generate", JSON.stringify(criteria)],
    queryFn: ({ signal }) =>
      answered(api.POST("/api/generate", { params: { header: { "X-CSRF-Token": "" } }, body: criteria, signal })),
    staleTime: Number.POSITIVE_INFINITY,
    placeholderData: keepPreviousData,
  });
}
