import { useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, api } from "../api/client";

/** The numbering of the gym, or one's own. */
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
