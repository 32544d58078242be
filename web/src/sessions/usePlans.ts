import { keepPreviousData, useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, api, type Course, type CourseRequest, ifMatch, type PlanRequest, server } from "../api/client";
import { refresh } from "../api/keys";
import type { PlanContent } from "../api/schema";

/** Sessions that start on these days, those without a day, and the templates. */
export function usePlanList(from: string, to: string, course?: number) {
  return server.useQuery(
    "get",
    "/api/plans",
    { params: { query: { from, to, course } } },
    { placeholderData: keepPreviousData },
  );
}

export function useDrills() {
  return server.useQuery("get", "/api/drills", undefined, { staleTime: Number.POSITIVE_INFINITY }).data;
}

export function useSaveCourse(course: Course | null) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: CourseRequest) =>
      answered(
        course === null
          ? api.POST("/api/courses", { body })
          : api.PUT("/api/courses/{id}", {
              params: { path: { id: course.id }, header: { "If-Match": ifMatch(course.version)["If-Match"] } },
              body,
            }),
      ),
    onSuccess: () => refresh(queries, "/api/courses"),
  });
}

export function useShelveCourse() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (course: Course) => {
      const params = {
        path: { id: course.id },
        header: { "If-Match": ifMatch(course.version)["If-Match"] },
      };
      return answered(
        course.archived
          ? api.POST("/api/courses/{id}/restore", { params })
          : api.POST("/api/courses/{id}/archive", { params }),
      );
    },
    onSuccess: () => refresh(queries, "/api/courses"),
  });
}

export function useCreatePlan() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: PlanRequest) => answered(api.POST("/api/plans", { body })),
    onSuccess: () => refresh(queries, "/api/plans"),
  });
}

/** Archives or restores a session. */
export function useArchivePlan() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (plan: { id: number; version: number; archived: boolean }) => {
      const params = { path: { id: plan.id }, header: { "If-Match": ifMatch(plan.version)["If-Match"] } };
      return answered(
        plan.archived
          ? api.POST("/api/plans/{id}/restore", { params })
          : api.POST("/api/plans/{id}/archive", { params }),
      );
    },
    onSuccess: () => refresh(queries, "/api/plans", "/api/plans/{id}", "/api/plans/{id}/versions"),
  });
}

/** Returns the plan with less of what a warning is about. */
export async function fixed(content: PlanContent, warning: string): Promise<PlanContent> {
  const answer = await answered(api.POST("/api/plans/fix", { body: { content, warning } }));
  return answer.content;
}

export async function composed(body: {
  course: number;
  minutes?: number | null;
  aim?: "due" | "syllabus" | "theme" | "weapon";
  value?: string | null;
  seed?: number;
  locked?: PlanContent | null;
}) {
  return answered(api.POST("/api/plans/compose", { body }));
}
