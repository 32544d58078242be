import { t } from "@lingui/core/macro";
import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { answered, api, type Course, type PlanRow } from "../api/client";
import { refresh } from "../api/keys";
import type { PlanContent } from "../api/schema";
import { useNumbering } from "../api/useNumbering";
import { useNotice } from "../ui/useNotice";
import { todayInGym } from "../ui/words";
import { planNext } from "./planNext";
import { startPlan } from "./startPlan";
import { nextDay } from "./time";
import { useCreatePlan } from "./usePlans";

/**
 * Makes sessions and opens them: by hand, from what is due, from a template, from a file.
 *
 * @param coming the planned sessions from today on
 */
export function useNewSession(coming: PlanRow[]) {
  const queries = useQueryClient();
  const create = useCreatePlan();
  const numbering = useNumbering();
  const navigate = useNavigate();
  const notice = useNotice();
  const [making, setMaking] = useState<string | null>(null);

  /** Returns the next day of the course without a session. */
  const freeDay = (course: Course | null) =>
    nextDay(
      course ?? { weekday: null },
      todayInGym(),
      coming.filter((plan) => course && plan.course?.id === course.id).map((plan) => plan.startsAt?.slice(0, 10) ?? ""),
    );
  const startOf = (course: Course | null, on = freeDay(course)) => `${on}T${course?.time ?? "18:00"}`;
  const make = async (what: string, run: () => Promise<void>) => {
    setMaking(what);
    try {
      await run();
    } catch (error) {
      notice.failed(error);
    } finally {
      setMaking(null);
    }
  };

  return {
    /** What is being made; null when nothing is. */
    making,
    freeDay,
    byHand: (course: Course | null, on?: string) =>
      make(`hand ${course?.id ?? ""}`, async () => {
        const content = await startPlan(course, numbering);
        const plan = await create.mutateAsync({
          name: course?.name ?? t`New session`,
          course: course?.id ?? null,
          startsAt: startOf(course, on),
          content,
        });
        navigate(`/sessions/${plan.id}`);
      }),
    generate: (course: Course) =>
      make(`press ${course.id}`, async () => {
        const { plan, composition } = await planNext(course);
        void refresh(queries, "/api/plans", "/api/plans/{id}", "/api/plans/{id}/versions");
        navigate(`/sessions/${plan.id}`, { state: { reasons: composition.reasons, unmet: composition.unmet } });
      }),
    fromTemplate: (template: PlanRow, on: string) =>
      make(`template ${template.id}`, async () => {
        const whole = await answered(api.GET("/api/plans/{id}", { params: { path: { id: template.id } } }));
        const plan = await create.mutateAsync({
          name: template.name,
          course: template.course?.id ?? null,
          startsAt: startOf(null, on),
          content: whole.content,
        });
        navigate(`/sessions/${plan.id}`);
      }),
    fromFile: (name: string, content: PlanContent) =>
      make("file", async () => {
        const plan = await create.mutateAsync({ name, content, startsAt: null });
        navigate(`/sessions/${plan.id}`);
      }),
  };
}
