import { useQuery } from "@tanstack/react-query";
import { answered, api } from "../api/client";
import { keys } from "../api/keys";

export function useFamily(id: number) {
  return useQuery({
    queryKey: keys.family(id),
    queryFn: ({ signal }) => answered(api.GET("/api/combinations/{id}/family", { params: { path: { id } }, signal })),
  });
}

export function useFamilyOverview() {
  return useQuery({
    queryKey: keys.family("overview"),
    queryFn: ({ signal }) => answered(api.GET("/api/family", { signal })),
  });
}
