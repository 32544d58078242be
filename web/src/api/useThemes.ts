import { useQuery } from "@tanstack/react-query";
import { answered, api } from "./client";
import { keys } from "./keys";

/** The themes of combinations in use, with their counts. */
export function useThemes() {
  return useQuery({
    queryKey: keys.themes,
    queryFn: ({ signal }) => answered(api.GET("/api/themes", { signal })).then((answer) => answer.themes),
  });
}
