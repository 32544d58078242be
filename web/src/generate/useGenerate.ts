import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { answered, api, type GenerateRequest } from "../api/client";
import { keys } from "../api/keys";

/** Chains made from criteria; the same criteria with the same seed are the same chains. */
export function useGenerate(criteria: GenerateRequest) {
  return useQuery({
    queryKey: keys.generation(JSON.stringify(criteria)),
    queryFn: ({ signal }) => answered(api.POST("/api/generate", { body: criteria, signal })),
    staleTime: Number.POSITIVE_INFINITY,
    placeholderData: keepPreviousData,
  });
}
