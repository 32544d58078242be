import { useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, api, type SessionLinkRequest, server } from "../api/client";
import { refresh } from "../api/keys";

export function useSessionLinks() {
  return server.useQuery("get", "/api/session-links", undefined, { select: (answer) => answer.links });
}

export function useCreateSessionLink() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: SessionLinkRequest) => answered(api.POST("/api/session-links", { body })),
    onSuccess: () => refresh(queries, "/api/session-links"),
  });
}

export function useRevokeSessionLink() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: number) => answered(api.POST("/api/session-links/{id}/revoke", { params: { path: { id } } })),
    onSuccess: () => refresh(queries, "/api/session-links"),
  });
}

/** Returns the URL that an athlete opens. */
export const sessionAddress = (key: string) => `${window.location.origin}/at-home/${key}`;
