import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, api, type RulePreview, type Rules, type RulesRequest } from "../api/client";
import { keys } from "../api/keys";

export function useHouseRules() {
  return useQuery({
    queryKey: keys.houseRules,
    queryFn: ({ signal }) => answered(api.GET("/api/house-rules", { signal })),
  });
}

/** Checks the library under changed rules, step by step, and tells of each; nothing is saved by it. */
export function usePreview(onStep: (preview: RulePreview) => void) {
  return useMutation({
    mutationFn: async ({ set, rules }: { set: Rules; rules: RulesRequest }) => {
      let preview = await answered(
        api.POST("/api/house-rules/{set}/rule-previews", { params: { path: { set } }, body: rules }),
      );
      onStep(preview);
      while (preview.state === "running") {
        preview = await answered(api.POST("/api/rule-previews/{id}/advance", { params: { path: { id: preview.id } } }));
        onStep(preview);
      }
      return preview;
    },
  });
}

/** Puts rules and results in place. Every check that was made under the old ones is asked again. */
export function useSaveRules() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (preview: RulePreview) =>
      answered(api.POST("/api/rule-previews/{id}/save", { params: { path: { id: preview.id } } })),
    onSuccess: () => queries.invalidateQueries(),
  });
}
