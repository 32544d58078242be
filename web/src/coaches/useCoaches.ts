import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, api, type Coach } from "../api/client";

const header = { "X-CSRF-Token": "" };

export function useCoaches() {
  return useQuery({
    queryKey: ["coaches"],
    queryFn: ({ signal }) => answered(api.GET("/api/coaches", { signal })),
    staleTime: 0,
  });
}

export function useChangeCoach() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, role, active }: Pick<Coach, "id" | "role" | "active">) =>
      answered(api.PUT("/api/coaches/{id}", { params: { path: { id }, header }, body: { role, active } })),
    onSettled: () => queries.invalidateQueries({ queryKey: ["coaches"] }),
  });
}

/** A link that invites someone, or that sets a coach's password anew. The link itself is shown once. */
export function useMakeLink() {
  return useMutation({
    mutationFn: async (to: { role: Coach["role"] } | { reset: number }) => {
      const made =
        "reset" in to
          ? await answered(api.POST("/api/coaches/{id}/reset", { params: { path: { id: to.reset }, header } }))
          : await answered(api.POST("/api/invitations", { params: { header }, body: to }));
      return { ...made, link: `${window.location.origin}/join/${made.token}` };
    },
  });
}
