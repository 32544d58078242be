import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Link } from "react-router";
import type { CombinationBrief, PlannedReport } from "../api/client";
import { Loaded } from "../ui/Loaded";
import { minutes, shortDay } from "./period";
import { ReportHead } from "./ReportHead";
import { useAsked, usePlanned } from "./useReports";

/** What was planned against what was done. */
export default function PlannedScreen() {
  const [asked] = useAsked();
  const report = usePlanned(asked);
  const { data } = report;
  return (
    <main className="page">
      <ReportHead title={t`Planned and done`} />
      <Loaded query={report} what={t`Comparing`} />
      {data?.sessions.length === 0 && (
        <div className="panel empty">
          <h2>
            <Trans>No session was planned for these days</Trans>
          </h2>
          <p>
            <Trans>
              Give a session its day under <Link to="/sessions">Sessions</Link>; after it, it stands here beside its
              entry in the logbook.
            </Trans>
          </p>
        </div>
      )}
      {data && data.sessions.length > 0 && (
        <>
          <p className="small report-lead">
            <Trans>
              {data.logged} of {data.sessions.length} planned sessions are in the logbook: {minutes(data.doneMs)} done
              of {minutes(data.plannedMs)} planned.
            </Trans>
          </p>
          <Sessions sessions={data.sessions} />
        </>
      )}
    </main>
  );
}

function Sessions({ sessions }: { sessions: PlannedReport["sessions"] }) {
  return (
    <section className="panel plain-scroll">
      <table className="plain-table report-table">
        <thead>
          <tr>
            <th scope="col">
              <Trans>Day</Trans>
            </th>
            <th scope="col">
              <Trans>Session</Trans>
            </th>
            <th scope="col">
              <Trans>Planned</Trans>
            </th>
            <th scope="col">
              <Trans>Done</Trans>
            </th>
            <th scope="col">
              <Trans>Left out</Trans>
            </th>
            <th scope="col">
              <Trans>Added</Trans>
            </th>
          </tr>
        </thead>
        <tbody>
          {sessions.map((one) => (
            <tr key={one.plan}>
              <td>{shortDay(one.day)}</td>
              <td className="report-name">
                <Link to={`/sessions/${one.plan}`}>{one.name}</Link>
                {one.course && <small>{one.course}</small>}
              </td>
              <td>{minutes(one.plannedMs)}</td>
              <td>
                {one.entry === null || one.doneMs === null ? (
                  <Link to={`/logbook/new?plan=${one.plan}`}>
                    <Trans>log it as planned</Trans>
                  </Link>
                ) : (
                  <Link to={`/logbook/${one.entry}`}>{minutes(one.doneMs)}</Link>
                )}
              </td>
              <td>
                <Names combinations={one.left} />
              </td>
              <td>
                <Names combinations={one.added} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Names({ combinations }: { combinations: CombinationBrief[] }) {
  return combinations.map((one) => (
    <Link key={one.id} to={`/combinations/${one.id}`} className="fault-combination">
      {one.name}
    </Link>
  ));
}
