import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Link } from "react-router";
import type { FaultReport } from "../api/client";
import { Loaded } from "../ui/Loaded";
import { monthName, shortDay } from "./period";
import { NothingLogged, ReportHead } from "./ReportHead";
import { useAsked, useFaults } from "./useReports";

/** The faults that coaches saw in class, month by month. */
export default function FaultsScreen() {
  const [asked] = useAsked();
  const report = useFaults(asked);
  return (
    <main className="page">
      <ReportHead title={t`Faults that come back`} />
      <p className="small report-lead">
        <Trans>
          What coaches saw at a link that fell apart, in how many sessions. The <Link to="/advice">list of faults</Link>{" "}
          is the gym's own.
        </Trans>
      </p>
      <Loaded query={report} what={t`Counting the faults`} />
      {report.data?.faults.length === 0 && (
        <NothingLogged what={t`Mark the link that fell apart in a session, then the fault that was seen.`} />
      )}
      {report.data && report.data.faults.length > 0 && <Faults report={report.data} />}
    </main>
  );
}

function Faults({ report }: { report: FaultReport }) {
  const most = Math.max(...report.faults.flatMap((one) => Object.values(one.months)));
  return (
    <section className="panel plain-scroll">
      <table className="plain-table report-table">
        <thead>
          <tr>
            <th scope="col">
              <Trans>Fault</Trans>
            </th>
            <th scope="col">
              <Trans>Sessions</Trans>
            </th>
            {report.months.map((month) => (
              <th key={month} scope="col">
                {monthName(month)}
              </th>
            ))}
            <th scope="col">
              <Trans>Last</Trans>
            </th>
            <th scope="col">
              <Trans>Most often in</Trans>
            </th>
          </tr>
        </thead>
        <tbody>
          {report.faults.map((one) => (
            <tr key={one.fault}>
              <td className="report-name">
                <b>{one.fault}</b>
                {one.mend && (
                  <small>
                    <Trans>Say: {one.mend}</Trans>
                  </small>
                )}
              </td>
              <td>{one.times}</td>
              {report.months.map((month) => {
                const times = one.months[month] ?? 0;
                return (
                  <td key={month} className="fault-month">
                    {times > 0 && (
                      <>
                        <span className="fault-bar" style={{ width: `${(100 * times) / most}%` }} />
                        {times}
                      </>
                    )}
                  </td>
                );
              })}
              <td>{shortDay(one.last)}</td>
              <td>
                {one.combinations.map((combination) => (
                  <Link key={combination.id} to={`/combinations/${combination.id}`} className="fault-combination">
                    {combination.name}
                  </Link>
                ))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
