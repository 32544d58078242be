import { Trans } from "@lingui/react/macro";
import type { ReactNode } from "react";
import "./plot.css";

interface Props {
  /** The heading of the table. */
  caption: string;
  columns: string[];
  /** The first cell is the heading of its row. */
  rows: (string | number)[][];
  children: ReactNode;
}

/** A plot with the table behind it, for screen readers and for exact numbers. */
export function PlotTable({ caption, columns, rows, children }: Props) {
  return (
    <figure className="plot">
      {children}
      <details>
        <summary>
          <Trans>{caption} as a table</Trans>
        </summary>
        <div className="plot-scroll">
          <table className="plain-table">
            <caption className="visually-hidden">{caption}</caption>
            <thead>
              <tr>
                {columns.map((column) => (
                  <th key={column} scope="col">
                    {column}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map(([name, ...cells]) => (
                <tr key={name}>
                  <th scope="row">{name}</th>
                  {cells.map((cell, at) => (
                    <td key={columns[at + 1]}>{cell}</td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </details>
    </figure>
  );
}
