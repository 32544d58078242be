import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex } from "antd";
import { Link } from "react-router";
import type { MonthReport } from "../api/client";
import { Columns } from "../plot/Columns";
import { PlotTable } from "../plot/PlotTable";
import { Share } from "../plot/Share";
import { monthName } from "../sessions/time";
import { ExportMenu } from "../ui/ExportMenu";
import { Loaded } from "../ui/Loaded";
import { LogNav } from "../ui/LogNav";
import { Findings } from "./Findings";
import { minutes, monthBeside, shortDay } from "./period";
import { useAsked, useMonth } from "./useReports";
import "./reports.css";

/** A month on one page for the head coach. */
export default function MonthScreen() {
  const [, put, address] = useAsked();
  const report = useMonth(address.get("month"));
  const month = report.data?.month;
  return (
    <main className="page">
      <LogNav />
      <Flex component="header" wrap align="center" gap="small" className="report-head">
        <h1>{month ? monthName(`${month}-01`) : t`Month`}</h1>
        {month && (
          <>
            <span className="month-steps">
              <Button onClick={() => put({ month: monthBeside(month, -1) })} aria-label={t`The month before`}>
                ‹
              </Button>
              <Button onClick={() => put({ month: monthBeside(month, 1) })} aria-label={t`The month after`}>
                ›
              </Button>
            </span>
            <ExportMenu
              items={[
                { label: t`Page to print (PDF)`, to: `/api/reports/month.pdf/${month}` },
                { label: t`Sessions of the month (CSV)`, to: `/api/reports/month.csv/${month}` },
              ]}
            />
          </>
        )}
      </Flex>
      <Loaded query={report} what={t`Counting`}>
        {(data) => <Month report={data} />}
      </Loaded>
    </main>
  );
}

function Month({ report }: { report: MonthReport }) {
  if (report.sessions === 0) {
    return (
      <div className="panel empty">
        <h2>
          <Trans>Nothing was logged in this month</Trans>
        </h2>
        <p>
          <Trans>
            Run a session, or log one by hand under <Link to="/logbook">Sessions</Link>.
          </Trans>
        </p>
      </div>
    );
  }
  return (
    <>
      <Facts report={report} />
      <Findings findings={report.findings} />
      <WorkByDay days={report.days} />
      <div className="month-grid">
        <div>
          <StrikesByWeapon report={report} />
          {report.faults.length > 0 && <SeenFaults faults={report.faults} />}
        </div>
        <CoursesAndShares report={report} />
        <section className="panel block">
          <Rows title={t`Drilled most`} rows={report.most} says={(row) => minutes(row.ms)} />
          <Rows title={t`Fell apart`} rows={report.fell} says={(row) => t`${row.fell} of ${row.times}`} />
          <Rows title={t`Not drilled recently`} rows={report.neglected} says={(row) => t`last ${shortDay(row.last)}`} />
        </section>
      </div>
    </>
  );
}

function Fact({ name, value, more }: { name: string; value: string; more: React.ReactNode }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>
        {value} <small>{more}</small>
      </dd>
    </div>
  );
}

/** The faults that were seen most often, with the words that mend them. */
function SeenFaults({ faults }: Pick<MonthReport, "faults">) {
  return (
    <section className="panel block">
      <h2>
        <Trans>Faults that were seen</Trans>
      </h2>
      <ul className="month-rows">
        {faults.map(({ fault, mend, times }) => (
          <li key={fault}>
            <span>
              <Link to="/reports/faults">{fault}</Link>
              {mend && <small className="month-mend">{mend}</small>}
            </span>
            <span>{plural(times, { one: "# session", other: "# sessions" })}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

type Row = MonthReport["most"][number];

function Rows({ title, rows, says }: { title: string; rows: Row[]; says: (row: Row) => string }) {
  return (
    <>
      <h2>{title}</h2>
      <ul className="month-rows">
        {rows.length === 0 && (
          <li className="small">
            <Trans>nothing</Trans>
          </li>
        )}
        {rows.map((row) => (
          <li key={row.combination.id}>
            <Link to={`/combinations/${row.combination.id}`}>{row.combination.name}</Link>
            <span>{says(row)}</span>
          </li>
        ))}
      </ul>
    </>
  );
}

function Facts({ report }: { report: MonthReport }) {
  const { sum, before } = report;
  const jab = sum.openings > 0 ? Math.round((100 * sum.jabOpenings) / sum.openings) : null;
  return (
    <Flex component="dl" wrap gap="var(--space-4) var(--space-9)" className="month-facts panel">
      <Fact name={t`sessions`} value={String(report.sessions)} more={t`${before.sessions} the month before`} />
      <Fact name={t`of work`} value={minutes(report.workMs)} more={t`${minutes(before.workMs)} the month before`} />
      <Fact
        name={t`athletes a session`}
        value={report.athletes === null ? "–" : String(report.athletes)}
        more={report.athletes === null ? t`not counted` : ""}
      />
      <Fact
        name={t`effort`}
        value={report.effort === null ? "–" : String(report.effort)}
        more={report.effort === null ? t`not asked` : t`of 10`}
      />
      <Fact name={t`open with a jab`} value={jab === null ? "–" : `${jab} %`} more="" />
      {report.unchecked > 0 && (
        <Fact
          name={t`entries to review`}
          value={String(report.unchecked)}
          more={
            <Link to="/logbook?unchecked=true">
              <Trans>review them</Trans>
            </Link>
          }
        />
      )}
    </Flex>
  );
}

/** Minutes of work on each day of the month. */
function WorkByDay({ days }: { days: MonthReport["days"] }) {
  return (
    <section className="panel block">
      <h2>
        <Trans>Minutes of work, day by day</Trans>
      </h2>
      <PlotTable
        caption={t`Minutes of work by day`}
        columns={[t`Day`, t`Minutes`]}
        rows={days.map(({ day, workMs }) => [day, Math.round(workMs / 60_000)])}
      >
        <Columns
          label={t`Minutes of work, day by day`}
          unit="min"
          height={140}
          parts={[{ name: "work", tone: "lead" }]}
          columns={days.map(({ day, workMs }) => ({
            key: day,
            name: String(Number(day.slice(8))),
            says: `${shortDay(day)}: ${minutes(workMs)}`,
            values: [workMs / 60_000],
          }))}
        />
      </PlotTable>
    </section>
  );
}

function StrikesByWeapon({ report }: { report: MonthReport }) {
  const weapons = report.weapons
    .map((name) => ({ name, value: report.sum.weapons[name] ?? 0 }))
    .filter(({ value }) => value > 0)
    .sort((one, other) => other.value - one.value);
  const most = weapons[0]?.value ?? 1;
  return (
    <section className="panel block">
      <h2>
        <Trans>Strikes by weapon</Trans>
      </h2>
      <ul className="month-bars">
        {weapons.map(({ name, value }) => (
          <li key={name}>
            <span>{name}</span>
            <i aria-hidden="true">
              <b style={{ width: `${(100 * value) / most}%` }} />
            </i>
            <span>{Math.round(value).toLocaleString("en-GB")}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function CoursesAndShares({ report }: { report: MonthReport }) {
  const { sum, courses } = report;
  return (
    <section className="panel block">
      <h2>
        <Trans>Courses</Trans>
      </h2>
      <ul className="month-rows">
        {courses.map(({ name, sessions, workMs }) => (
          <li key={name}>
            <span>{name}</span>
            <span>
              {plural(sessions, { one: "# session", other: "# sessions" })}, {minutes(workMs)}
            </span>
          </li>
        ))}
      </ul>
      <Share
        title={t`Left and right`}
        parts={[
          { name: t`left`, tone: "lead", value: sum.sides.left },
          { name: t`right`, tone: "rear", value: sum.sides.right },
        ]}
      />
      <Share
        title={t`Stances`}
        parts={[
          { name: t`orthodox`, tone: "lead", value: sum.stanceMs.orthodox },
          { name: t`southpaw`, tone: "sun", value: sum.stanceMs.southpaw },
        ]}
      />
      <Share
        title={t`Head, body, leg`}
        parts={[
          { name: t`head`, tone: "lead", value: sum.targets.head },
          { name: t`body`, tone: "sun", value: sum.targets.body },
          { name: t`leg`, tone: "rear", value: sum.targets.leg },
        ]}
      />
    </section>
  );
}
