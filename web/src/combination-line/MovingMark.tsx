import { useEffect, useRef } from "react";
import type { Stance } from "../api/client";
import { type Footing, footingAt } from "./footing";
import { curveAt, type Placed } from "./place";

interface Props {
  line: Placed;
  stance?: Stance;
  /** Returns the moment of the chain in ms, or null while it does not move. Called for every frame. */
  at: () => number | null;
}

/** A mark that moves over the line, with the weight and the feet at that moment. */
export function MovingMark({ line, stance = "orthodox", at }: Props) {
  const all = useRef<SVGGElement>(null);
  const mark = useRef<SVGGElement>(null);
  const weight = useRef<SVGCircleElement>(null);
  const feet = useRef<SVGGElement>(null);
  const { drawing } = line;
  const strip = drawing.feet?.[stance];
  useEffect(() => {
    // With reduced motion it moves from landing to landing.
    const steps = window.matchMedia?.("(prefers-reduced-motion: reduce)").matches ?? false;
    const landed = (ms: number) => drawing.items.findLast((item) => item.ms <= ms)?.ms ?? 0;
    let frame = 0;
    const draw = () => {
      const now = at();
      if (all.current) {
        all.current.style.visibility = now === null ? "hidden" : "visible";
      }
      if (now !== null) {
        const ms = steps ? landed(now) : now;
        mark.current?.setAttribute("transform", `translate(${line.x(ms)} 0)`);
        const y = drawing.ribbon ? curveAt(drawing.ribbon.line, ms) : null;
        weight.current?.setAttribute("transform", `translate(${line.x(ms)} ${y ?? 0})`);
        const footing = strip ? footingAt(strip, drawing.items, ms) : null;
        if (footing && strip && feet.current) {
          place(feet.current, footing, Math.max(line.x(ms), drawing.left + footing.clear), strip.y);
        }
      }
      frame = requestAnimationFrame(draw);
    };
    draw();
    return () => cancelAnimationFrame(frame);
  }, [line, drawing, strip, at]);
  return (
    <g ref={all} className="now" style={{ visibility: "hidden" }} aria-hidden="true">
      <g ref={mark}>
        <path d={`M0 6V${drawing.height - 4}`} className="now-line" />
        <path d="M-7 0h14l-7 10z" className="now-head" />
      </g>
      {drawing.ribbon && <circle ref={weight} r="7" className="now-weight" />}
      {strip && (
        <g ref={feet}>
          {strip.pairs[0]?.soles.map((sole) => (
            <path key={sole.role} d={strip.sole} className={`foot now-foot foot-${sole.role}`} />
          ))}
        </g>
      )}
    </g>
  );
}

function place(group: SVGGElement, footing: Footing, x: number, y: number) {
  group.setAttribute("transform", `translate(${x + footing.dx} ${y + footing.dy}) rotate(${footing.turn})`);
  footing.soles.forEach((sole, at) => {
    const path = group.children[at];
    path?.setAttribute(
      "transform",
      `translate(${sole.x} ${sole.y}) rotate(${sole.angle}) scale(1 ${sole.isLeft ? 1 : -1})`,
    );
    path?.setAttribute("class", `foot now-foot foot-${sole.role}`);
  });
}
