import { server } from "./client";

/** The gym's courses, active ones first. */
export function useCourses() {
  return server.useQuery("get", "/api/courses", undefined, { select: (answer) => answer.courses });
}
