import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { createMemoryRouter, RouterProvider } from "react-router";
import { afterEach, expect, test } from "vitest";
import { server } from "../api/client";
import { keys } from "../api/keys";
import { accountOf } from "../testing/account";
import { serve } from "../testing/page";
import { Messages } from "../ui/Messages";
import { todayInGym } from "../ui/words";
import SessionsScreen from "./SessionsScreen";
import { addDays, nextDay, weekStartOf } from "./time";

afterEach(() => {
  cleanup();
  serve(null);
});

const PERSON = { id: 1, name: "Liv" };
const COURSE = {
  id: 3,
  version: 1,
  name: "Early birds",
  rules: "boxing",
  group: "open",
  medium: "pads",
  levels: [1, 2],
  stances: ["orthodox"],
  minutes: 45,
  weekday: 2,
  time: "06:30",
  work: 120,
  longestWork: 180,
  workStep: 15,
  rests: [60],
  note: "",
  archived: false,
};
const plan = (id: number, startsAt: string | null, more: object = {}) => ({
  id,
  version: 1,
  name: `Session ${id}`,
  course: { id: 3, name: "Early birds" },
  isTemplate: false,
  startsAt,
  lengthMs: 2_700_000,
  problems: 0,
  author: PERSON,
  editor: PERSON,
  updatedAt: "2026-11-26T12:00:00Z",
  archived: false,
  ...more,
});

/** A fake gym that answers and records requests. */
function gym(plans: object[], role = "head-coach", weeks: object[] = []) {
  const asked: { path: string; body: Record<string, unknown> }[] = [];
  serve(async (request) => {
    const url = new URL(request.url);
    const body = request.method === "GET" ? {} : ((await request.json()) as Record<string, unknown>);
    asked.push({ path: `${request.method} ${url.pathname}${url.search}`, body });
    const answers: Record<string, unknown> = {
      "GET /api/plans": { plans, undated: [], templates: [plan(9, null, { isTemplate: true, name: "Ten rounds" })] },
      "GET /api/courses": { courses: [COURSE] },
      "GET /api/courses/3/syllabus": { weeks },
      "POST /api/plans/fix": { content: body.content },
      "POST /api/plans/compose": { content: { name: "Early birds: what is due", blocks: [] }, reasons: [], unmet: [] },
      "POST /api/plans": plan(77, null),
      "POST /api/courses": COURSE,
    };
    return new Response(JSON.stringify(answers[`${request.method} ${url.pathname}`] ?? {}), {
      headers: { "Content-Type": "application/json" },
    });
  });
  const queries = new QueryClient();
  queries.setQueryData(keys.session, {
    user: { ...accountOf(role), ...PERSON },
    csrfToken: "",
    gym: { name: "Saltworks", isDemo: false, isBeingSetUp: false, timeZone: "Europe/Lisbon", firstWeekday: 1 },
  });
  queries.setQueryData(server.queryOptions("get", "/api/numberings").queryKey, { numberings: [], ofGym: "parity" });
  const router = createMemoryRouter(
    [
      { path: "/sessions", element: <SessionsScreen /> },
      { path: "/sessions/:id", element: <p>The planner</p> },
    ],
    { initialEntries: ["/sessions"] },
  );
  render(
    <QueryClientProvider client={queries}>
      <Messages>
        <RouterProvider router={router} />
      </Messages>
    </QueryClientProvider>,
  );
  return { asked, router };
}

test("a session is shown on its day with its time, its length and its problems", async () => {
  const today = todayInGym();
  gym([plan(1, `${today}T18:30`, { problems: 2 })]);
  const calendar = await screen.findByRole("region", { name: "Calendar" });
  const session = await within(calendar).findByRole("link");
  expect(session.textContent).toContain("18:30 Session 1");
  expect(session.textContent).toContain("45 min · 2 problems");
  expect(session.getAttribute("href")).toBe("/sessions/1");
});

test("the week that is asked for follows the arrows, and the address has it", async () => {
  const { asked, router } = gym([]);
  fireEvent.click(await screen.findByRole("button", { name: "Next week" }));
  const monday = addDays(weekStartOf(todayInGym(), 1), 7);
  await waitFor(() =>
    expect(asked.some((one) => one.path.includes(`from=${monday}&to=${addDays(monday, 6)}`))).toBe(true),
  );
  expect(router.state.location.search).toContain(`day=${addDays(todayInGym(), 7)}`);
});

test("one press plans the next free day of the course", async () => {
  const first = nextDay(COURSE, todayInGym(), []);
  const { asked, router } = gym([plan(1, `${first}T06:30`)]);
  fireEvent.click(await screen.findByRole("button", { name: /^Plan .* for me$/ }));
  await waitFor(() => expect(router.state.location.pathname).toBe("/sessions/77"));
  const made = asked.find((one) => one.path === "POST /api/plans")?.body;
  expect(made).toMatchObject({ name: "Early birds: what is due", course: 3, startsAt: `${addDays(first, 7)}T06:30` });
  expect(asked.find((one) => one.path === "POST /api/plans/compose")?.body).toMatchObject({ course: 3, aim: "due" });
});

test("a day in a week of the syllabus is planned from that week", async () => {
  const first = nextDay(COURSE, todayInGym(), []);
  const week = (monday: string, combinations: unknown[]) => ({
    theme: "",
    note: "",
    monday,
    isReached: false,
    combinations,
  });
  const { asked, router } = gym([], "head-coach", [week(addDays(first, -13), [{}]), week(addDays(first, -6), [{}])]);
  fireEvent.click(await screen.findByRole("button", { name: /^Plan .* for me$/ }));
  await waitFor(() => expect(router.state.location.pathname).toBe("/sessions/77"));
  expect(asked.find((one) => one.path === "POST /api/plans/compose")?.body).toMatchObject({
    course: 3,
    aim: "syllabus",
    value: "2",
  });
});

test("by hand it begins as the course works, with a track for each level", async () => {
  const { asked, router } = gym([]);
  fireEvent.click(await screen.findByRole("button", { name: "Plan by hand" }));
  await waitFor(() => expect(router.state.location.pathname).toBe("/sessions/77"));
  expect(asked.find((one) => one.path === "POST /api/plans")?.body.content).toMatchObject({
    minutes: 45,
    rules: "boxing",
    level: 2,
    tracks: [
      { name: "Level 1", level: 1 },
      { name: "Level 2", level: 2 },
    ],
    blocks: [{ kind: "rounds", rounds: [{ seconds: 120, rest: 60 }] }],
  });
});

test("a coach plans and makes no courses", async () => {
  gym([], "coach");
  expect(await screen.findByRole("button", { name: "Plan by hand" })).toBeTruthy();
  expect(screen.queryByRole("button", { name: "New course" })).toBeNull();
});

test("a course that is made names what it is sent with", async () => {
  const { asked } = gym([]);
  fireEvent.click(await screen.findByRole("button", { name: "New course" }));
  fireEvent.change(await screen.findByLabelText("Name"), { target: { value: "Noon" } });
  fireEvent.change(screen.getByLabelText("Minutes"), { target: { value: "30" } });
  fireEvent.click(screen.getByRole("button", { name: "Make the course" }));
  await waitFor(() =>
    expect(asked.find((one) => one.path === "POST /api/courses")?.body).toMatchObject({
      name: "Noon",
      minutes: 30,
      levels: [1],
      rests: [60],
    }),
  );
});
