import { Pagination } from "antd";
import { Link } from "react-router";
import { CombinationLine } from "../combination-line/CombinationLine";
import { Columns } from "../plot/Columns";
import { PlotTable } from "../plot/PlotTable";
import { Failure } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { minutes, shortDay } from "./period";
import { NothingLogged, ReportHead } from "./ReportHead";
import { type DrilledSort, useAsked, useDrilled } from "./useReports";

const COLUMNS: { title: string; sort: DrilledSort; first: "up" | "down" }[] = [
  { title: "Last drilled", sort: "last", first: "up" },
  { title: "Times", sort: "times", first: "down" },
  { title: "Minutes", sort: "minutes", first: "down" },
  { title: "In southpaw", sort: "southpaw", first: "up" },
  { title: "Fell apart", sort: "fell", first: "down" },
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
  const weeks = report.data?.minutes ?? [];
  return (
    <main className="page">
      <ReportHead title="Combinations drilled">
        {report.data && report.data.never > 0 && (
          <Link className="report-link" to="/library?q=drilled+never">
            {report.data.never} of the library never drilled
          </Link>
        )}
      </ReportHead>
      <Failure error={report.error} onRetry={() => report.refetch()} />
      {report.isPending && <Loading what="Counting" />}
      {report.data && report.data.total === 0 && (
        <NothingLogged what="When each combination was drilled, and how long." />
      )}
      {report.data && report.data.total > 0 && (
        <>
          <section className="panel block" aria-label="Minutes by week">
            <h2>Minutes of work by week</h2>
            <PlotTable
              caption="Minutes of work by week"
              columns={["Week of", "Sessions", "Minutes"]}
              rows={weeks.map(({ week, sessions, workMs }) => [week, sessions, Math.round(workMs / 60_000)])}
            >
              <Columns
                label="Minutes of work by week"
                unit="min"
                height={150}
                parts={[{ name: "work", tone: "lead" }]}
                columns={weeks.map(({ week, sessions, workMs }) => ({
                  key: week,
                  name: shortDay(week),
                  says: `Week of ${shortDay(week)}: ${minutes(workMs)} in ${sessions} ${sessions === 1 ? "session" : "sessions"}`,
                  values: [workMs / 60_000],
                }))}
              />
            </PlotTable>
          </section>
          <div className="panel plain-scroll">
            <table className="plain-table report-table">
              <thead>
                <tr>
                  <th scope="col">Combination</th>
                  <th scope="col">Line</th>
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
                          put({
                            sort: column.sort,
                            direction: column.sort === sort ? (direction === "up" ? "down" : "up") : column.first,
                            page: null,
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
                {report.data.rows.map((row) => (
                  <tr key={row.combination.id}>
                    <td className="report-name">
                      <Link to={`/combinations/${row.combination.id}`}>{row.combination.name}</Link>
                      <small>
                        {row.combination.text}
                        {row.combination.archived && " · archived"}
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
                    <td className={row.fell > 0 ? "report-bad" : ""}>
                      {row.fell > 0 ? `${row.fell} of ${row.times}` : "–"}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          {report.data.total > report.data.size && (
            <Pagination
              className="pages"
              current={page}
              pageSize={report.data.size}
              total={report.data.total}
              showSizeChanger={false}
              onChange={(to) => put({ page: String(to) })}
            />
          )}
        </>
      )}
    </main>
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
