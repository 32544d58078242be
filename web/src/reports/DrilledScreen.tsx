import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Link } from "react-router";
import { CombinationLine } from "../combination-line/CombinationLine";
import { Columns } from "../plot/Columns";
import { PlotTable } from "../plot/PlotTable";
import { Loaded } from "../ui/Loaded";
import { Pages } from "../ui/Pages";
import { minutes, shortDay } from "./period";
import { NothingLogged, ReportHead } from "./ReportHead";
import { type DrilledSort, useAsked, useDrilled } from "./useReports";

const COLUMNS: { title: string; sort: DrilledSort; first: "up" | "down" }[] = [
  { title: t`Last drilled`, sort: "last", first: "up" },
  { title: t`Times`, sort: "times", first: "down" },
  { title: t`Minutes`, sort: "minutes", first: "down" },
  { title: t`In southpaw`, sort: "southpaw", first: "up" },
  { title: t`Fell apart`, sort: "fell", first: "down" },
];

/** How often and how long each combination was drilled; longest ago first. */
export default function DrilledScreen() {
  const [asked, put, address] = useAsked();
  const sort = COLUMNS.find((column) => column.sort === address.get("sort"))?.sort ?? "last";
  const first = COLUMNS.find((column) => column.sort === sort)?.first ?? "up";
  const direction =
    address.get("direction") === (first === "up" ? "down" : "up") ? (first === "up" ? "down" : "up") : first;
  const page = Number(address.get("page")) || 1;
  const report = useDrilled(asked, sort, direction, page);
  return (
    <main className="page">
      <ReportHead title={t`Combinations drilled`}>
        {report.data && report.data.never > 0 && (
          <Link className="report-link" to="/library?q=drilled+never">
            <Trans>{report.data.never} of the library never drilled</Trans>
          </Link>
        )}
      </ReportHead>
      <Loaded query={report} what={t`Counting`} />
      {report.data && report.data.total === 0 && (
        <NothingLogged what={t`When each combination was drilled, and how long.`} />
      )}
      {report.data && report.data.total > 0 && (
        <>
          <MinutesByWeek weeks={report.data.minutes} />
          <DrilledTable
            rows={report.data.rows}
            sort={sort}
            direction={direction}
            onSort={(sorted) => put({ ...sorted, page: null })}
          />
          <Pages
            page={page}
            size={report.data.size}
            total={report.data.total}
            onPage={(to) => put({ page: String(to) })}
          />
        </>
      )}
    </main>
  );
}

type Report = NonNullable<ReturnType<typeof useDrilled>["data"]>;

function MinutesByWeek({ weeks }: { weeks: Report["minutes"] }) {
  return (
    <section className="panel block" aria-label={t`Minutes by week`}>
      <h2>
        <Trans>Minutes of work by week</Trans>
      </h2>
      <PlotTable
        caption={t`Minutes of work by week`}
        columns={[t`Week of`, t`Sessions`, t`Minutes`]}
        rows={weeks.map(({ week, sessions, workMs }) => [week, sessions, Math.round(workMs / 60_000)])}
      >
        <Columns
          label={t`Minutes of work by week`}
          unit="min"
          height={150}
          parts={[{ name: "work", tone: "lead" }]}
          columns={weeks.map(({ week, sessions, workMs }) => ({
            key: week,
            name: shortDay(week),
            says: t`Week of ${shortDay(week)}: ${minutes(workMs)} in ${plural(sessions, { one: "# session", other: "# sessions" })}`,
            values: [workMs / 60_000],
          }))}
        />
      </PlotTable>
    </section>
  );
}

interface TableProps {
  rows: Report["rows"];
  sort: DrilledSort;
  direction: "up" | "down";
  onSort: (sorted: { sort: DrilledSort; direction: "up" | "down" }) => void;
}

function DrilledTable({ rows, sort, direction, onSort }: TableProps) {
  return (
    <div className="panel plain-scroll">
      <table className="plain-table report-table">
        <thead>
          <tr>
            <th scope="col">
              <Trans>Combination</Trans>
            </th>
            <th scope="col">
              <Trans>Line</Trans>
            </th>
            {COLUMNS.map((column) => (
              <th
                key={column.sort}
                scope="col"
                aria-sort={column.sort !== sort ? undefined : direction === "up" ? "ascending" : "descending"}
              >
                <button
                  type="button"
                  className="sort"
                  onClick={() =>
                    onSort({
                      sort: column.sort,
                      direction: column.sort === sort ? (direction === "up" ? "down" : "up") : column.first,
                    })
                  }
                >
                  {column.title}
                  <span aria-hidden="true">{column.sort !== sort ? "" : direction === "up" ? " ▲" : " ▼"}</span>
                </button>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <DrilledRow key={row.combination.id} row={row} />
          ))}
        </tbody>
      </table>
    </div>
  );
}

function DrilledRow({ row }: { row: Report["rows"][number] }) {
  return (
    <tr>
      <td className="report-name">
        <Link to={`/combinations/${row.combination.id}`}>{row.combination.name}</Link>
        <small>
          {row.combination.text}
          {row.combination.archived && t` · archived`}
        </small>
      </td>
      <td className="report-line">
        {row.combination.line && (
          <CombinationLine drawing={row.combination.line} width={240} name={row.combination.name} />
        )}
      </td>
      <td>{shortDay(row.last)}</td>
      <td>{row.times}</td>
      <td>{minutes(row.ms)}</td>
      <td>
        <Meter share={row.ms > 0 ? row.southpawMs / row.ms : 0} />
      </td>
      <td className={row.fell > 0 ? "report-bad" : ""}>{row.fell > 0 ? t`${row.fell} of ${row.times}` : "–"}</td>
    </tr>
  );
}

function Meter({ share }: { share: number }) {
  return (
    <span className="meter">
      <i aria-hidden="true">
        <b style={{ width: `${100 * share}%` }} />
      </i>
      {Math.round(100 * share)} %
    </span>
  );
}
