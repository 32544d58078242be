import { useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, api, type RunCommand, type StartRequest, server } from "../api/client";
import { refresh } from "../api/keys";

/** Interval in ms at which lists of running sessions are reloaded. */
const POLL_INTERVAL_MS = 10_000;

/** The running sessions, and the last ended ones. */
export function useRuns() {
  return server.useQuery("get", "/api/runs", undefined, { refetchInterval: POLL_INTERVAL_MS });
}

export function useRun(id: number) {
  return server.useQuery("get", "/api/runs/{id}", { params: { path: { id } } });
}

/** What was really shown and done. */
export function useRunRecord(id: number, wanted: boolean) {
  return server.useQuery("get", "/api/runs/{id}/record", { params: { path: { id } } }, { enabled: wanted });
}

export function useWalls() {
  return server.useQuery("get", "/api/walls", undefined, {
    select: (answer) => answer.walls,
    refetchInterval: POLL_INTERVAL_MS,
  });
}

export function useStart() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: StartRequest) => answered(api.POST("/api/runs", { body })),
    onSuccess: () => refresh(queries, "/api/runs", "/api/runs/{id}", "/api/runs/{id}/record"),
  });
}

/**
 * Deletes the record of an ended session. The page is left before the lists are reloaded, because it no longer exists
 * then.
 */
export function useRemoveRun(leave: () => void) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: number) => answered(api.POST("/api/runs/{id}/remove", { params: { path: { id } } })),
    onSuccess: () => {
      leave();
      return refresh(queries, "/api/runs");
    },
  });
}

/** Sends a command, with the same id when it is repeated, so that it counts once. */
export function useCommand(run: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: RunCommand) =>
      answered(api.POST("/api/runs/{id}/commands", { params: { path: { id: run } }, body })),
    retry: 3,
    retryDelay: 700,
    onSuccess: (answer) =>
      queries.setQueryData(
        server.queryOptions("get", "/api/runs/{id}", { params: { path: { id: run } } }).queryKey,
        answer,
      ),
  });
}

export function useChangeWalls() {
  const queries = useQueryClient();
  const onSuccess = () => refresh(queries, "/api/walls");
  return {
    add: useMutation({ mutationFn: (name: string) => answered(api.POST("/api/walls", { body: { name } })), onSuccess }),
    put: useMutation({
      mutationFn: (wall: { id: number; name: string; hasKeys: boolean }) =>
        answered(
          api.PUT("/api/walls/{id}", {
            params: { path: { id: wall.id } },
            body: { name: wall.name, hasKeys: wall.hasKeys },
          }),
        ),
      onSuccess,
    }),
    revoke: useMutation({
      mutationFn: (id: number) => answered(api.POST("/api/walls/{id}/revoke", { params: { path: { id } } })),
      onSuccess,
    }),
    show: useMutation({
      mutationFn: ({ run, wall }: { run: number; wall: number }) =>
        answered(api.POST("/api/runs/{id}/walls", { params: { path: { id: run } }, body: { walls: [wall] } })),
      onSuccess,
    }),
  };
}
