import { t } from "@lingui/core/macro";
import { clockOf } from "../ui/clock";

/** Formats ms in minutes and seconds. */
export function clock(ms: number): string {
  return clockOf(Math.round(ms / 1000));
}

/** Adds days to a day such as 2026-11-26, without a time zone. */
export function addDays(day: string, days: number): string {
  const date = new Date(`${day}T00:00:00Z`);
  date.setUTCDate(date.getUTCDate() + days);
  return date.toISOString().slice(0, 10);
}

/** Returns 1 (Monday) to 7 (Sunday). */
export function weekdayOf(day: string): number {
  return new Date(`${day}T00:00:00Z`).getUTCDay() || 7;
}

/** Returns the first day of the week of a day, for weeks that start on that weekday. */
export function weekStartOf(day: string, firstWeekday: number): string {
  return addDays(day, -((weekdayOf(day) - firstWeekday + 7) % 7));
}

/** Returns the days of a month in whole weeks. */
export function weeksOf(day: string, firstWeekday: number): string[][] {
  const month = day.slice(0, 7);
  const weeks: string[][] = [];
  for (let start = weekStartOf(`${month}-01`, firstWeekday); start.slice(0, 7) <= month; start = addDays(start, 7)) {
    weeks.push(Array.from({ length: 7 }, (_, index) => addDays(start, index)));
  }
  return weeks;
}

export function monthAfter(day: string, months: number): string {
  const date = new Date(`${day.slice(0, 7)}-01T00:00:00Z`);
  date.setUTCMonth(date.getUTCMonth() + months);
  return date.toISOString().slice(0, 10);
}

const shown = (day: string, options: Intl.DateTimeFormatOptions) =>
  new Date(`${day}T00:00:00Z`).toLocaleDateString("en-GB", { ...options, timeZone: "UTC" });

export const longDay = (day: string) => shown(day, { weekday: "long", day: "numeric", month: "long" });
export const shortDay = (day: string) => shown(day, { weekday: "short", day: "numeric" });
/** Returns the day and time of a session, such as "Thursday 17 December, 19:00"; it may have no day yet. */
export function whenOf(startsAt: string | null): string {
  return startsAt === null ? t`no day yet` : `${longDay(startsAt.slice(0, 10))}, ${startsAt.slice(11, 16)}`;
}

export const monthName = (day: string) => shown(day, { month: "long", year: "numeric" });

/** Returns the next day of a course, from that day on, without one of these sessions. */
export function nextDay(course: { weekday: number | null }, from: string, taken: string[]): string {
  let day = course.weekday === null ? from : addDays(from, (course.weekday - weekdayOf(from) + 7) % 7);
  while (taken.includes(day)) {
    day = addDays(day, course.weekday === null ? 1 : 7);
  }
  return day;
}
