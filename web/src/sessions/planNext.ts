import { answered, api, type Composition, type Course, type Plan } from "../api/client";
import { todayInGym } from "../ui/words";
import { addDays, nextDay } from "./time";
import { composed } from "./usePlans";

/** Days ahead in which existing sessions are considered. */
const DAYS_AHEAD = 400;

/** Returns the next unplanned start of a course, such as 2026-12-01T18:30. */
async function freeStart(course: Course): Promise<string> {
  const today = todayInGym();
  const query = { from: today, to: addDays(today, DAYS_AHEAD), course: course.id };
  const { plans } = await answered(api.GET("/api/plans", { params: { query } }));
  const taken = plans.map(({ startsAt }) => startsAt?.slice(0, 10) ?? "");
  return `${nextDay(course, today, taken)}T${course.time ?? "18:00"}`;
}

/** Returns the number of the week of the syllabus that a day is in; null where nothing is written for it. */
async function weekOf(course: Course, day: string): Promise<number | null> {
  const { weeks } = await answered(api.GET("/api/courses/{id}/syllabus", { params: { path: { id: course.id } } }));
  const at = weeks.findIndex(({ monday }) => monday !== null && monday <= day && day < addDays(monday, 7));
  return at >= 0 && (weeks[at]?.combinations.length ?? 0) > 0 ? at + 1 : null;
}

interface Planned {
  plan: Plan;
  composition: Composition;
}

/** Generates the next session of a course from what is due. */
export async function planDue(course: Course): Promise<Planned> {
  return planned(course, await freeStart(course), { aim: "due" });
}

/** Generates the next session of a course: from the week of its syllabus, otherwise from what is due. */
export async function planNext(course: Course): Promise<Planned> {
  const startsAt = await freeStart(course);
  const week = await weekOf(course, startsAt.slice(0, 10));
  return planned(course, startsAt, week === null ? { aim: "due" } : { aim: "syllabus", value: String(week) });
}

async function planned(
  course: Course,
  startsAt: string,
  about: Pick<Parameters<typeof composed>[0], "aim" | "value">,
): Promise<Planned> {
  const seed = 1 + Math.floor(Math.random() * 99_999);
  const composition = await composed({ course: course.id, ...about, seed });
  const body = {
    name: String(composition.content.name ?? course.name),
    course: course.id,
    startsAt,
    content: composition.content,
  };
  return { plan: await answered(api.POST("/api/plans", { body })), composition };
}
