import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { answered, api, type SchemeRequest } from "../api/client";

const header = { "X-CSRF-Token": "" };
const PAUSE = 200;

/** What a numbering would do, asked anew as it is edited; nothing is saved by it. */
export function useSchemePreview(scheme: SchemeRequest) {
  const key = JSON.stringify(scheme);
  const [asked, setAsked] = useState(key);
  useEffect(() => {
    const timer = setTimeout(() => setAsked(key), PAUSE);
    return () => clearTimeout(timer);
  }, [key]);
  return useQuery({
    queryKey: ["scheme-preview", asked],
    queryFn: ({ signal }) =>
      answered(
        api.POST("/api/schemes/preview", { params: { header }, body: JSON.parse(asked) as SchemeRequest, signal }),
      ),
    placeholderData: keepPreviousData,
  });
}

export function useSaveScheme() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, version, body }: { id: string; version: number | null; body: SchemeRequest }) =>
      answered(
        api.PUT("/api/schemes/{id}", {
          params: {
            path: { id },
            header: { ...header, ...(version === null ? { "If-None-Match": "*" } : { "If-Match": `"${version}"` }) },
          },
          body,
        }),
      ),
    // Whatever was written in it reads differently now.
    onSuccess: () => queries.invalidateQueries(),
  });
}

/** The numbering of the gym, or one's own. */
export function useChooseScheme(whose: "gym" | "me") {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (scheme: string | null) =>
      answered(
        whose === "gym"
          ? api.PUT("/api/gym/scheme", { params: { header }, body: { scheme } })
          : api.PUT("/api/me/scheme", { params: { header }, body: { scheme } }),
      ),
    onSuccess: () => queries.invalidateQueries(),
  });
}
