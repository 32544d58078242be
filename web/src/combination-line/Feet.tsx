import { t } from "@lingui/core/macro";
import type { LineDrawing } from "../api/client";
import type { Placed } from "./place";

/** The strip of footprints: one pair at the start and one at each item that moves or turns the feet. */
export function Feet({ feet, line }: { feet: NonNullable<LineDrawing["feet"]>["orthodox"]; line: Placed }) {
  const { left } = line.drawing;
  return (
    <g className="feet">
      <text x={left - 12} y={feet.y + 4} className="lane-name">{t`feet`}</text>
      {feet.pairs.map((pair, at) => {
        const x = Math.max(line.x(pair.ms), left + pair.clear) + pair.dx;
        return (
          <g
            key={at}
            className={pair.isBefore ? "feet-before" : undefined}
            transform={`translate(${x} ${feet.y + pair.dy}) rotate(${pair.turn})`}
          >
            {pair.soles.map((sole) => (
              <path
                key={sole.role}
                className={`foot foot-${sole.role}`}
                transform={`translate(${sole.x} ${sole.y}) rotate(${sole.angle}) scale(1 ${sole.isLeft ? 1 : -1})`}
                d={feet.sole}
              />
            ))}
          </g>
        );
      })}
    </g>
  );
}
