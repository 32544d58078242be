import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useMutation } from "@tanstack/react-query";
import { Button } from "antd";
import { useEffect } from "react";
import { Link, useNavigate } from "react-router";
import type { Course, DueList } from "../api/client";
import { useCourses } from "../api/useCourses";
import { CombinationLine } from "../combination-line/CombinationLine";
import { planDue } from "../sessions/planNext";
import { Failure } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { useNotice } from "../ui/useNotice";
import { shortDay } from "./period";
import { ReportHead } from "./ReportHead";
import { useAsked, useDue } from "./useReports";

type Row = DueList["due"][number];

/** Lists what is due in a course, and generates a session from it. */
export default function DueScreen() {
  const [asked, put] = useAsked();
  const courses = useCourses().data;
  const first = courses?.find(({ archived }) => !archived)?.id;
  // Without a course in the URL the first one is used.
  useEffect(() => {
    if (asked.course === undefined && first !== undefined) {
      put({ course: String(first) });
    }
  });
  const course = courses?.find(({ id }) => id === asked.course);
  const list = useDue(asked.course);
  const rows = list.data?.due ?? [];
  const due = rows.filter(({ overdue }) => overdue >= 0);
  const later = rows.filter(({ overdue }) => overdue < 0);
  return (
    <main className="page">
      <ReportHead title={t`What is due`} withDays={false} needsCourse>
        {course && <PlanIt course={course} />}
      </ReportHead>
      <Failure error={list.error} onRetry={() => list.refetch()} />
      {list.isPending && asked.course !== undefined && <Loading what={t`Loading what is due`} />}
      {courses?.length === 0 && (
        <div className="panel empty">
          <h2>
            <Trans>There is no course yet</Trans>
          </h2>
          <p>
            <Trans>
              Make one under <Link to="/sessions">Sessions</Link>; what it drills comes due here.
            </Trans>
          </p>
        </div>
      )}
      {list.data && rows.length === 0 && (
        <div className="panel empty">
          <h2>
            <Trans>This course has not drilled anything yet</Trans>
          </h2>
          <p>
            <Trans>
              What it drills comes back here after {list.data.schedule.first} days, then at growing intervals.
            </Trans>
          </p>
        </div>
      )}
      {list.data && rows.length > 0 && (
        <>
          <p className="small report-lead">
            <Trans>
              What held comes back after twice the time, what fell apart after half of it: first after{" "}
              {list.data.schedule.first} days, never sooner than {list.data.schedule.least}, never later than{" "}
              {list.data.schedule.most}. The <Link to="/house-rules">house rules</Link> set these days.
            </Trans>
          </p>
          <DueTable title={t`Due`} rows={due} empty={t`Nothing is due today.`} />
          <DueTable title={t`Later`} rows={later} empty={t`Nothing to do.`} />
        </>
      )}
    </main>
  );
}

/** Plans the next session of the course from what is due. */
function PlanIt({ course }: { course: Course }) {
  const navigate = useNavigate();
  const notice = useNotice();
  const plan = useMutation({
    mutationFn: () => planDue(course),
    onSuccess: ({ plan: made, composition: { reasons, unmet } }) =>
      navigate(`/sessions/${made.id}`, { state: { reasons, unmet } }),
    onError: notice.failed,
  });
  return (
    <Button type="primary" loading={plan.isPending} onClick={() => plan.mutate()}>
      <Trans>Plan a session from it</Trans>
    </Button>
  );
}

function DueTable({ title, rows, empty }: { title: string; rows: Row[]; empty: string }) {
  return (
    <section className="panel plain-scroll due-part" aria-label={title}>
      <h2>
        {title} <small>{rows.length > 0 && rows.length}</small>
      </h2>
      {rows.length === 0 ? (
        <p className="small">{empty}</p>
      ) : (
        <table className="plain-table report-table">
          <thead>
            <tr>
              <th scope="col">
                <Trans>Combination</Trans>
              </th>
              <th scope="col">
                <Trans>Line</Trans>
              </th>
              <th scope="col">
                <Trans>Due</Trans>
              </th>
              <th scope="col">
                <Trans>Last drilled</Trans>
              </th>
              <th scope="col">
                <Trans>Times</Trans>
              </th>
              <th scope="col">
                <Trans>Interval</Trans>
              </th>
              <th scope="col">
                <Trans>Last time</Trans>
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.combination.id}>
                <td className="report-name">
                  <Link to={`/combinations/${row.combination.id}`}>{row.combination.name}</Link>
                  <small>{row.combination.text}</small>
                </td>
                <td className="report-line">
                  {row.combination.line && (
                    <CombinationLine drawing={row.combination.line} width={240} name={row.combination.name} />
                  )}
                </td>
                <td className={row.overdue >= 7 ? "report-bad" : ""}>
                  {row.overdue > 0
                    ? t`for ${plural(row.overdue, { one: "# day", other: "# days" })}`
                    : row.overdue === 0
                      ? t`today`
                      : shortDay(row.day)}
                </td>
                <td>{shortDay(row.last)}</td>
                <td>{row.times}</td>
                <td>
                  <Trans>{row.interval} days</Trans>
                </td>
                <td className={row.held ? "" : "report-bad"}>
                  {row.held ? t`held` : t`fell apart`}
                  {row.faults.length > 0 && <small>{row.faults.join(", ")}</small>}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
