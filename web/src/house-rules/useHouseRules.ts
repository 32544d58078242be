import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, api, type Recheck, type Rules, type RulesRequest } from "../api/client";

const header = { "X-CSRF-Token": "" };

export function useHouseRules() {
  return useQuery({
    queryKey: ["house-rules"],
    queryFn: ({ signal }) => answered(api.GET("/api/house-rules", { signal })),
  });
}

/** Checks the library under changed rules, step by step, and tells of each; nothing is saved by it. */
export function usePreview(onStep: (recheck: Recheck) => void) {
  return useMutation({
    mutationFn: async ({ set, rules }: { set: Rules; rules: RulesRequest }) => {
      let recheck = await answered(
        api.POST("/api/house-rules/{set}/rechecks", { params: { path: { set }, header }, body: rules }),
      );
      onStep(recheck);
      while (recheck.state === "running") {
        recheck = await answered(
          api.POST("/api/rechecks/{id}/advance", { params: { path: { id: recheck.id }, header } }),
        );
        onStep(recheck);
      }
      return recheck;
    },
  });
}

/** Puts rules and results in place. Every check that was made under the old ones is asked again. */
export function useSaveRules() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (recheck: Recheck) =>
      answered(api.POST("/api/rechecks/{id}/save", { params: { path: { id: recheck.id }, header } })),
    onSuccess: () => queries.invalidateQueries(),
  });
}
