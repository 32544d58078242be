import { useMutation, useQueryClient } from "@tanstack/react-query";
import {
  answered,
  api,
  type Gym,
  type GymRequest,
  ifMatch,
  type SetupRequest,
  server,
  type Training,
} from "../api/client";

/** Updates the caches after a change; every screen shows the gym's name and times. */
function useStored() {
  const queries = useQueryClient();
  return async (gym: Gym) => {
    queries.setQueryData(server.queryOptions("get", "/api/gym").queryKey, gym);
    await queries.invalidateQueries();
  };
}

export function useSaveGym() {
  const stored = useStored();
  return useMutation({
    mutationFn: ({ version, ...body }: GymRequest & { version: number }) =>
      answered(api.PUT("/api/gym", { body, params: { header: ifMatch(version) } })),
    onSuccess: stored,
  });
}

export function useSaveTraining() {
  const stored = useStored();
  return useMutation({
    mutationFn: ({ version, ...body }: Training & { version: number }) =>
      answered(api.PUT("/api/gym/training", { body, params: { header: ifMatch(version) } })),
    onSuccess: stored,
  });
}

/** Ends a step of the setup; a skipped one can be done later. */
export function useEndStep() {
  const stored = useStored();
  return useMutation({
    mutationFn: (body: SetupRequest) => answered(api.POST("/api/gym/setup", { body })),
    onSuccess: stored,
  });
}
