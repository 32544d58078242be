import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, api, type Coach } from "../api/client";
import { keys } from "../api/keys";

export function useCoaches() {
  return useQuery({
    queryKey: keys.coaches,
    queryFn: ({ signal }) => answered(api.GET("/api/coaches", { signal })),
    staleTime: 0,
  });
}

export function useChangeCoach() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, ...change }: Pick<Coach, "id"> & Partial<Pick<Coach, "role" | "active">>) =>
      answered(api.PUT("/api/coaches/{id}", { params: { path: { id } }, body: change })),
    // Links end with the rights of their creator and of the account they are for.
    onSettled: () =>
      Promise.all([
        queries.invalidateQueries({ queryKey: keys.coaches }),
        queries.invalidateQueries({ queryKey: keys.invitations }),
      ]),
  });
}

/** Creates a link for a new coach or a new password. The link is shown once. */
export function useMakeLink() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (to: { role: Coach["role"]; meantFor: string } | { reset: number }) => {
      const made =
        "reset" in to
          ? await answered(api.POST("/api/coaches/{id}/reset", { params: { path: { id: to.reset } } }))
          : await answered(api.POST("/api/invitations", { body: to }));
      return { ...made, link: `${window.location.origin}/join#${made.token}` };
    },
    onSettled: () => queries.invalidateQueries({ queryKey: keys.invitations }),
  });
}

/** The valid links. */
export function useInvitations() {
  return useQuery({
    queryKey: keys.invitations,
    queryFn: ({ signal }) => answered(api.GET("/api/invitations", { signal })),
    staleTime: 0,
  });
}

export function useWithdraw() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: number) => answered(api.DELETE("/api/invitations/{id}", { params: { path: { id } } })),
    onSettled: () => queries.invalidateQueries({ queryKey: keys.invitations }),
  });
}
