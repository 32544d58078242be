import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, api } from "../api/client";
import { keys } from "../api/keys";

export type Method = "taps" | "sound";

/** Evaluates the taps on every change; nothing is stored. */
export function useMeasured(combination: number, taps: number[], method: Method) {
  const asked = taps.length >= 2;
  return useQuery({
    queryKey: [...keys.measurements(combination), "look", method, taps.join(" ")],
    queryFn: ({ signal }) =>
      answered(
        api.POST("/api/combinations/{id}/measure", {
          params: { path: { id: combination } },
          body: { taps, method },
          signal,
        }),
      ),
    enabled: asked,
    staleTime: Number.POSITIVE_INFINITY,
    placeholderData: (before) => (asked ? before : undefined),
  });
}

export function useMeasurements(combination: number) {
  return useQuery({
    queryKey: [...keys.measurements(combination), "kept"],
    queryFn: ({ signal }) =>
      answered(api.GET("/api/combinations/{id}/measurements", { params: { path: { id: combination } }, signal })).then(
        (answer) => answer.measurements,
      ),
  });
}

export function useSaveMeasurement(combination: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: { id: string; taps: number[]; method: Method }) =>
      answered(api.POST("/api/combinations/{id}/measurements", { params: { path: { id: combination } }, body })),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: keys.measurements(combination) });
      void queries.invalidateQueries({ queryKey: keys.reports });
    },
  });
}

/** Deletes or restores a measurement. */
export function useDeleteMeasurement(combination: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, restore }: { id: number; restore: boolean }) =>
      answered(
        api.POST(restore ? "/api/measurements/{id}/restore" : "/api/measurements/{id}/remove", {
          params: { path: { id } },
        }),
      ),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: keys.measurements(combination) });
      void queries.invalidateQueries({ queryKey: keys.reports });
    },
  });
}

/** Finds the hits in a recording. */
export function useOnsets() {
  return useMutation({
    mutationFn: (wav: ArrayBuffer) =>
      answered(
        api.POST("/api/onsets", {
          body: "",
          bodySerializer: () => wav,
          headers: { "Content-Type": "audio/wav" },
        }),
      ),
  });
}
