import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useQueryClient } from "@tanstack/react-query";
import { Button, Modal, Select } from "antd";
import { useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import type { Course, PlanRow } from "../api/client";
import { keys } from "../api/keys";
import { useMay, useSession } from "../api/session";
import { useCourses } from "../api/useCourses";
import { useGym } from "../api/useGym";
import { useNumbering } from "../api/useNumbering";
import { Failure } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { layers } from "../ui/layers";
import { Segmented } from "../ui/Segmented";
import { useNotice } from "../ui/useNotice";
import { todayInGym } from "../ui/words";
import { Calendar } from "./Calendar";
import { CourseDrawer } from "./CourseDrawer";
import { CourseList } from "./CourseList";
import { contentOf } from "./plan";
import { planDue } from "./planDue";
import { startPlan } from "./startPlan";
import { addDays, monthAfter, monthName, nextDay, shortDay, weekStartOf, weeksOf } from "./time";
import { useCreatePlan, usePlanList } from "./usePlans";
import "./sessions.css";

const VIEWS = [
  { value: "week", label: t`Week` },
  { value: "month", label: t`Month` },
];

/** The planned sessions by day, the courses, and the templates. */
export default function SessionsScreen() {
  const queries = useQueryClient();
  const [search, setSearch] = useSearchParams();
  const today = todayInGym();
  const day = /^\d{4}-\d\d-\d\d$/.test(search.get("day") ?? "") ? (search.get("day") as string) : today;
  const byMonth = search.get("view") === "month";
  const of = Number(search.get("course")) || undefined;
  const gym = useGym();
  const firstWeekday = useSession().data?.gym?.firstWeekday ?? 1;
  const weeks = byMonth
    ? weeksOf(day, firstWeekday)
    : [Array.from({ length: 7 }, (_, index) => addDays(weekStartOf(day, firstWeekday), index))];
  const [first, last] = [weeks[0]?.[0] ?? day, weeks.at(-1)?.[6] ?? day];
  const list = usePlanList(first, last, of);
  // The next session of each course does not depend on the shown week.
  const coming = usePlanList(today, addDays(today, 120));
  const courses = useCourses();
  const create = useCreatePlan();
  const mayEdit = useMay("EDIT_COURSES");
  const numbering = useNumbering();
  const navigate = useNavigate();
  const notice = useNotice();
  const [modal, modalHolder] = Modal.useModal();
  const [edited, setEdited] = useState<Course | "new" | null>(null);
  const [making, setMaking] = useState<string | null>(null);

  const put = (values: Record<string, string | null>) =>
    setSearch(
      (now) => {
        const next = new URLSearchParams(now);
        for (const [name, value] of Object.entries(values)) {
          value === null ? next.delete(name) : next.set(name, value);
        }
        return next;
      },
      { replace: true, preventScrollReset: true },
    );
  const go = (by: number) => put({ day: byMonth ? monthAfter(day, by) : addDays(day, 7 * by) });

  const freeDay = (course: Course | null, on?: string) =>
    on ??
    nextDay(
      course ?? { weekday: null },
      today,
      (coming.data?.plans ?? [])
        .filter((plan) => course && plan.course?.id === course.id)
        .map((plan) => plan.startsAt?.slice(0, 10) ?? ""),
    );
  const startOf = (course: Course | null, on?: string) => `${freeDay(course, on)}T${course?.time ?? "18:00"}`;
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
  const byHand = (course: Course | null, on?: string) =>
    make(`hand ${course?.id ?? ""}`, async () => {
      const content = await startPlan(course, numbering);
      const plan = await create.mutateAsync({
        name: course?.name ?? t`New session`,
        course: course?.id ?? null,
        startsAt: startOf(course, on),
        content: { ...content },
      });
      navigate(`/sessions/${plan.id}`);
    });
  const inOnePress = (course: Course) =>
    make(`press ${course.id}`, async () => {
      const { plan, composition } = await planDue(course);
      void queries.invalidateQueries({ queryKey: keys.plans });
      navigate(`/sessions/${plan.id}`, { state: { reasons: composition.reasons, unmet: composition.unmet } });
    });
  const fromTemplate = (template: PlanRow) =>
    make(`template ${template.id}`, async () => {
      const { answered, api } = await import("../api/client");
      const whole = await answered(api.GET("/api/plans/{id}", { params: { path: { id: template.id } } }));
      const plan = await create.mutateAsync({
        name: template.name,
        course: template.course?.id ?? null,
        startsAt: startOf(null, day),
        content: { ...contentOf(whole.content) },
      });
      navigate(`/sessions/${plan.id}`);
    });

  return (
    <main className="page sessions">
      {modalHolder}
      <header className="sessions-head">
        <h1>
          <Trans>Sessions</Trans>
        </h1>
        <span className="sessions-when">
          <Button onClick={() => go(-1)} aria-label={byMonth ? t`Previous month` : t`Previous week`}>
            ‹
          </Button>
          <Button onClick={() => put({ day: null })}>
            <Trans>Today</Trans>
          </Button>
          <Button onClick={() => go(1)} aria-label={byMonth ? t`Next month` : t`Next week`}>
            ›
          </Button>
          <strong className="sessions-span">
            {byMonth ? monthName(day) : t`${shortDay(first)} to ${shortDay(last)}, ${monthName(last)}`}
          </strong>
        </span>
        <Segmented
          value={byMonth ? "month" : "week"}
          options={VIEWS}
          onChange={(view) => put({ view: view === "month" ? "month" : null })}
          aria-label={t`Week or month`}
        />
        <Select
          className="sessions-course"
          aria-label={t`Which course`}
          value={of ?? 0}
          onChange={(course) => put({ course: course === 0 ? null : String(course) })}
          options={[
            { value: 0, label: t`all courses` },
            ...(courses.data ?? []).map((course) => ({ value: course.id, label: course.name })),
          ]}
          getPopupContainer={(node) => node.parentElement ?? document.body}
        />
        <Button type="primary" loading={making === "hand "} onClick={() => byHand(null)}>
          <Trans>New session</Trans>
        </Button>
      </header>
      <Failure error={list.error} onRetry={list.refetch} />
      {list.data ? (
        <Calendar
          weeks={weeks}
          today={today}
          month={byMonth ? day.slice(0, 7) : null}
          plans={list.data.plans}
          old={list.isPlaceholderData}
          onNew={(on) => byHand((courses.data ?? []).find((course) => course.id === of) ?? null, on)}
        />
      ) : (
        !list.isError && <Loading what={t`Loading the plans`} />
      )}
      <div className="sessions-below">
        <CourseList
          courses={courses.data ?? []}
          plans={coming.data?.plans ?? []}
          making={making}
          mayEdit={mayEdit}
          next={(course) => freeDay(course)}
          onEdit={setEdited}
          onHand={(course) => byHand(course)}
          onPress={inOnePress}
        />
        <section className="panel block" aria-label={t`Templates`}>
          <h2>
            <Trans>Templates</Trans>
          </h2>
          {list.data?.templates.length === 0 && (
            <p className="small">
              <Trans>None yet. Open a session and keep it as a template from its menu.</Trans>
            </p>
          )}
          <ul className="plan-rows">
            {list.data?.templates.map((template) => (
              <li key={template.id}>
                <Link to={`/sessions/${template.id}`}>{template.name}</Link>
                <span className="small">
                  <Trans>{Math.round(template.lengthMs / 60_000)} min</Trans>
                </span>
                <Button
                  size="small"
                  loading={making === `template ${template.id}`}
                  onClick={() => fromTemplate(template)}
                >
                  <Trans>Plan one</Trans>
                </Button>
              </li>
            ))}
          </ul>
          {(list.data?.undated.length ?? 0) > 0 && (
            <>
              <h2>
                <Trans>Without a day</Trans>
              </h2>
              <ul className="plan-rows">
                {list.data?.undated.map((plan) => (
                  <li key={plan.id}>
                    <Link to={`/sessions/${plan.id}`}>{plan.name}</Link>
                    <span className="small">
                      <Trans>{Math.round(plan.lengthMs / 60_000)} min</Trans>
                    </span>
                  </li>
                ))}
              </ul>
            </>
          )}
          <h2>
            <Trans>Export and import</Trans>
          </h2>
          <p className="small">
            <Trans>
              <a href={of ? `/api/calendar.ics?course=${of}` : "/api/calendar.ics"}>Calendar file</a> with{" "}
              {of ? t`the sessions of this course` : t`all sessions`}; import it again to update changed sessions.
            </Trans>
          </p>
          <BringIn
            onContent={(name, content) =>
              make("file", async () => {
                const plan = await create.mutateAsync({ name, content, startsAt: null });
                navigate(`/sessions/${plan.id}`);
              })
            }
            onFailed={(sentence) =>
              modal.error({ title: t`This file cannot be read`, content: sentence, getContainer: layers })
            }
          />
        </section>
      </div>
      {edited !== null && gym.isFetched && (
        <CourseDrawer
          course={edited === "new" ? null : edited}
          training={gym.data?.training ?? null}
          onClose={() => setEdited(null)}
        />
      )}
    </main>
  );
}

/** Imports a plan from a file in the format of docs/formats/session.md. */
function BringIn({
  onContent,
  onFailed,
}: {
  onContent: (name: string, content: Record<string, unknown>) => unknown;
  onFailed: (sentence: string) => unknown;
}) {
  const read = async (file: File) => {
    try {
      const content: unknown = JSON.parse(await file.text());
      if (typeof content !== "object" || content === null || Array.isArray(content)) {
        throw new Error("It holds no object.");
      }
      const { name } = content as { name?: unknown };
      onContent(
        typeof name === "string" && name.trim() !== "" ? name : file.name.replace(/\.json$/i, ""),
        content as Record<string, unknown>,
      );
    } catch (error) {
      onFailed(t`${file.name} is no plan in JSON. ${error instanceof Error ? error.message : ""}`);
    }
  };
  return (
    <label className="bring-in small">
      <span>
        <Trans>Import a plan (JSON)</Trans>
      </span>
      <input
        type="file"
        accept="application/json,.json"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (file) {
            void read(file);
          }
        }}
      />
    </label>
  );
}
