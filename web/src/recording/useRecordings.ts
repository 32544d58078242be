import { type QueryClient, useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, api, server } from "../api/client";
import { refresh } from "../api/keys";

/** What a recording shows. */
export interface Subject {
  combination?: number;
  /** The id of a strike or a move. */
  technique?: string;
}

export function useRecordings() {
  return server.useQuery("get", "/api/recordings");
}

/** The recording of a combination first, then those of its strikes and moves. */
export function useRecordingsOf(combination: number) {
  return server.useQuery(
    "get",
    "/api/combinations/{id}/recordings",
    { params: { path: { id: combination } } },
    { select: (answer) => answer.recordings },
  );
}

export function useKeepRecording() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ file, of, replaces }: { file: Blob; of: Subject; replaces: number | undefined }) =>
      answered(
        api.POST("/api/recordings", {
          params: { query: { ...of, replaces } },
          body: "",
          bodySerializer: () => file,
          headers: { "Content-Type": "application/octet-stream" },
        }),
      ),
    onSuccess: () => recordingsChanged(queries),
  });
}

export function useDeleteRecording() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: number) => answered(api.POST("/api/recordings/{id}/delete", { params: { path: { id } } })),
    onSettled: () => recordingsChanged(queries),
  });
}

function recordingsChanged(queries: QueryClient): Promise<unknown> {
  return refresh(queries, "/api/recordings", "/api/combinations/{id}/recordings", "/api/audit-log");
}
