import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { answered, api, type NumberingRequest } from "../api/client";
import { keys } from "../api/keys";
import { useSettled } from "../ui/useSettled";

const PAUSE = 200;

/** Previews a numbering while it is edited; saves nothing. */
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
