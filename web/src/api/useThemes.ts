import { server } from "./client";

/** The themes of combinations in use, with their counts. */
export function useThemes() {
  return server.useQuery("get", "/api/themes", undefined, { select: (answer) => answer.themes });
}
