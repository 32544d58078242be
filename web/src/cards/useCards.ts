import { useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, api, type CardRequest, server } from "../api/client";
import { refresh } from "../api/keys";

export function useCards() {
  return server.useQuery("get", "/api/cards", undefined, { select: (answer) => answer.cards });
}

export function useCreateCard() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: CardRequest) => answered(api.POST("/api/cards", { body })),
    onSuccess: () => refresh(queries, "/api/cards"),
  });
}

export function useRevokeCard() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: number) => answered(api.POST("/api/cards/{id}/revoke", { params: { path: { id } } })),
    onSuccess: () => refresh(queries, "/api/cards"),
  });
}

/** A card as the athlete reads it, without sign-in. */
export function useAthleteCard(key: string) {
  return server.useQuery("get", "/api/athlete-cards/{key}", { params: { path: { key } } });
}

/** Returns the URL that an athlete opens. */
export const cardAddress = (key: string) => `${window.location.origin}/card/${key}`;
