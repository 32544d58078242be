import { useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, api, type RulePreview, type Rules, type RulesRequest, server } from "../api/client";
import { followToTheEnd } from "../api/progress";
import { useDebounced } from "../ui/useDebounced";

export function useHouseRules() {
  return server.useQuery("get", "/api/house-rules");
}

/** The rules that a change in the audit log has replaced. */
export function useEarlier(entry: number | null) {
  return server.useQuery(
    "get",
    "/api/audit-log/{id}",
    { params: { path: { id: entry ?? 0 } } },
    { enabled: entry !== null },
  );
}

/** Every number of the model; they change only with the version of Periplus. */
export function useModel() {
  return server.useQuery("get", "/api/model", undefined, { staleTime: Number.POSITIVE_INFINITY });
}

/** The effects of moving each of these numbers from the gym's current values. */
export function useEffects(set: Rules, numbers: string[], calibration: Record<string, number>, wanted: boolean) {
  const asked = useDebounced(JSON.stringify({ keys: numbers, calibration }), 400);
  const body = JSON.parse(asked) as { keys: string[]; calibration: Record<string, number> };
  return server.useQuery(
    "post",
    "/api/house-rules/{set}/effects",
    { params: { path: { set } }, body },
    { enabled: wanted && body.keys.length > 0, staleTime: 60_000 },
  );
}

/** Checks the library under changed rules step by step and reports each step; saves nothing. */
export function usePreview(onStep: (preview: RulePreview) => void) {
  return useMutation({
    mutationFn: async ({ set, rules }: { set: Rules; rules: RulesRequest }) =>
      followToTheEnd(
        await answered(api.POST("/api/house-rules/{set}/rule-previews", { params: { path: { set } }, body: rules })),
        (preview) => preview.state !== "running",
        ({ id }) => answered(api.POST("/api/rule-previews/{id}/advance", { params: { path: { id } } })),
        onStep,
      ),
  });
}

/** Saves rules and results. Every cached check is outdated. */
export function useSaveRules() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (preview: RulePreview) =>
      answered(api.POST("/api/rule-previews/{id}/save", { params: { path: { id: preview.id } } })),
    onSuccess: () => queries.invalidateQueries(),
  });
}
