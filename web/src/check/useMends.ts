import { useQuery } from "@tanstack/react-query";
import { answered, api, type CheckRequest, type Mends } from "../api/client";

/** What can be done about a chain; asked once the check has settled on it. */
export function useMends(request: CheckRequest, ready: boolean): Mends | undefined {
  const query = useQuery({
    queryKey: ["mends", JSON.stringify(request)],
    queryFn: ({ signal }) =>
      answered(api.POST("/api/mends", { params: { header: { "X-CSRF-Token": "" } }, body: request, signal })),
    enabled: ready,
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 60_000,
  });
  return ready ? query.data : undefined;
}
