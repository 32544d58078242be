import { useQuery } from "@tanstack/react-query";
import { answered, api, type SchemeId } from "../api/client";
import { useSession } from "./session";

/** The numberings of the gym, all strikes and all moves. */
export function useSchemes() {
  return useQuery({
    queryKey: ["schemes"],
    queryFn: () => answered(api.GET("/api/schemes")),
    staleTime: 60_000,
  });
}

/** The numbering that whoever is signed in reads in. */
export function useNumbering(): SchemeId {
  const own = useSession().data?.user?.scheme;
  const schemes = useSchemes().data;
  return own ?? schemes?.ofGym ?? "parity";
}
