import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { answered, api, type NumberingRequest } from "../api/client";
import { keys } from "../api/keys";
import { useDebounced } from "../ui/useDebounced";

const PAUSE_MS = 200;

/** Previews a numbering while it is edited; saves nothing. */
export function useNumberingPreview(numbering: NumberingRequest) {
  const key = JSON.stringify(numbering);
  const asked = useDebounced(key, PAUSE_MS);
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
