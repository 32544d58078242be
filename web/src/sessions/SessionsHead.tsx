import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Select } from "antd";
import type { Course } from "../api/client";
import { Segmented } from "../ui/Segmented";
import { monthName, shortDay } from "./time";
import type { CalendarView } from "./useCalendarView";

const VIEWS = [
  { value: "week", label: t`Week` },
  { value: "month", label: t`Month` },
];

interface Props {
  view: CalendarView;
  courses: Course[];
  isMaking: boolean;
  onNew: () => unknown;
}

/** Chooses the shown days and course, and starts a session. */
export function SessionsHead({ view, courses, isMaking, onNew }: Props) {
  return (
    <header className="sessions-head">
      <h1>
        <Trans>Sessions</Trans>
      </h1>
      <span className="sessions-when">
        <Button onClick={() => view.go(-1)} aria-label={view.byMonth ? t`Previous month` : t`Previous week`}>
          ‹
        </Button>
        <Button onClick={() => view.put({ day: null })}>
          <Trans>Today</Trans>
        </Button>
        <Button onClick={() => view.go(1)} aria-label={view.byMonth ? t`Next month` : t`Next week`}>
          ›
        </Button>
        <strong className="sessions-span">
          {view.byMonth
            ? monthName(view.day)
            : t`${shortDay(view.first)} to ${shortDay(view.last)}, ${monthName(view.last)}`}
        </strong>
      </span>
      <Segmented
        value={view.byMonth ? "month" : "week"}
        options={VIEWS}
        onChange={(value) => view.put({ view: value === "month" ? "month" : null })}
        aria-label={t`Week or month`}
      />
      <Select
        className="sessions-course"
        aria-label={t`Which course`}
        value={view.course ?? 0}
        onChange={(course) => view.put({ course: course === 0 ? null : String(course) })}
        options={[
          { value: 0, label: t`all courses` },
          ...courses.map((course) => ({ value: course.id, label: course.name })),
        ]}
        getPopupContainer={(node) => node.parentElement ?? document.body}
      />
      <Button type="primary" loading={isMaking} onClick={onNew}>
        <Trans>New session</Trans>
      </Button>
    </header>
  );
}
