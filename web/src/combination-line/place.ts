import type { LineDrawing } from "../api/client";

/** A drawing in the room that there is: its milliseconds are places now. */
export interface Placed {
  drawing: LineDrawing;
  width: number;
  /** Where the lanes end. */
  right: number;
  x: (ms: number) => number;
  /** A curve of the drawing as a path; empty when it has less than two points. */
  curve: (pieces: number[][]) => string;
}

const round = (value: number) => Math.round(value * 100) / 100;

/** @param spanMs the time that the width stands for */
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
