import { t } from "@lingui/core/macro";
import { monthAfter } from "../sessions/time";

/** The periods offered, in weeks; the first is the default. */
export const SPANS = [
  { value: "12", label: t`12 weeks` },
  { value: "4", label: t`4 weeks` },
  { value: "26", label: t`half a year` },
  { value: "52", label: t`a year` },
  { value: "520", label: t`ten years` },
];

const iso = (day: Date) =>
  `${day.getFullYear()}-${String(day.getMonth() + 1).padStart(2, "0")}-${String(day.getDate()).padStart(2, "0")}`;

/** Returns the Monday of the first of that many weeks, of which this week is the last. */
export function weeksBack(weeks: number, today: Date): string {
  const monday = new Date(today);
  monday.setDate(monday.getDate() - ((monday.getDay() + 6) % 7) - 7 * (weeks - 1));
  return iso(monday);
}

/** Returns the period of the query parameters, or its own days where they match none. */
export function spanOf(from: string | undefined, to: string | undefined, today: Date): string {
  if (from === undefined && to === undefined) {
    return "12";
  }
  const found = to === undefined ? SPANS.find(({ value }) => weeksBack(Number(value), today) === from) : undefined;
  return found?.value ?? "own";
}

/** Returns a day as it is written under a column: 3 Nov. */
export function shortDay(day: string): string {
  return new Date(`${day}T12:00:00`).toLocaleDateString("en-GB", { day: "numeric", month: "short" });
}

/** Returns a month as it is written over a column: Nov 26. */
export function monthName(month: string): string {
  return new Date(`${month}-15T12:00:00`).toLocaleDateString("en-GB", { month: "short", year: "2-digit" });
}

/** Returns the month before or after, such as 2026-10. */
export const monthBeside = (month: string, by: number): string => monthAfter(`${month}-01`, by).slice(0, 7);

/** Formats a time in minutes. */
export function minutes(ms: number): string {
  const whole = Math.round(ms / 60_000);
  return whole < 120 ? t`${whole} min` : `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, "0")}`;
}
