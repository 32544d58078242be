import type { LineDrawing } from "../api/client";

/** A drawing scaled to the available width: its milliseconds are now positions. */
export interface Placed {
  drawing: LineDrawing;
  width: number;
  /** Where the lanes end. */
  right: number;
  x: (ms: number) => number;
  /** Returns a curve of the drawing as a path; empty when it has fewer than two points. */
  curve: (pieces: number[][]) => string;
}

const round = (value: number) => Math.round(value * 100) / 100;

/** @param spanMs the time that the width shows */
export function place(drawing: LineDrawing, room: number, spanMs = drawing.lengthMs): Placed {
  const fits = Math.max(40, room - drawing.left - drawing.right) / Math.max(1, spanMs);
  const scale = Math.min(drawing.most, Math.max(drawing.least, fits));
  const width = drawing.size === "row" ? room : Math.max(room, drawing.left + spanMs * scale + drawing.right);
  const x = (ms: number) => round(drawing.left + ms * scale);
  const curve = (pieces: number[][]) =>
    pieces.length < 2
      ? ""
      : pieces
          .map((piece, at) => {
            const numbers = piece.map((number, place) => (place % 2 === 0 ? x(number) : round(number)));
            return `${at === 0 ? "M" : "C"}${numbers.join(" ")}`;
          })
          .join("");
  return { drawing, width, right: round(width - drawing.edge), x, curve };
}

/**
 * Returns the height of a curve at a moment.
 *
 * @param pieces as in a drawing: a point, then cubic pieces that go on to the right
 * @returns drawing units; before its beginning and after its end what it has there; null for no curve
 */
export function curveAt(pieces: number[][], ms: number): number | null {
  const [first, ...rest] = pieces;
  let [x0 = 0, y0 = 0] = first ?? [];
  if (!first || rest.length === 0) {
    return null;
  }
  for (const [x1 = 0, y1 = 0, x2 = 0, y2 = 0, x3 = 0, y3 = 0] of rest) {
    if (ms <= x3) {
      if (ms <= x0) {
        return y0;
      }
      const bezier = (t: number, a: number, b: number, c: number, d: number) =>
        (1 - t) ** 3 * a + 3 * (1 - t) ** 2 * t * b + 3 * (1 - t) * t ** 2 * c + t ** 3 * d;
      let [from, to] = [0, 1];
      for (let step = 0; step < 30; step += 1) {
        const half = (from + to) / 2;
        if (bezier(half, x0, x1, x2, x3) < ms) {
          from = half;
        } else {
          to = half;
        }
      }
      return bezier((from + to) / 2, y0, y1, y2, y3);
    }
    [x0, y0] = [x3, y3];
  }
  return y0;
}
