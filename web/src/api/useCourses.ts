import { useQuery } from "@tanstack/react-query";
import { answered, api } from "./client";
import { keys } from "./keys";

/** The groups that train regularly, those in use first. */
export function useCourses() {
  return useQuery({
    queryKey: keys.courses,
    queryFn: ({ signal }) => answered(api.GET("/api/courses", { signal })).then((answer) => answer.courses),
  });
}
