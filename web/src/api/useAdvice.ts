import { useQuery } from "@tanstack/react-query";
import { answered, api } from "./client";
import { keys } from "./keys";

/** Reminders and exercises of the gym. */
export function useAdvice() {
  return useQuery({ queryKey: keys.advice, queryFn: ({ signal }) => answered(api.GET("/api/advice", { signal })) });
}
