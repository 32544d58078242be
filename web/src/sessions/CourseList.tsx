import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex } from "antd";
import { Link } from "react-router";
import type { Course, PlanRow } from "../api/client";
import { useNotice } from "../ui/useNotice";
import { MEDIA, nameOf, RULES } from "../ui/words";
import { longDay, shortDay } from "./time";
import { useShelveCourse } from "./usePlans";

interface Props {
  courses: Course[];
  /** The plans from today on. */
  plans: PlanRow[];
  making: string | null;
  mayEdit: boolean;
  next: (course: Course) => string;
  onEdit: (course: Course | "new") => void;
  onHand: (course: Course) => void;
  onPress: (course: Course) => void;
}

/** The courses, each with its next session. */
export function CourseList({ courses, plans, making, mayEdit, next, onEdit, onHand, onPress }: Props) {
  const shelve = useShelveCourse();
  const notice = useNotice();
  const used = courses.filter((course) => !course.archived);
  const archived = courses.filter((course) => course.archived);
  const put = (course: Course) => shelve.mutate(course, { onError: notice.failed });
  return (
    <section className="panel block" aria-label={t`Courses`}>
      <h2>
        <Trans>Courses</Trans>
        {mayEdit && (
          <Button size="small" className="beside-title" onClick={() => onEdit("new")}>
            <Trans>New course</Trans>
          </Button>
        )}
      </h2>
      {used.length === 0 && (
        <p className="small">
          <Trans>
            A course is a group that trains regularly.{" "}
            {mayEdit ? t`Add one, and Periplus plans its next session for you.` : t`The head coach makes them.`}
          </Trans>
        </p>
      )}
      <ul className="courses">
        {used.map((course) => (
          <CourseRow
            key={course.id}
            course={course}
            coming={plans.find((plan) => plan.course?.id === course.id)}
            {...{ making, mayEdit, next, onEdit, onHand, onPress }}
          />
        ))}
      </ul>
      {archived.length > 0 && mayEdit && (
        <details className="small">
          <summary>
            {archived.length === 1 ? t`One course is archived` : t`${archived.length} courses are archived`}
          </summary>
          {archived.map((course) => (
            <p key={course.id}>
              {course.name}{" "}
              <button type="button" className="link-button" onClick={() => put(course)}>
                <Trans>restore</Trans>
              </button>
            </p>
          ))}
        </details>
      )}
    </section>
  );
}

interface RowProps extends Omit<Props, "courses" | "plans"> {
  course: Course;
  /** The next session of the course. */
  coming: PlanRow | undefined;
}

function CourseRow({ course, coming, making, mayEdit, next, onEdit, onHand, onPress }: RowProps) {
  return (
    <li className="course">
      <div>
        <h3>
          {course.name}
          <Link to={`/courses/${course.id}/syllabus`} className="course-syllabus">
            <Trans>Syllabus</Trans>
          </Link>
          {mayEdit && (
            <button type="button" className="link-button" onClick={() => onEdit(course)}>
              <Trans>Edit</Trans>
            </button>
          )}
        </h3>
        <p className="small">
          <Trans>
            {RULES.find((rules) => rules.value === course.rules)?.label} · level {course.levels.join(", ")} ·{" "}
            {nameOf(MEDIA, course.medium)} · {course.minutes} min
          </Trans>
        </p>
        <p className="small">
          {coming ? (
            <Trans>
              Next:{" "}
              <Link to={`/sessions/${coming.id}`}>
                {shortDay(coming.startsAt?.slice(0, 10) ?? "")}, {coming.startsAt?.slice(11)}, {coming.name}
              </Link>
            </Trans>
          ) : (
            t`Nothing is planned yet.`
          )}
        </p>
      </div>
      <Flex vertical align="stretch" gap="small">
        <Button
          type="primary"
          loading={making === `press ${course.id}`}
          onClick={() => onPress(course)}
          title={t`For ${longDay(next(course))}, from the week of its syllabus or from what is due`}
        >
          <Trans>Plan {shortDay(next(course))} for me</Trans>
        </Button>
        <Button loading={making === `hand ${course.id}`} onClick={() => onHand(course)}>
          <Trans>Plan by hand</Trans>
        </Button>
      </Flex>
    </li>
  );
}
