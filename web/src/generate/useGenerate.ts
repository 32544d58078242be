import { t } from "@lingui/core/macro";
import { keepPreviousData, useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { answered, api, type GenerateRequest, type Generation, type SaveRequest, server } from "../api/client";
import { libraryChanged } from "../api/keys";
import { useMay } from "../api/session";

/** Generates chains from criteria; the same criteria and seed give the same chains. */
export function useGenerate(criteria: GenerateRequest) {
  return server.useQuery(
    "post",
    "/api/generate",
    { body: criteria },
    { staleTime: Number.POSITIVE_INFINITY, placeholderData: keepPreviousData },
  );
}

/** The result of saving a generated chain: its URL, or the reason why it was refused. */
export type Kept = { to: string; words: string } | { error: unknown };

/** Saves or proposes chains one after the other; a refusal is shown beside its chain. */
export function useKeepChains({ rules, stance, numbering }: GenerateRequest) {
  const maySave = useMay("EDIT_LIBRARY");
  const queries = useQueryClient();
  const [kept, setKept] = useState<ReadonlyMap<string, Kept>>(new Map());
  const { mutate, isPending } = useMutation({
    mutationFn: async (chains: Generation["chains"]) => {
      for (const { text, notation } of chains) {
        const body: SaveRequest = {
          name: text,
          text,
          ...(numbering && { numbering }),
          ...(stance && { stance }),
          rules,
        };
        const result = await (maySave
          ? answered(api.POST("/api/combinations", { body })).then(({ id }) => ({
              to: `/combinations/${id}`,
              words: t`in the library`,
            }))
          : answered(api.POST("/api/proposals", { body: { kind: "new", content: body } })).then(({ id }) => ({
              to: `/review/${id}`,
              words: "proposed",
            }))
        ).catch((error: unknown) => ({ error }));
        setKept((before) => new Map(before).set(notation, result));
      }
    },
    onSettled: () => libraryChanged(queries),
  });
  return { kept, isPending, save: mutate };
}
