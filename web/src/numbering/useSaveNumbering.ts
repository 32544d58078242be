import { useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, api, ifMatch, type NumberingRequest } from "../api/client";

/** Puts a numbering in place: a new one without a version, or a change of the version that was looked at. */
export function useSaveNumbering() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, version, body }: { id: string; version: number | null; body: NumberingRequest }) =>
      answered(
        api.PUT("/api/numberings/{id}", {
          params: {
            path: { id },
            header: version === null ? { "If-None-Match": "*" } : ifMatch(version),
          },
          body,
        }),
      ),
    // Whatever was written in it reads differently now.
    onSuccess: () => queries.invalidateQueries(),
  });
}
