import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, api, type RulePreview, type Rules, type RulesRequest } from "../api/client";
import { keys } from "../api/keys";
import { useSettled } from "../ui/useSettled";

export function useHouseRules() {
  return useQuery({
    queryKey: keys.houseRules,
    queryFn: ({ signal }) => answered(api.GET("/api/house-rules", { signal })),
  });
}

/** Every number of the model; they change with the version of the product alone. */
export function useModel() {
  return useQuery({
    queryKey: keys.model,
    queryFn: ({ signal }) => answered(api.GET("/api/model", { signal })),
    staleTime: Number.POSITIVE_INFINITY,
  });
}

/** What moving each of these numbers would change, from the gym's own numbers as they stand now. */
export function useEffects(set: Rules, numbers: string[], calibration: Record<string, number>, wanted: boolean) {
  const asked = useSettled(JSON.stringify({ keys: numbers, calibration }), 400);
  const body = JSON.parse(asked) as { keys: string[]; calibration: Record<string, number> };
  return useQuery({
    queryKey: keys.effects(set, asked),
    queryFn: ({ signal }) =>
      answered(api.POST("/api/house-rules/{set}/effects", { params: { path: { set } }, body, signal })),
    enabled: wanted && body.keys.length > 0,
    staleTime: 60_000,
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
