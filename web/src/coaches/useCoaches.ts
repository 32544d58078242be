import { useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, api, type Coach, server } from "../api/client";
import { refresh } from "../api/keys";

export function useCoaches() {
  return server.useQuery("get", "/api/coaches", undefined, { staleTime: 0 });
}

export function useChangeCoach() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, ...change }: Pick<Coach, "id"> & Partial<Pick<Coach, "role" | "active">>) =>
      answered(api.PUT("/api/coaches/{id}", { params: { path: { id } }, body: change })),
    // Links end with the rights of their creator and of the account they are for.
    onSettled: () => Promise.all([refresh(queries, "/api/coaches"), refresh(queries, "/api/invitations")]),
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
    onSettled: () => refresh(queries, "/api/invitations"),
  });
}

/** The valid links. */
export function useInvitations() {
  return server.useQuery("get", "/api/invitations", undefined, { staleTime: 0 });
}

export function useWithdraw() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: number) => answered(api.DELETE("/api/invitations/{id}", { params: { path: { id } } })),
    onSettled: () => refresh(queries, "/api/invitations"),
  });
}
