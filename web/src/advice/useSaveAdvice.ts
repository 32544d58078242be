import { useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, api, type Exercise, type Fault, ifMatch, type Reminder, server } from "../api/client";

export function useSaveReminders() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ version, reminders }: { version: number; reminders: Reminder[] | null }) =>
      answered(
        api.PUT("/api/advice/reminders", {
          params: { header: { "If-Match": ifMatch(version)["If-Match"] } },
          body: { reminders },
        }),
      ),
    onSuccess: (advice) => queries.setQueryData(server.queryOptions("get", "/api/advice").queryKey, advice),
  });
}

export function useSaveExercises() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ version, exercises }: { version: number; exercises: Exercise[] | null }) =>
      answered(
        api.PUT("/api/advice/exercises", {
          params: { header: { "If-Match": ifMatch(version)["If-Match"] } },
          body: { exercises },
        }),
      ),
    onSuccess: (advice) => queries.setQueryData(server.queryOptions("get", "/api/advice").queryKey, advice),
  });
}

export function useSaveFaults() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ version, faults }: { version: number; faults: Fault[] | null }) =>
      answered(
        api.PUT("/api/advice/faults", {
          params: { header: { "If-Match": ifMatch(version)["If-Match"] } },
          body: { faults },
        }),
      ),
    onSuccess: (advice) => queries.setQueryData(server.queryOptions("get", "/api/advice").queryKey, advice),
  });
}
