import fc from "fast-check";
import { expect, test } from "vitest";
import { minutes, monthBeside, SPANS, shortDay, spanOf, weeksBack } from "./period";

const TODAY = new Date("2026-11-26T20:00:00");

test("a span begins on a Monday, this week among its weeks", () => {
  expect(weeksBack(1, TODAY)).toBe("2026-11-23");
  expect(weeksBack(4, TODAY)).toBe("2026-11-02");
  expect(weeksBack(1, new Date("2026-11-23T00:10:00"))).toBe("2026-11-23");
  expect(weeksBack(1, new Date("2026-11-29T23:50:00"))).toBe("2026-11-23");
});

test.each(SPANS)("the address of $label is read as that span", ({ value }) => {
  expect(spanOf(weeksBack(Number(value), TODAY), undefined, TODAY)).toBe(value);
});

test("without days it is twelve weeks, and other days are the reader's own", () => {
  expect(spanOf(undefined, undefined, TODAY)).toBe("12");
  expect(spanOf("2026-01-02", undefined, TODAY)).toBe("own");
  expect(spanOf(weeksBack(4, TODAY), "2026-11-20", TODAY)).toBe("own");
});

test("the month before and after the turn of the year", () => {
  expect(monthBeside("2026-01", -1)).toBe("2025-12");
  expect(monthBeside("2026-12", 1)).toBe("2027-01");
});

test("going a month on and back again is where one was", () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 600 }), fc.integer({ min: -200, max: 200 }), (months, by) => {
      const month = monthBeside("2000-01", months);
      expect(monthBeside(monthBeside(month, by), -by)).toBe(month);
    }),
  );
});

test("minutes and days as coaches say them", () => {
  expect([minutes(0), minutes(90_000), minutes(7_100_000), minutes(7_260_000)]).toEqual([
    "0 min",
    "2 min",
    "118 min",
    "2 h 01",
  ]);
  expect(shortDay("2026-11-03")).toBe("3 Nov");
});
