import { server } from "./client";

/** The gym's reminders and exercises. */
export function useAdvice() {
  return server.useQuery("get", "/api/advice");
}
