import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { answered, api, refusal, server } from "../api/client";
import { refresh } from "../api/keys";

const POLL_INTERVAL_MS = 1500;

export function useStatus() {
  return server.useQuery("get", "/api/status", undefined, { staleTime: 0, refetchInterval: 60_000 });
}

/** Chooses whether backups contain the recordings. */
export function useBackupContent() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (recordings: boolean) => answered(api.PUT("/api/backups/content", { body: { recordings } })),
    onSettled: () => refresh(queries, "/api/status", "/api/audit-log"),
  });
}

export type JobKind = "backup" | "look" | "take" | "discard" | "found";

/** Requests a job and returns its key. */
const ASK = {
  backup: () => api.POST("/api/backups"),
  look: (name: string) => api.POST("/api/backups/{name}/look", { params: { path: { name } } }),
  take: () => api.POST("/api/backups/copy/take"),
  discard: () => api.POST("/api/backups/copy/discard"),
  found: (name: string) => api.POST("/api/gym/found", { body: { name } }),
};

/**
 * Requests a job and polls its progress until it ends; one at a time.
 *
 * @param onDone is given the link to go on with, where there is one
 */
export function useJob(onDone: (kind: JobKind, link: string | null) => void) {
  const queries = useQueryClient();
  const [job, setJob] = useState<{ key: string; kind: JobKind } | null>(null);
  const ask = useMutation({
    mutationFn: async ({ kind, name = "" }: { kind: JobKind; name?: string }) => {
      const { job: key } = await answered(ASK[kind](name));
      return { key, kind };
    },
    onSuccess: setJob,
  });
  const progress = server.useQuery(
    "get",
    "/api/jobs/{key}",
    { params: { path: { key: job?.key ?? "" } } },
    {
      enabled: job !== null, // While the gym is being replaced the server may be unreachable for a moment.
      retry: 20,
      refetchInterval: ({ state }) => (isOver(state.data?.state) ? false : POLL_INTERVAL_MS),
    },
  );
  const state = progress.data?.state;
  // biome-ignore lint/correctness/useExhaustiveDependencies: told once, when the job ends
  useEffect(() => {
    if (job && state === "done") {
      const { kind } = job;
      setJob(null);
      void refresh(queries, "/api/status");
      onDone(kind, progress.data?.link ?? null);
    }
  }, [state]);
  return {
    ask: ask.mutate,
    running: ask.isPending ? (ask.variables?.kind ?? null) : job && !isOver(state) ? job.kind : null,
    failure: ask.error
      ? refusal(ask.error).title
      : state === "failed"
        ? progress.data?.sentence
        : progress.error
          ? refusal(progress.error).title
          : null,
  };
}

const isOver = (state: string | undefined) => state === "done" || state === "failed";
