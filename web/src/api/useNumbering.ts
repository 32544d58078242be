import { useQuery } from "@tanstack/react-query";
import { answered, api, type NumberingId } from "./client";
import { keys } from "./keys";
import { useSession } from "./session";

/** The gym's numberings, all strikes and all moves. */
export function useNumberings() {
  return useQuery({
    queryKey: keys.numberings,
    queryFn: () => answered(api.GET("/api/numberings")),
    staleTime: 60_000,
  });
}

/** The numbering that the signed-in coach reads. */
export function useNumbering(): NumberingId {
  const own = useSession().data?.user?.numbering;
  const numberings = useNumberings().data;
  return own ?? numberings?.ofGym ?? "parity";
}
