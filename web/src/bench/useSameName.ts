import { type CombinationRow, server } from "../api/client";
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
  const found = server.useQuery("get", "/api/combinations", { params: { query } }, { enabled: wanted !== "" });
  return wanted === ""
    ? undefined
    : found.data?.combinations.find((row) => row.id !== except && row.name.toLowerCase() === wanted);
}
