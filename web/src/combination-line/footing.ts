import type { LineDrawing } from "../api/client";

type Strip = NonNullable<LineDrawing["feet"]>["orthodox"];
export type Footing = Pick<Strip["pairs"][number], "dx" | "dy" | "turn" | "clear" | "soles">;

const between = (from: number, to: number, part: number) => from + (to - from) * part;
/** Returns a direction between two, the shorter way round, in degrees. */
const turned = (from: number, to: number, part: number) => from + (((((to - from) % 360) + 540) % 360) - 180) * part;

/**
 * Returns where the feet are at a moment, interpolated between the footprints before and after a change.
 *
 * @param items of the same drawing, which say when each change begins
 */
export function footingAt(strip: Strip, items: LineDrawing["items"], ms: number): Footing | null {
  const stood = strip.pairs.findLast((pair) => !pair.isBefore && pair.ms <= ms) ?? strip.pairs[0];
  const to = strip.pairs.find((pair) => !pair.isBefore && pair.ms > ms);
  const from = strip.pairs.find((pair) => pair.isBefore && pair.ms === to?.ms);
  const begins = items.findLast((item) => item.startMs < (to?.ms ?? 0))?.startMs ?? 0;
  if (!to || !from || ms < begins) {
    return stood ?? null;
  }
  const part = (ms - begins) / (to.ms - begins);
  return {
    dx: between(from.dx, to.dx, part),
    dy: between(from.dy, to.dy, part),
    clear: to.clear,
    turn: turned(from.turn, to.turn, part),
    // A foot keeps its identity when lead and rear swap.
    soles: from.soles.map((sole) => {
      const there = to.soles.find((other) => other.isLeft === sole.isLeft) ?? sole;
      return {
        ...there,
        x: between(sole.x, there.x, part),
        y: between(sole.y, there.y, part),
        angle: turned(sole.angle, there.angle, part),
      };
    }),
  };
}
