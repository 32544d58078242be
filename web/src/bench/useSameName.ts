import { useQuery } from "@tanstack/react-query";
import { answered, api, type CombinationRow } from "../api/client";
import { keys } from "../api/keys";
import { useDebounced } from "../ui/useDebounced";

/** Pause in ms after the last key before the server is asked. */
const PAUSE_MS = 250;

/**
 * The combination in use with the same name.
 *
 * @param except the one that is being changed
 */
export function useSameName(name: string, except: number | null): CombinationRow | undefined {
  const wanted = useDebounced(name.trim().toLowerCase(), PAUSE_MS);
  const query = { q: `"${wanted.replaceAll('"', " ")}"`, size: 100 };
  const found = useQuery({
    queryKey: keys.combinationPage(query),
    queryFn: ({ signal }) => answered(api.GET("/api/combinations", { params: { query }, signal })),
    enabled: wanted !== "",
  });
  return wanted === ""
    ? undefined
    : found.data?.combinations.find((row) => row.id !== except && row.name.toLowerCase() === wanted);
}
