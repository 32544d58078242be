import { useQuery } from "@tanstack/react-query";
import { answered, api, type NumberingId, type Stance } from "../api/client";
import { useSettled } from "../ui/useSettled";

export function useFamily(id: number) {
  return useQuery({
    queryKey: ["family", id],
    queryFn: ({ signal }) => answered(api.GET("/api/combinations/{id}/family", { params: { path: { id } }, signal })),
  });
}

export function useFamilyOverview() {
  return useQuery({
    queryKey: ["family", "overview"],
    queryFn: ({ signal }) => answered(api.GET("/api/family", { signal })),
  });
}

const PAUSE = 350;

/** What the library has that is the same as what is being written, or near it. */
export function useAlreadyThere(asked: {
  text: string;
  numbering: NumberingId;
  stance: Stance;
  except: number | null;
  ready: boolean;
}) {
  const { ready, ...body } = asked;
  const key = JSON.stringify(body);
  const settled = useSettled(key, PAUSE, ready, "");
  const query = useQuery({
    queryKey: ["already-there", settled],
    queryFn: ({ signal }) =>
      answered(
        api.POST("/api/already-there", {
          params: { header: { "X-CSRF-Token": "" } },
          body: JSON.parse(settled) as typeof body,
          signal,
        }),
      ),
    enabled: settled !== "" && body.text.trim() !== "",
  });
  return body.text.trim() === "" || settled !== key ? undefined : query.data;
}
