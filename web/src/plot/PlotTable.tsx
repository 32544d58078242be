import type { ReactNode } from "react";
import "./plot.css";

interface Props {
  /** What the plot shows, as a heading of the table. */
  caption: string;
  columns: string[];
  /** The first cell of each row names it. */
  rows: (string | number)[][];
  children: ReactNode;
}

/** A plot, and behind it the table that it was drawn from: for whoever cannot see it, and for whoever wants the numbers. */
export function PlotTable({ caption, columns, rows, children }: Props) {
  return (
    <figure className="plot">
      {children}
      <details>
        <summary>{caption} as a table</summary>
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
