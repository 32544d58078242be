import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, api, ifMatch, type NumberingRequest } from "../api/client";
import { keys } from "../api/keys";
import { useSettled } from "../ui/useSettled";

const PAUSE = 200;

/** What a numbering would do, asked anew as it is edited; nothing is saved by it. */
export function useNumberingPreview(numbering: NumberingRequest) {
  const key = JSON.stringify(numbering);
  const asked = useSettled(key, PAUSE);
  return useQuery({
    queryKey: keys.numberingPreview(asked),
    queryFn: ({ signal }) =>
      answered(
        api.POST("/api/numberings/preview", {
          body: JSON.parse(asked) as NumberingRequest,
          signal,
        }),
      ),
    placeholderData: keepPreviousData,
  });
}

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

/** The numbering of the gym, or one's own. */
export function useChooseNumbering(whose: "gym" | "me") {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (numbering: string | null) =>
      answered(
        whose === "gym"
          ? api.PUT("/api/gym/numbering", { body: { numbering } })
          : api.PUT("/api/me/numbering", { body: { numbering } }),
      ),
    onSuccess: () => queries.invalidateQueries(),
  });
}
