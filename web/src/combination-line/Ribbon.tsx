import { t } from "@lingui/core/macro";
import type { LineDrawing } from "../api/client";
import type { Placed } from "./place";

type Data = NonNullable<LineDrawing["ribbon"]>;

/** The weight between the feet, and the hips over them where they are drawn. */
export function Ribbon({ ribbon, line }: { ribbon: Data; line: Placed }) {
  const { left, isNamed } = line.drawing;
  const path = line.curve(ribbon.line);
  const start = ribbon.line[0]?.[0] ?? 0;
  const end = ribbon.line.at(-1)?.at(-2) ?? 0;
  return (
    <g role="img" aria-label={t`Weight on the front foot: ${ribbon.words}`}>
      <rect
        x={left}
        y={ribbon.front}
        width={line.right - left}
        height={ribbon.back - ribbon.front}
        className="ribbon-ground"
      />
      <path d={`M${left} ${ribbon.middle}H${line.right}`} className="ribbon-middle" />
      {path && (
        <path
          d={`${path}L${line.x(end)} ${ribbon.middle}L${line.x(start)} ${ribbon.middle}Z`}
          className="ribbon-fill"
        />
      )}
      <path d={path} className="ribbon-line" />
      {ribbon.dots.map((dot) => (
        <circle key={dot.ms} cx={line.x(dot.ms)} cy={dot.y} r="3.2" className={`ribbon-dot dot-${dot.role}`} />
      ))}
      {ribbon.hips && <Hips hips={ribbon.hips} ribbon={ribbon} line={line} />}
      {isNamed && (
        <>
          <text x={left - 12} y={ribbon.front + 12} className="lane-name">{t`front foot`}</text>
          <text x={left - 12} y={ribbon.back - 4} className="lane-name">{t`back foot`}</text>
        </>
      )}
    </g>
  );
}

function Hips({ hips, ribbon, line }: { hips: NonNullable<Data["hips"]>; ribbon: Data; line: Placed }) {
  return (
    <g className="hips">
      <path d={line.curve(hips.line)} className="hips-line" />
      {line.drawing.isNamed && (
        <text x={line.x(hips.endMs) + 6} y={hips.endY + 4} className="hips-name">{t`hips`}</text>
      )}
      {hips.pastMs !== null && (
        <g>
          <path d={`M${line.x(hips.pastMs)} ${ribbon.front - 2}V${ribbon.back + 2}`} className="hips-over" />
          <text x={line.x(hips.pastMs) + 5} y={ribbon.front + 13} className="hips-over-name">
            ✕ {hips.pastText}
          </text>
        </g>
      )}
    </g>
  );
}
