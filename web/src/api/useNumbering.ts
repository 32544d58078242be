import { type NumberingId, server } from "./client";
import { useSession } from "./session";

/** The gym's numberings, all strikes and all moves. */
export function useNumberings() {
  return server.useQuery("get", "/api/numberings", undefined, { staleTime: 60_000 });
}

/** The numbering that the signed-in coach reads. */
export function useNumbering(): NumberingId {
  const own = useSession().data?.user?.numbering;
  const numberings = useNumberings().data;
  return own ?? numberings?.ofGym ?? "parity";
}
