import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex, Select } from "antd";
import type { ReactNode } from "react";
import { useCourses } from "../api/useCourses";
import { DayField } from "../ui/DayField";
import { LogNav } from "../ui/LogNav";
import { todayInGym } from "../ui/words";
import { SPANS, spanOf, weeksBack } from "./period";
import { useAsked } from "./useReports";
import "./reports.css";

interface Props {
  title: string;
  /** Whether the report has a period; otherwise only a course. */
  withDays?: boolean;
  /** Whether a course has to be chosen. */
  needsCourse?: boolean;
  children?: ReactNode;
}

/** The head of every report: period and course. */
export function ReportHead({ title, withDays = true, needsCourse = false, children }: Props) {
  const [asked, put] = useAsked();
  const courses = useCourses().data ?? [];
  const today = new Date();
  const span = spanOf(asked.from, asked.to, today);
  return (
    <>
      <LogNav />
      <Flex component="header" wrap align="center" gap="small" className="report-head">
        <h1>{title}</h1>
        <Select
          value={asked.course ?? 0}
          onChange={(course) => put({ course: course === 0 ? null : String(course), page: null })}
          aria-label={t`Course`}
          popupMatchSelectWidth={false}
          options={[
            ...(needsCourse ? [] : [{ value: 0, label: t`all courses` }]),
            ...courses.map(({ id, name, archived }) => ({ value: id, label: archived ? t`${name}, archived` : name })),
          ]}
        />
        {withDays && (
          <>
            <Select
              value={span}
              onChange={(weeks) =>
                put({
                  from:
                    weeks === "12" ? null : weeks === "own" ? weeksBack(12, today) : weeksBack(Number(weeks), today),
                  to: weeks === "own" ? todayInGym() : null,
                  page: null,
                })
              }
              aria-label={t`How far back`}
              popupMatchSelectWidth={false}
              options={[...SPANS, { value: "own", label: t`days of your own` }]}
            />
            {span === "own" && (
              <span className="report-days">
                <DayField
                  value={asked.from ?? weeksBack(12, today)}
                  max={asked.to}
                  onChange={(from) => put({ from, page: null })}
                  aria-label={t`From`}
                />
                <Trans>to</Trans>
                <DayField
                  value={asked.to ?? todayInGym()}
                  onChange={(to) => put({ to, page: null })}
                  aria-label={t`To`}
                />
              </span>
            )}
          </>
        )}
        {children}
      </Flex>
    </>
  );
}

/** Shown when nothing was logged yet. */
export function NothingLogged({ what }: { what: string }) {
  return (
    <div className="panel empty">
      <h2>
        <Trans>Nothing was logged in these days</Trans>
      </h2>
      <p>
        <Trans>{what} Run a session, or log one by hand under Sessions, and it appears here.</Trans>
      </p>
    </div>
  );
}
