import { useMutation, useQueryClient } from "@tanstack/react-query";
import {
  answered,
  api,
  type FollowRequest,
  type Offer,
  type OfferingRequest,
  type OfferRequest,
  server,
} from "../api/client";
import { libraryChanged, refresh } from "../api/keys";

/** What other gyms offer: what waits for an answer, or what has one. */
export function useOffers(isAnswered: boolean, page = 1) {
  return server.useQuery(
    "get",
    "/api/offers",
    { params: { query: { answered: isAnswered, page } } },
    { refetchOnWindowFocus: true },
  );
}

/** The house rules that a gym offers for a sport. */
export function useOfferedRules(source: string | null, set: string | null) {
  return server.useQuery(
    "get",
    "/api/offers/{source}/{kind}/{item}",
    { params: { path: { source: source ?? "", kind: "house-rules", item: set ?? "" } } },
    { enabled: source !== null && set !== null },
  );
}

/** What this gym offers, and the links under which others read it. */
export function useOfferings() {
  return server.useQuery("get", "/api/offerings");
}

/** Whether a combination is offered, and where it came from. */
export function useSharing(id: number) {
  return server.useQuery("get", "/api/combinations/{id}/sharing", { params: { path: { id } } });
}

/** Offers something of this gym, or no longer. */
export function useOffering() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: OfferingRequest) => answered(api.PUT("/api/offerings", { body })),
    onSuccess: () => refresh(queries, "/api/offerings", "/api/combinations/{id}/sharing", "/api/audit-log"),
  });
}

export function useCreateLink() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (name: string) => answered(api.POST("/api/offer-links", { body: { name } })),
    onSuccess: () => refresh(queries, "/api/offerings", "/api/audit-log"),
  });
}

export function useRevokeLink() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: number) => answered(api.POST("/api/offer-links/{id}/revoke", { params: { path: { id } } })),
    onSuccess: () => refresh(queries, "/api/offerings", "/api/audit-log"),
  });
}

export function useFollow() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: FollowRequest) => answered(api.POST("/api/followed-gyms", { body })),
    onSuccess: () => refresh(queries, "/api/offers", "/api/audit-log"),
  });
}

/** Reads the offers of a gym of another installation again. */
export function useReadAgain() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: number) => answered(api.POST("/api/followed-gyms/{id}/read", { params: { path: { id } } })),
    onSuccess: () => refresh(queries, "/api/offers"),
  });
}

export function useUnfollow() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: number) => answered(api.DELETE("/api/followed-gyms/{id}", { params: { path: { id } } })),
    onSuccess: () => refresh(queries, "/api/offers", "/api/audit-log"),
  });
}

/** The version of an offer that was seen, with the version of what it changes here. */
export function seen({ source, kind, item, digest, here }: Offer): OfferRequest {
  return { source, kind, item, digest, against: here?.version ?? null };
}

/** Accepts, declines or takes up again the version of an offer that was seen. */
export function useAnswerOffer() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ how, offer }: { how: "accept" | "decline" | "reconsider"; offer: Offer }) => {
      const body = seen(offer);
      switch (how) {
        case "accept":
          return answered(api.POST("/api/offers/accept", { body }));
        case "decline":
          return answered(api.POST("/api/offers/decline", { body }));
        default:
          return answered(api.POST("/api/offers/reconsider", { body }));
      }
    },
    onSettled: (_, __, { how }) => {
      void refresh(queries, "/api/offers", "/api/audit-log");
      if (how === "accept") {
        libraryChanged(queries);
        void refresh(
          queries,
          "/api/courses",
          "/api/courses/{id}/syllabus",
          "/api/numberings",
          "/api/combinations/{id}",
        );
      }
    },
  });
}

/** Makes a proposal of an offered combination. */
export function useProposeOffer() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (offer: Offer) => answered(api.POST("/api/offers/propose", { body: seen(offer) })),
    onSettled: () => {
      // Not waited for: then the row of the offer is gone, and what it does next with it.
      void refresh(queries, "/api/offers", "/api/proposals", "/api/audit-log");
    },
  });
}
