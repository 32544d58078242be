import fc from "fast-check";
import { expect, test } from "vitest";
import type { LineDrawing } from "../api/client";
import { place } from "./place";

const drawings = fc
  .record({ size: fc.constantFrom("row", "card", "full"), lengthMs: fc.integer({ min: 200, max: 12_000 }) })
  .map((given) => ({ ...given, left: 10, right: 20, edge: 2, least: 0.1, most: 0.25 }) as LineDrawing);
const widths = fc.integer({ min: 60, max: 2400 });

test("time runs to the right, evenly, in any room", () => {
  fc.assert(
    fc.property(drawings, widths, fc.nat(8000), fc.nat(8000), (drawing, width, a, b) => {
      const line = place(drawing, width);
      expect(Math.sign(line.x(a) - line.x(b))).toBe(Math.sign(a - b));
      expect(line.x(a) + line.x(b)).toBeCloseTo(2 * line.x((a + b) / 2), 1);
    }),
  );
});

test("a row keeps its column, and everything else has room for the whole chain", () => {
  fc.assert(
    fc.property(drawings, widths, (drawing, width) => {
      const line = place(drawing, width);
      if (drawing.size === "row") {
        expect(line.width).toBe(width);
      } else {
        expect(line.width).toBeGreaterThanOrEqual(width);
        expect(line.x(drawing.lengthMs) + drawing.right).toBeLessThanOrEqual(line.width + 0.01);
      }
    }),
  );
});

test("a curve of less than two points is no path", () => {
  const line = place({ size: "row", lengthMs: 100, left: 0, right: 0, edge: 0, least: 1, most: 1 } as LineDrawing, 100);
  expect(line.curve([])).toBe("");
  expect(line.curve([[0, 5]])).toBe("");
  expect(
    line.curve([
      [0, 5],
      [10, 5, 20, 5, 30, 8],
    ]),
  ).toBe("M0 5C10 5 20 5 30 8");
});
