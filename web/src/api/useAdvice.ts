import { useQuery } from "@tanstack/react-query";
import { answered, api } from "./client";
import { keys } from "./keys";

/** The gym's reminders and exercises. */
export function useAdvice() {
  return useQuery({ queryKey: keys.advice, queryFn: ({ signal }) => answered(api.GET("/api/advice", { signal })) });
}
