import { scaleBand, scaleSqrt } from "d3-scale";
import { useWidth } from "../ui/useWidth";

interface Props {
  label: string;
  columns: { key: string; name: string }[];
  rows: { name: string; values: number[]; sum: string }[];
  says: (row: string, column: string, value: number) => string;
}

const ROW = 26;
const FOOT = 24;
const SUM = 64;

/** A heat map by week: darker means more. Each square has its number where there is room. */
export function HeatMap({ label, columns, rows, says }: Props) {
  const [holder, width] = useWidth(720);
  const left = Math.min(130, width * 0.3);
  const most = Math.max(1, ...rows.flatMap(({ values }) => values));
  const x = scaleBand<string>(
    columns.map(({ key }) => key),
    [left, width - SUM],
  ).paddingInner(0.08);
  const strength = scaleSqrt([0, most], [0, 1]);
  const height = rows.length * ROW + FOOT;
  const step = Math.max(1, Math.ceil((columns.length * 44) / Math.max(1, width - left - SUM)));
  const numbers = x.bandwidth() >= 34;
  return (
    <div ref={holder} className="plot-room">
      <svg width={width} height={height} role="img" aria-label={label}>
        {rows.map((row, line) => (
          <g key={row.name} transform={`translate(0 ${line * ROW})`}>
            <text x={left - 8} y={ROW / 2 + 4} className="plot-name" textAnchor="end">
              {row.name}
            </text>
            {columns.map((column, at) => {
              const value = row.values[at] ?? 0;
              const share = strength(value);
              return (
                <g key={column.key}>
                  <title>{says(row.name, column.name, value)}</title>
                  <rect x={x(column.key)} y={1} width={x.bandwidth()} height={ROW - 3} className="heat-empty" />
                  <rect
                    x={x(column.key)}
                    y={1}
                    width={x.bandwidth()}
                    height={ROW - 3}
                    className="heat"
                    style={{ opacity: share }}
                  />
                  {numbers && value >= 0.5 && (
                    <text
                      x={(x(column.key) ?? 0) + x.bandwidth() / 2}
                      y={ROW / 2 + 4}
                      className={share > 0.55 ? "heat-number heat-number-over" : "heat-number"}
                      textAnchor="middle"
                    >
                      {Math.round(value)}
                    </text>
                  )}
                </g>
              );
            })}
            <text x={width - 2} y={ROW / 2 + 4} className="plot-tick" textAnchor="end">
              {row.sum}
            </text>
          </g>
        ))}
        {columns.map(
          (column, at) =>
            at % step === 0 && (
              <text
                key={column.key}
                x={(x(column.key) ?? 0) + x.bandwidth() / 2}
                y={height - 6}
                className="plot-tick"
                textAnchor="middle"
              >
                {column.name}
              </text>
            ),
        )}
      </svg>
    </div>
  );
}
