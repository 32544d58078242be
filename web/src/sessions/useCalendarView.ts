import { useSearchParams } from "react-router";
import { useSession } from "../api/session";
import { todayInGym } from "../ui/words";
import { addDays, monthAfter, weekStartOf, weeksOf } from "./time";

/** The days and the course that the screen of sessions shows, kept in its address. */
export function useCalendarView() {
  const [search, setSearch] = useSearchParams();
  const firstWeekday = useSession().data?.gym?.firstWeekday ?? 1;
  const today = todayInGym();
  const asked = search.get("day") ?? "";
  const day = /^\d{4}-\d\d-\d\d$/.test(asked) ? asked : today;
  const byMonth = search.get("view") === "month";
  const weeks = byMonth
    ? weeksOf(day, firstWeekday)
    : [Array.from({ length: 7 }, (_, index) => addDays(weekStartOf(day, firstWeekday), index))];
  const put = (values: Record<string, string | null>) =>
    setSearch(
      (now) => {
        const next = new URLSearchParams(now);
        for (const [name, value] of Object.entries(values)) {
          value === null ? next.delete(name) : next.set(name, value);
        }
        return next;
      },
      { replace: true, preventScrollReset: true },
    );
  return {
    today,
    day,
    byMonth,
    course: Number(search.get("course")) || undefined,
    weeks,
    first: weeks[0]?.[0] ?? day,
    last: weeks.at(-1)?.[6] ?? day,
    put,
    go: (by: number) => put({ day: byMonth ? monthAfter(day, by) : addDays(day, 7 * by) }),
  };
}

export type CalendarView = ReturnType<typeof useCalendarView>;
