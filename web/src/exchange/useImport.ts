import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, api, type Import, type ImportRequest } from "../api/client";
import { keys } from "../api/keys";

/** Reads a file step by step and tells of each; nothing of the library changes by it. */
export function useReadFile(onStep: (state: Import) => void) {
  return useMutation({
    mutationFn: async (body: ImportRequest) => {
      let state = await answered(api.POST("/api/imports", { body }));
      onStep(state);
      while (state.state === "reading") {
        state = await answered(api.POST("/api/imports/{id}/advance", { params: { path: { id: state.id } } }));
        onStep(state);
      }
      return state;
    },
  });
}

/** Puts everything in place, or nothing. */
export function useApplyImport() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: number) => answered(api.POST("/api/imports/{id}/apply", { params: { path: { id } } })),
    // It is done, whether the lists are here again or not.
    onSuccess: () => void queries.invalidateQueries(),
  });
}

export function useImportLines(state: Import | null, kind: string, page: number) {
  return useQuery({
    queryKey: keys.importLines(state?.id, state?.done, kind, page),
    queryFn: ({ signal }) =>
      answered(
        api.GET("/api/imports/{id}/lines", {
          params: { path: { id: state?.id ?? 0 }, query: { page, ...(kind === "" ? {} : { kind }) } },
          signal,
        }),
      ),
    enabled: state !== null && state.state !== "reading",
    placeholderData: keepPreviousData,
  });
}
