import type { KeyboardEvent } from "react";
import { Link, useNavigate } from "react-router";
import type { CombinationRow } from "../api/client";
import { CombinationLine } from "../combination-line/CombinationLine";
import { VerdictMark } from "../ui/VerdictMark";
import { seconds } from "../ui/words";

const LINE_WIDTH = 400;

/** One row a combination; arrows move between them. */
export function LibraryTable({ rows }: { rows: CombinationRow[] }) {
  const navigate = useNavigate();
  const onKey = (event: KeyboardEvent<HTMLTableRowElement>, id: number) => {
    const row = event.currentTarget;
    const to =
      event.key === "ArrowDown" ? row.nextElementSibling : event.key === "ArrowUp" ? row.previousElementSibling : null;
    if (to instanceof HTMLElement) {
      event.preventDefault();
      to.focus();
    } else if (event.key === "Enter" && event.target === row) {
      void navigate(`/combinations/${id}`);
    }
  };
  return (
    <div className="panel library-scroll">
      <table className="library-table">
        <thead>
          <tr>
            <th scope="col">Name</th>
            <th scope="col">Line</th>
            <th scope="col">Numbers</th>
            <th scope="col">Level</th>
            <th scope="col">Check</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr
              key={row.id}
              tabIndex={0}
              onKeyDown={(event) => onKey(event, row.id)}
              onClick={() => navigate(`/combinations/${row.id}`)}
            >
              <td className="cell-name">
                <Link to={`/combinations/${row.id}`} tabIndex={-1} onClick={(event) => event.stopPropagation()}>
                  {row.name}
                </Link>
                <small>
                  {row.stance === "southpaw" && <b>southpaw first · </b>}
                  {[row.rules === "all-limbs" ? "all limbs" : row.rules, ...row.themes].join(" · ")}
                </small>
              </td>
              <td className="cell-line">
                <CombinationLine drawing={row.line} width={LINE_WIDTH} name={row.name} />
              </td>
              <td className="cell-numbers">{row.text}</td>
              <td className="cell-level">
                <span role="img" aria-label={`Level ${row.level}`}>
                  {"▮".repeat(row.level)}
                  <i>{"▮".repeat(3 - row.level)}</i>
                </span>
              </td>
              <td className="cell-check">
                <VerdictMark verdict={row.verdict} />
                <small>{seconds(row.lengthMs)}</small>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
