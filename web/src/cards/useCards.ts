import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, api, type CardRequest } from "../api/client";
import { keys } from "../api/keys";

export function useCards() {
  return useQuery({
    queryKey: keys.cards,
    queryFn: ({ signal }) => answered(api.GET("/api/cards", { signal })).then((answer) => answer.cards),
  });
}

export function useCreateCard() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: CardRequest) => answered(api.POST("/api/cards", { body })),
    onSuccess: () => queries.invalidateQueries({ queryKey: keys.cards }),
  });
}

export function useRevokeCard() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: number) => answered(api.POST("/api/cards/{id}/revoke", { params: { path: { id } } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: keys.cards }),
  });
}

/** A card as the athlete reads it, without sign-in. */
export function useAthleteCard(key: string) {
  return useQuery({
    queryKey: keys.athleteCard(key),
    queryFn: ({ signal }) => answered(api.GET("/api/athlete-cards/{key}", { params: { path: { key } }, signal })),
  });
}

/** Returns the URL that an athlete opens. */
export const cardAddress = (key: string) => `${window.location.origin}/card/${key}`;
