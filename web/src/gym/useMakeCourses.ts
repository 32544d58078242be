import { t } from "@lingui/core/macro";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, api, type Course, type Training } from "../api/client";
import { refresh } from "../api/keys";

const NAMES: Record<Course["group"], string> = { open: t`Open class`, beginners: t`Beginners`, youth: t`Youth` };

/** Creates a course for each group of a gym that has none. */
export function useMakeCourses() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async ({ rules, media, groups }: Training) => {
      for (const group of groups) {
        const medium = media[0] ?? "shadow";
        await answered(api.POST("/api/courses", { body: { name: NAMES[group], rules, group, medium } }));
      }
    },
    onSettled: () => refresh(queries, "/api/courses"),
  });
}
