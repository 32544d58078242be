import fc from "fast-check";
import { expect, test } from "vitest";
import { clockOf, secondsOf } from "./clock";

test.each([
  ["3:00", 180],
  ["3", 180],
  ["1.5", 90],
  ["45", 45],
  ["90 s", 90],
  ["5 s", 5],
  ["10:00", 600],
  ["10 min", 600],
  ["0", 0],
  ["0:45", 45],
])("%s is %d seconds", (text, seconds) => {
  expect(secondsOf(text)).toBe(seconds);
});

test.each(["", "three", "3:75", "-3", "1:2:3"])("“%s” is no time", (text) => {
  expect(secondsOf(text)).toBeNull();
});

test("what is shown is read back", () => {
  fc.assert(fc.property(fc.integer({ min: 0, max: 3600 }), (seconds) => secondsOf(clockOf(seconds)) === seconds));
});
