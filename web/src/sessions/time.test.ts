import * as fc from "fast-check";
import { expect, test } from "vitest";
import { addDays, clock, monthAfter, nextDay, weekdayOf, weekStartOf, weeksOf } from "./time";

const days = fc.integer({ min: 0, max: 20_000 }).map((count) => addDays("2020-01-01", count));

test.each([
  [0, "0:00"],
  [59_400, "0:59"],
  [180_000, "3:00"],
  [3_725_000, "62:05"],
])("%s ms are %s", (ms, shown) => {
  expect(clock(ms)).toBe(shown);
});

test.each([
  ["2026-11-26", 4, "2026-11-23"],
  ["2026-11-23", 1, "2026-11-23"],
  ["2026-11-29", 7, "2026-11-23"],
  ["2027-01-01", 5, "2026-12-28"],
])("%s is weekday %s of the week of %s", (day, weekday, monday) => {
  expect(weekdayOf(day)).toBe(weekday);
  expect(weekStartOf(day, 1)).toBe(monday);
});

test("adding days and taking them away leads back, over months, leap years and changes of the clocks", () => {
  fc.assert(
    fc.property(days, fc.integer({ min: -800, max: 800 }), (day, by) => addDays(addDays(day, by), -by) === day),
  );
});

test("the weeks of a month are whole, in order, and hold each of its days once", () => {
  fc.assert(
    fc.property(days, (day) => {
      const all = weeksOf(day, 1).flat();
      expect(all.length % 7).toBe(0);
      for (const [at, next] of all.slice(1).entries()) {
        expect(next).toBe(addDays(all[at] ?? "", 1));
      }
      expect(all).toContain(day);
      expect(weekdayOf(all[0] ?? "")).toBe(1);
    }),
  );
});

test("the month after December is January", () => {
  expect(monthAfter("2026-12-31", 1)).toBe("2027-01-01");
  expect(monthAfter("2026-01-31", -1)).toBe("2025-12-01");
});

test("the next session of a course is on its weekday, on a day that is free", () => {
  expect(nextDay({ weekday: 2 }, "2026-11-26", [])).toBe("2026-12-01");
  expect(nextDay({ weekday: 4 }, "2026-11-26", ["2026-11-26", "2026-12-03"])).toBe("2026-12-10");
  expect(nextDay({ weekday: null }, "2026-11-26", ["2026-11-26"])).toBe("2026-11-27");
});
