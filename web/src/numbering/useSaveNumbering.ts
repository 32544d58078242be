import { useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, api, ifMatch, type NumberingRequest } from "../api/client";

/** Saves a numbering: without a version for a new one, otherwise based on the version that was seen. */
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
    // Everything that is shown in this numbering has changed.
    onSuccess: () => queries.invalidateQueries(),
  });
}
