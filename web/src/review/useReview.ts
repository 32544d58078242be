import { useMutation, useQueryClient } from "@tanstack/react-query";
import {
  answered,
  api,
  type DecisionRequest,
  ifMatch,
  type Proposal,
  type ProposalRequest,
  type SaveRequest,
  type Session,
  server,
} from "../api/client";
import { libraryChanged, refresh } from "../api/keys";
import { may } from "../api/session";

export type ProposalList = "open" | "returned" | "decided";

export function useProposals(list: ProposalList, mine: boolean, combination?: number, page = 1) {
  return server.useQuery(
    "get",
    "/api/proposals",
    { params: { query: { list, mine, page, ...(combination === undefined ? {} : { combination }) } } },
    { refetchOnWindowFocus: true },
  );
}

/**
 * The number of proposals that wait for the signed-in account: undecided ones for the head coach, returned ones for a
 * coach.
 */
export function useWaiting(user: Session["user"]): number {
  const waiting = server.useQuery(
    "get",
    "/api/proposals",
    { params: { query: { list: "open" } } },
    { enabled: user !== null, refetchInterval: 60_000, refetchOnWindowFocus: true },
  ).data?.waiting;
  return (may(user, "DECIDE_PROPOSALS") ? waiting?.open : waiting?.returned) ?? 0;
}

export function useProposal(id: number | null) {
  return server.useQuery("get", "/api/proposals/{id}", { params: { path: { id: id ?? 0 } } }, { enabled: id !== null });
}

function useRemember() {
  const queries = useQueryClient();
  return (proposal: Proposal) => {
    queries.setQueryData(
      server.queryOptions("get", "/api/proposals/{id}", { params: { path: { id: proposal.id } } }).queryKey,
      proposal,
    );
    libraryChanged(queries);
    if (proposal.combination) {
      void refresh(queries, "/api/combinations/{id}");
    }
  };
}

export function usePropose() {
  const remember = useRemember();
  return useMutation({
    mutationFn: (body: ProposalRequest) => answered(api.POST("/api/proposals", { body })),
    onSuccess: remember,
  });
}

export type Decision = "return" | "approve" | "withdraw" | "revise";

/** Decides on the version of a proposal that was seen, or revises it. */
export function useDecide(proposal: Proposal | null) {
  const remember = useRemember();
  return useMutation({
    mutationFn: ({ decision, ...body }: DecisionRequest & { decision: Decision; content?: SaveRequest | null }) => {
      const params = {
        path: { id: proposal?.id ?? 0 },
        header: ifMatch(proposal?.version ?? 0),
      };
      switch (decision) {
        case "return":
          return answered(api.POST("/api/proposals/{id}/return", { params, body }));
        case "approve":
          return answered(api.POST("/api/proposals/{id}/approve", { params, body }));
        case "withdraw":
          return answered(api.POST("/api/proposals/{id}/withdraw", { params, body }));
        default:
          return answered(api.PUT("/api/proposals/{id}", { params, body }));
      }
    },
    onSuccess: remember,
  });
}
