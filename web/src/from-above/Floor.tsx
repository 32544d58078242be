import { t } from "@lingui/core/macro";
import { useId } from "react";
import type { FromAbove, MomentFromAbove, OpponentFromAbove, PartFromAbove, ViewFromAbove } from "../api/client";
import "./from-above.css";

interface Props {
  drawing: FromAbove;
  view: ViewFromAbove;
  /** Place of the moment in the view. */
  shown: number;
  /** Whether it is one of several, a hand's breadth wide: letters are larger, and fewer. */
  small?: boolean;
}

/** The floor at one moment, seen from the ceiling: the athlete below, the opponent above. */
export function Floor({ drawing, view, shown, small = false }: Props) {
  const arrow = useId();
  const { left, top } = view;
  const { width, height } = drawing;
  const moment = view.moments[shown];
  const before = view.moments[shown - 1];
  const them = moment && view.opponents[moment.them];
  if (!moment || !them) {
    return null;
  }
  const moved = moment.way !== null && before;
  return (
    <svg className="floor" viewBox={`${left} ${top} ${width} ${height}`} role="img" aria-label={moment.sentence}>
      <defs>
        <marker id={arrow} viewBox="0 0 8 8" refX="6" refY="4" markerWidth="4" markerHeight="4" orient="auto">
          <path d="M0 0L8 4L0 8Z" className="floor-arrow" />
        </marker>
      </defs>
      <path d={them.reach} className={moment.isReached ? "floor-reach floor-reach-met" : "floor-reach"} />
      <TheirLine {...{ moment, them }} bottom={top + height} />
      {moved && <Feet drawing={drawing} parts={before.us} className="floor-was" />}
      <Athlete drawing={drawing} parts={them.parts} who="them" />
      <g className="floor-liver" transform={`translate(${them.liverX} ${them.liverY})`}>
        <ellipse rx="5" ry="3.6" />
      </g>
      {moment.way && <path d={moment.way} className="floor-way" markerEnd={`url(#${arrow})`} />}
      <Athlete drawing={drawing} parts={moment.us} who="us" />
      {moment.blow && <Blow blow={moment.blow} />}
      <Names {...{ width, moment, them, small }} />
    </svg>
  );
}

/** The line in which the opponent faces, and how far the athlete is off it. */
function TheirLine({
  moment,
  them: { parts },
  bottom,
}: {
  moment: MomentFromAbove;
  them: OpponentFromAbove;
  bottom: number;
}) {
  const them = parts.find(({ part }) => part === "head");
  if (!them) {
    return null;
  }
  const far = bottom - them.y;
  const along = (degrees: number, length: number) => {
    const turn = (degrees * Math.PI) / 180;
    return `${them.x + length * Math.sin(turn)} ${them.y - length * Math.cos(turn)}`;
  };
  const off = moment.side === "left" ? moment.angle : -moment.angle;
  const radius = Math.min(46, moment.distanceCm * 0.62);
  const edges = [along(them.turn, radius), along(them.turn + off, radius)];
  return (
    <>
      <path d={`M${them.x} ${them.y}L${along(them.turn, far)}`} className="floor-line" />
      {moment.side && (
        <>
          <path d={`M${them.x} ${them.y}L${along(them.turn + off, moment.distanceCm)}`} className="floor-line" />
          <path d={`M${edges[0]}A${radius} ${radius} 0 0 ${off > 0 ? 1 : 0} ${edges[1]}`} className="floor-angle" />
        </>
      )}
    </>
  );
}

function Athlete({ drawing, parts, who }: { drawing: FromAbove; parts: PartFromAbove[]; who: "us" | "them" }) {
  return (
    <g className={`floor-${who}`}>
      <Feet drawing={drawing} parts={parts} />
      {parts.map((part) => {
        if (part.part === "hips") {
          return (
            <rect
              key="hips"
              className="floor-hips"
              style={placed(part)}
              x={-drawing.hips / 2}
              y="-4"
              width={drawing.hips}
              height="8"
              rx="4"
            />
          );
        }
        if (part.part === "shoulders") {
          return (
            <ellipse
              key="shoulders"
              className="floor-shoulders"
              style={placed(part)}
              rx={drawing.shoulders / 2}
              ry="8.5"
            />
          );
        }
        if (part.part === "hand") {
          return (
            <circle key={`hand-${part.role}`} className={`floor-hand floor-${part.role}`} style={placed(part)} r="5" />
          );
        }
        return part.part === "head" ? (
          <g key="head" className="floor-head" style={placed(part)}>
            <path d={`M-3.5 ${1 - drawing.head}L0 ${-drawing.head - 3.5}L3.5 ${1 - drawing.head}Z`} />
            <circle r={drawing.head} />
          </g>
        ) : null;
      })}
    </g>
  );
}

function Feet({ drawing, parts, className }: { drawing: FromAbove; parts: PartFromAbove[]; className?: string }) {
  return (
    <g className={className}>
      {parts
        .filter(({ part }) => part === "foot")
        .map((foot) => (
          <g key={foot.role} style={placed(foot)} className="floor-foot">
            <path
              d={drawing.sole}
              transform={`rotate(-90) scale(${drawing.soleScale} ${drawing.soleScale * (foot.isLeft ? 1 : -1)})`}
              className={`floor-sole floor-${foot.role}`}
            />
          </g>
        ))}
    </g>
  );
}

function Blow({ blow }: { blow: NonNullable<MomentFromAbove["blow"]> }) {
  const reaches = blow.isLiver ? " floor-blow-liver" : blow.isSpleen ? " floor-blow-spleen" : "";
  return (
    <g className={`floor-blow floor-${blow.role}${blow.isFeint ? " floor-blow-feint" : ""}${reaches}`}>
      <path d={blow.d} />
      <circle cx={blow.x} cy={blow.y} r={blow.isLeg ? 6.5 : 5} />
    </g>
  );
}

/** Share of the width that is as high as the letters. */
const LETTERS = { alone: 0.056, small: 0.095 };

/** Names in the picture what nobody could guess. */
function Names({
  width,
  moment,
  them: { parts },
  small,
}: {
  width: number;
  moment: MomentFromAbove;
  them: OpponentFromAbove;
  small: boolean;
}) {
  const hand = parts.find(({ part, role }) => part === "hand" && role === "rear");
  const them = parts.find(({ part }) => part === "head");
  const { blow } = moment;
  if (!hand || !them) {
    return null;
  }
  const size = width * (small ? LETTERS.small : LETTERS.alone);
  const isLeft = hand.x < them.x;
  const blowIsLeft = (blow?.x ?? 0) < them.x;
  return (
    <g className="floor-names" style={{ fontSize: `${size}px` }}>
      {!small && (
        <text
          x={hand.x + (isLeft ? -13 : 13)}
          y={hand.y + size * 0.9}
          className={isLeft ? "floor-name-end" : undefined}
        >
          {t`rear hand`}
        </text>
      )}
      {blow && (blow.isLiver || blow.isSpleen) && (
        <text
          x={blow.x + (blowIsLeft ? -9 : 9)}
          y={blow.y - 2}
          className={`${blowIsLeft ? "floor-name-end" : ""} ${blow.isLiver ? "floor-name-liver" : "floor-name-spleen"}`}
        >
          {blow.isLiver ? t`liver` : t`no liver`}
        </text>
      )}
      {moment.side && (
        // On the other side of the line from the athlete.
        <text
          x={them.x + (moment.side === "left" ? 4 : -4)}
          y={them.y + Math.min(46, moment.distanceCm * 0.62) + size * 0.4}
          className={moment.side === "left" ? "floor-name-angle" : "floor-name-angle floor-name-end"}
        >
          {moment.angle}°
        </text>
      )}
    </g>
  );
}

/** Where a part is: as a style, so that it moves there. */
function placed({ x, y, turn }: PartFromAbove) {
  return { transform: `translate(${x}px, ${y}px) rotate(${turn}deg)` };
}
