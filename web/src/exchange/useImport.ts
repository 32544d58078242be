import { keepPreviousData, useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, api, type Import, type ImportLineRequest, type ImportRequest, server } from "../api/client";
import { refresh } from "../api/keys";
import { followToTheEnd } from "../api/progress";

/** Reads a file step by step and reports each step; the library does not change. */
export function useReadFile(onStep: (state: Import) => void) {
  return useMutation({
    mutationFn: async (body: ImportRequest) =>
      followToTheEnd(
        await answered(api.POST("/api/imports", { body })),
        (state) => state.state !== "reading",
        ({ id }) => answered(api.POST("/api/imports/{id}/advance", { params: { path: { id } } })),
        onStep,
      ),
  });
}

/** Applies the whole import, or nothing. */
export function useApplyImport() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: number) => answered(api.POST("/api/imports/{id}/apply", { params: { path: { id } } })),
    // Done, even if the lists are not reloaded yet.
    onSuccess: () => void queries.invalidateQueries(),
  });
}

export function useImportLines(state: Import | null, kind: string, page: number) {
  return server.useQuery(
    "get",
    "/api/imports/{id}/lines",
    { params: { path: { id: state?.id ?? 0 }, query: { page, ...(kind === "" ? {} : { kind }) } } },
    { enabled: state !== null && state.state !== "reading", placeholderData: keepPreviousData },
  );
}

/** Undoes an import, except for combinations that were changed since. */
export function useUndoImport() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: number) => answered(api.POST("/api/imports/{id}/undo", { params: { path: { id } } })),
    onSuccess: () => void queries.invalidateQueries(),
  });
}

/** Replaces the chain or name of an entry, or skips it. */
export function useEditLine(id: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ entry, ...body }: ImportLineRequest & { entry: number }) =>
      answered(api.PUT("/api/imports/{id}/lines/{entry}", { params: { path: { id, entry } }, body })),
    onSuccess: () => void refresh(queries, "/api/imports/{id}/lines"),
  });
}
