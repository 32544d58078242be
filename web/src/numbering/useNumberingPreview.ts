import { keepPreviousData } from "@tanstack/react-query";
import { type NumberingRequest, server } from "../api/client";
import { useDebounced } from "../ui/useDebounced";

const PAUSE_MS = 200;

/** Previews a numbering while it is edited; saves nothing. */
export function useNumberingPreview(numbering: NumberingRequest) {
  const key = JSON.stringify(numbering);
  const asked = useDebounced(key, PAUSE_MS);
  return server.useQuery(
    "post",
    "/api/numberings/preview",
    { body: JSON.parse(asked) as NumberingRequest },
    { placeholderData: keepPreviousData },
  );
}
