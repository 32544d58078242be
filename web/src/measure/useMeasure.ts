import { useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, api, server } from "../api/client";
import { refresh, reportsChanged } from "../api/keys";

export type Method = "taps" | "sound";

/** Evaluates the taps on every change; nothing is stored. */
export function useMeasured(combination: number, taps: number[], method: Method) {
  const asked = taps.length >= 2;
  return server.useQuery(
    "post",
    "/api/combinations/{id}/measure",
    { params: { path: { id: combination } }, body: { taps, method } },
    { enabled: asked, staleTime: Number.POSITIVE_INFINITY, placeholderData: (before) => (asked ? before : undefined) },
  );
}

export function useMeasurements(combination: number) {
  return server.useQuery(
    "get",
    "/api/combinations/{id}/measurements",
    { params: { path: { id: combination } } },
    { select: (answer) => answer.measurements },
  );
}

export function useSaveMeasurement(combination: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: { id: string; taps: number[]; method: Method }) =>
      answered(api.POST("/api/combinations/{id}/measurements", { params: { path: { id: combination } }, body })),
    onSuccess: () => {
      void refresh(queries, "/api/combinations/{id}/measurements");
      reportsChanged(queries);
    },
  });
}

/** Deletes or restores a measurement. */
export function useDeleteMeasurement() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, restore }: { id: number; restore: boolean }) =>
      answered(
        api.POST(restore ? "/api/measurements/{id}/restore" : "/api/measurements/{id}/remove", {
          params: { path: { id } },
        }),
      ),
    onSuccess: () => {
      void refresh(queries, "/api/combinations/{id}/measurements");
      reportsChanged(queries);
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
