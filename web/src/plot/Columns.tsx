import { Flex } from "antd";
import { scaleBand, scaleLinear } from "d3-scale";
import { useWidth } from "../ui/useWidth";

export interface Part {
  name: string;
  /** A colour of the palette, such as "lead". */
  tone: string;
}

interface Props {
  label: string;
  /** In time order; each with a value for every part, in the order of the parts. */
  columns: { key: string; name: string; says: string; values: number[] }[];
  parts: Part[];
  unit: string;
  height?: number;
}

const LEFT = 44;
const FOOT = 22;
/** Space for the unit above the highest number. */
const TOP = 26;

/** A column chart over time with stacked parts. */
export function Columns({ label, columns, parts, unit, height = 190 }: Props) {
  const [holder, width] = useWidth(720);
  const most = Math.max(1, ...columns.map(({ values }) => values.reduce((sum, value) => sum + value, 0)));
  const x = scaleBand<string>(
    columns.map(({ key }) => key),
    [LEFT, width],
  ).paddingInner(0.25);
  const y = scaleLinear([0, most], [height - FOOT, TOP]).nice(4);
  const step = Math.max(1, Math.ceil((columns.length * 46) / Math.max(1, width - LEFT)));
  return (
    <div ref={holder} className="plot-room">
      <svg width={width} height={height} role="img" aria-label={label}>
        {y.ticks(4).map((tick) => (
          <g key={tick}>
            <path d={`M${LEFT} ${y(tick)}H${width}`} className="plot-line" />
            <text x={LEFT - 6} y={y(tick) + 4} className="plot-tick" textAnchor="end">
              {tick}
            </text>
          </g>
        ))}
        {columns.map((column, at) => {
          let from = 0;
          return (
            <g key={column.key}>
              <title>{column.says}</title>
              <rect
                x={x(column.key)}
                y={TOP}
                width={x.bandwidth()}
                height={height - FOOT - TOP}
                className="plot-hover"
              />
              {column.values.map((value, part) => {
                const top = y(from + value);
                const tall = y(from) - top;
                from += value;
                return (
                  <rect
                    key={parts[part]?.name}
                    x={x(column.key)}
                    y={top}
                    width={x.bandwidth()}
                    height={tall}
                    style={{ fill: `var(--${parts[part]?.tone})` }}
                  />
                );
              })}
              {at % step === 0 && (
                <text
                  x={(x(column.key) ?? 0) + x.bandwidth() / 2}
                  y={height - 6}
                  className="plot-tick"
                  textAnchor="middle"
                >
                  {column.name}
                </text>
              )}
            </g>
          );
        })}
        <text x={0} y={12} className="plot-tick">
          {unit}
        </text>
      </svg>
      {parts.length > 1 && (
        <Flex component="p" wrap gap="var(--space-2) var(--space-8)" className="plot-key" aria-hidden="true">
          {parts.map(({ name, tone }) => (
            <span key={name}>
              <i style={{ background: `var(--${tone})` }} /> {name}
            </span>
          ))}
        </Flex>
      )}
    </div>
  );
}
