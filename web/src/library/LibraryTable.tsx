import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Checkbox } from "antd";
import type { KeyboardEvent } from "react";
import { Link, useNavigate } from "react-router";
import type { CombinationRow } from "../api/client";
import { CombinationLine } from "../combination-line/CombinationLine";
import type { Filters } from "../library-search/useLibrary";
import { useWords } from "../ui/useWords";
import { VerdictMark } from "../ui/VerdictMark";
import { day, nameOf, RULES, seconds } from "../ui/words";
import type { SortName } from "./filters";

const LINE_WIDTH = 360;

interface Props {
  rows: CombinationRow[];
  filters: Filters;
  onSort: (column: SortName) => void;
  chosen: CombinationRow[];
  onChoose: (rows: CombinationRow[]) => void;
}

const COLUMNS: { title: string; sort?: SortName }[] = [
  { title: t`Name`, sort: "name" },
  { title: t`Line` },
  { title: t`Numbers` },
  { title: t`Level`, sort: "level" },
  { title: t`Check, length`, sort: "length" },
  { title: t`Drilled`, sort: "drilled" },
  { title: t`Changed`, sort: "updated" },
];

/** The table of combinations; arrow keys move between rows, a column head sorts, a box selects. */
export function LibraryTable({ rows, filters, onSort, chosen, onChoose }: Props) {
  const all = rows.length > 0 && rows.every((row) => chosen.some(({ id }) => id === row.id));
  return (
    <div className="panel library-scroll">
      <table className="library-table">
        <thead>
          <tr>
            <td className="cell-choose">
              <Checkbox
                checked={all}
                indeterminate={!all && chosen.length > 0}
                onChange={() => onChoose(all ? [] : rows)}
                aria-label={t`Choose all on this page`}
              />
            </td>
            {COLUMNS.map(({ title, sort }) => (
              <th
                key={title}
                scope="col"
                aria-sort={
                  sort === undefined || sort !== filters.sort
                    ? undefined
                    : filters.direction === "up"
                      ? "ascending"
                      : "descending"
                }
              >
                {sort === undefined ? (
                  title
                ) : (
                  <button type="button" className="sort" onClick={() => onSort(sort)}>
                    {title}
                    <span aria-hidden="true">
                      {sort !== filters.sort ? "" : filters.direction === "up" ? " ▲" : " ▼"}
                    </span>
                  </button>
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <Row
              key={row.id}
              row={row}
              isChosen={chosen.some(({ id }) => id === row.id)}
              onChoose={(isChosen) => onChoose(isChosen ? [...chosen, row] : chosen.filter(({ id }) => id !== row.id))}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}

interface RowProps {
  row: CombinationRow;
  isChosen: boolean;
  onChoose: (isChosen: boolean) => void;
}

function Row({ row, isChosen, onChoose }: RowProps) {
  const navigate = useNavigate();
  const [withWords] = useWords();
  const onKey = (event: KeyboardEvent<HTMLTableRowElement>) => {
    const line = event.currentTarget;
    const to =
      event.key === "ArrowDown"
        ? line.nextElementSibling
        : event.key === "ArrowUp"
          ? line.previousElementSibling
          : null;
    if (to instanceof HTMLElement) {
      event.preventDefault();
      to.focus();
    } else if (event.key === "ArrowUp") {
      event.preventDefault();
      document.querySelector<HTMLElement>(".library-filters input")?.focus();
    } else if (event.key === "Enter" && event.target === line) {
      void navigate(`/combinations/${row.id}`);
    }
  };
  return (
    <tr tabIndex={0} onKeyDown={onKey} onClick={() => navigate(`/combinations/${row.id}`)}>
      {/* biome-ignore lint/a11y/useKeyWithClickEvents: the box in it takes the keys */}
      <td className="cell-choose" onClick={(event) => event.stopPropagation()}>
        <Checkbox
          checked={isChosen}
          onChange={(event) => onChoose(event.target.checked)}
          aria-label={t`Choose ${row.name}`}
        />
      </td>
      <td className="cell-name">
        <Link to={`/combinations/${row.id}`} tabIndex={-1} onClick={(event) => event.stopPropagation()}>
          {row.name}
        </Link>
        <small>
          {row.stance === "southpaw" && (
            <b>
              <Trans>written for southpaw ·</Trans>{" "}
            </b>
          )}
          {[nameOf(RULES, row.rules), ...row.themes].join(" · ")}
        </small>
      </td>
      <td className="cell-line">
        <CombinationLine drawing={row.line} width={LINE_WIDTH} name={row.name} />
      </td>
      <td className="cell-numbers">
        {row.text}
        {withWords && <small className="chain-words">{row.line.words}</small>}
      </td>
      <td className="cell-level">
        <span role="img" aria-label={t`Level ${row.level}`}>
          {"▮".repeat(row.level)}
          <i>{"▮".repeat(3 - row.level)}</i>
        </span>
      </td>
      <td className="cell-check">
        <VerdictMark verdict={row.verdict} />
        <small>{seconds(row.lengthMs)}</small>
      </td>
      <td className="cell-changed" data-label={t`drilled`}>
        {row.drilledOn ? day(row.drilledOn) : t`never`}
      </td>
      <td className="cell-changed" data-label={t`changed`}>
        {day(row.updatedAt)}
      </td>
    </tr>
  );
}
