import { server } from "./client";

/** The gym: its name, time zone and training. */
export function useGym() {
  return server.useQuery("get", "/api/gym");
}
