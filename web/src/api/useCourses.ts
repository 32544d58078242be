import { useQuery } from "@tanstack/react-query";
import { answered, api } from "./client";
import { keys } from "./keys";

/** The gym's courses, active ones first. */
export function useCourses() {
  return useQuery({
    queryKey: keys.courses,
    queryFn: ({ signal }) => answered(api.GET("/api/courses", { signal })).then((answer) => answer.courses),
  });
}
