import { useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, api } from "../api/client";
import { refresh } from "../api/keys";

/** Accepts the verdicts of an update, which are not shown again. */
export function useAccept() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (id: number) => {
      await answered(api.POST("/api/verdict-changes/{id}/accept", { params: { path: { id } } }));
    },
    onSettled: async () => {
      await refresh(queries, "/api/verdict-changes");
      await refresh(queries, "/api/today");
    },
  });
}
