import { useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, api } from "../api/client";

/** Sets the numbering of the gym, or of the coach. */
export function useChooseNumbering(whose: "gym" | "me") {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (numbering: string | null) =>
      answered(
        whose === "gym"
          ? api.PUT("/api/gym/numbering", { body: { numbering } })
          : api.PUT("/api/me/numbering", { body: { numbering } }),
      ),
    onSuccess: () => queries.invalidateQueries(),
  });
}
