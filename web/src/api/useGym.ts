import { useQuery } from "@tanstack/react-query";
import { answered, api } from "./client";
import { keys } from "./keys";

/** The gym: its name, time zone and training. */
export function useGym() {
  return useQuery({ queryKey: keys.gym, queryFn: ({ signal }) => answered(api.GET("/api/gym", { signal })) });
}
