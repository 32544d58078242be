import { QueryClient } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, test } from "vitest";
import type { LoadReport, Session } from "../api/client";
import { keys } from "../api/keys";
import { accountOf } from "../testing/account";
import { serve } from "../testing/page";
import { Around, type Asked, heldServer } from "../testing/server";
import BalanceScreen from "./BalanceScreen";
import DueScreen from "./DueScreen";
import FaultsScreen from "./FaultsScreen";
import LinksScreen from "./LinksScreen";
import PlannedScreen from "./PlannedScreen";
import WeaponsScreen from "./WeaponsScreen";

const week = (of: string, orthodox: number, southpaw: number, jabs: number) => ({
  week: of,
  sessions: 1,
  workMs: orthodox + southpaw,
  strikes: 2 * jabs,
  repetitions: jabs,
  free: 0,
  weapons: { straight: 2 * jabs },
  sides: { left: jabs, right: jabs },
  limbs: { hand: 2 * jabs, elbow: 0, leg: 0, knee: 0 },
  limbSides: {
    hand: { left: jabs, right: 0 },
    elbow: { left: 0, right: 0 },
    leg: { left: 0, right: 0 },
    knee: { left: 0, right: 0 },
  },
  targets: { head: 2 * jabs, body: 0, leg: 0 },
  stanceMs: { orthodox, southpaw },
  openings: jabs,
  jabOpenings: jabs,
  strikesThrown: { jab: jabs },
});
const LOAD = {
  from: "2026-11-09",
  to: "2026-11-22",
  weeks: [week("2026-11-09", 1_200_000, 0, 120), week("2026-11-16", 600_000, 600_000, 80)],
  sum: { ...week("2026-11-09", 1_800_000, 600_000, 200), sessions: 2 },
  weapons: [
    { id: "jab", name: "jab", family: "straight", sum: 200 },
    { id: "cross", name: "cross", family: "straight", sum: 0 },
    { id: "lead-hook", name: "lead hook", family: "hook", sum: 0 },
  ],
  findings: ["Only 25 % of the minutes are in the southpaw stance."],
} as LoadReport;
const brief = (name: string) => ({ id: 7, name, text: "1 2 3", level: 1, archived: false, line: null });
const LINK = {
  combination: brief("Front porch"),
  link: 1,
  from: "cross",
  to: "lead hook",
  fell: 3,
  times: 6,
  measured: { count: 2, slower: 2, faster: 0, median: 465, computed: 380 },
  check: { verdict: "flows", wait: 0, reason: "" },
  disagrees: true,
  says: "The check says that it flows.",
  rules: "boxing",
  of: "lead-hook",
};

const TABLE = {
  "GET /api/courses": {
    courses: [{ id: 3, name: "Tuesday", archived: false, levels: [1], weekday: 2, time: "18:30" }],
  },
  "GET /api/reports/load": LOAD,
  "GET /api/reports/links": { from: "2026-09-07", to: "2026-11-27", links: [LINK] },
  "GET /api/reports/planned": {
    from: "2026-09-07",
    to: "2026-11-27",
    logged: 1,
    plannedMs: 3_600_000,
    doneMs: 3_300_000,
    sessions: [
      {
        plan: 3,
        entry: null,
        name: "Tuesday",
        course: null,
        day: "2026-11-24",
        plannedMs: 3_600_000,
        doneMs: null,
        left: [],
        added: [],
      },
      {
        plan: 2,
        entry: 9,
        name: "Monday",
        course: "Beginners",
        day: "2026-11-23",
        plannedMs: 3_600_000,
        doneMs: 3_300_000,
        left: [brief("Cellar window")],
        added: [{ ...brief("Front porch"), id: 8 }],
      },
    ],
  },
  "GET /api/reports/faults": {
    from: "2026-09-07",
    to: "2026-11-27",
    months: ["2026-10", "2026-11"],
    faults: [
      {
        fault: "the arm swings wide",
        mend: "elbow level with the fist",
        times: 5,
        last: "2026-11-17",
        months: { "2026-10": 2, "2026-11": 3 },
        combinations: [brief("Front porch")],
      },
    ],
  },
  "GET /api/plans": { plans: [], undated: [], templates: [] },
  "GET /api/courses/3/due": {
    today: "2026-11-27",
    total: 2,
    schedule: { first: 7, least: 3, most: 56 },
    due: [
      {
        combination: brief("Cellar window"),
        last: "2026-11-10",
        times: 3,
        interval: 7,
        day: "2026-11-17",
        overdue: 10,
        held: false,
        faults: ["the arm swings wide"],
      },
      {
        combination: { ...brief("Front porch"), id: 8 },
        last: "2026-11-24",
        times: 1,
        interval: 7,
        day: "2026-12-01",
        overdue: -4,
        held: true,
        faults: [],
      },
    ],
  },
};

let asked: Asked[] = [];
beforeEach(() => {
  asked = heldServer(TABLE);
});
afterEach(() => {
  cleanup();
  serve(null);
});

function shown(element: React.ReactNode, address = "/", role = "head-coach") {
  const client = new QueryClient();
  client.setQueryData(keys.session, { user: accountOf(role), csrfToken: "t" } as unknown as Session);
  render(
    <Around client={client}>
      <MemoryRouter initialEntries={[address]}>{element}</MemoryRouter>
    </Around>,
  );
}

test("the plot of stances has a table with the same numbers", async () => {
  shown(<BalanceScreen />);
  const table = await screen.findByRole("table", { name: "Minutes in each stance by week", hidden: true });
  const rows = within(table)
    .getAllByRole("row", { hidden: true })
    .slice(1)
    .map((row) => row.textContent);
  expect(rows).toEqual(["2026-11-09200", "2026-11-161010"]);
  expect(screen.getByText("Only 25 % of the minutes are in the southpaw stance.")).toBeTruthy();
  expect(screen.getAllByText("75 %")).toBeTruthy();
});

test("a planned session stands beside what was done, and one without an entry is logged with a press", async () => {
  shown(<PlannedScreen />);
  expect(
    await screen.findByText(/1 of 2 planned sessions are in the logbook: 55 min done of 60 min planned/),
  ).toBeTruthy();
  const [waiting, done] = screen.getAllByRole("row").slice(1) as [HTMLElement, HTMLElement];
  expect(within(waiting).getByRole("link", { name: "log it as planned" }).getAttribute("href")).toBe(
    "/logbook/new?plan=3",
  );
  expect(within(done).getByRole("link", { name: "55 min" }).getAttribute("href")).toBe("/logbook/9");
  expect(
    within(done)
      .getAllByRole("cell")
      .slice(4)
      .map((cell) => cell.textContent),
  ).toEqual(["Cellar window", "Front porch"]);
});

test("the sides of a limb are shown, and for how many strikes they are known", async () => {
  shown(<BalanceScreen />);
  expect(await screen.findByText("Hands, left and right")).toBeTruthy();
  expect(screen.queryByText("Knees, left and right")).toBeNull();
  expect(screen.getByText(/known for \d+ % of these strikes/)).toBeTruthy();
});

test("a fault that comes back stands with its months, what mends it, and where it was seen", async () => {
  shown(<FaultsScreen />);
  const row = await screen.findByRole("row", { name: /the arm swings wide/ });
  expect(within(row).getByText("Say: elbow level with the fist")).toBeTruthy();
  expect(
    within(row)
      .getAllByRole("cell")
      .map((cell) => cell.textContent),
  ).toEqual(["the arm swings wideSay: elbow level with the fist", "5", "2", "3", "17 Nov", "Front porch"]);
});

test("the heat map names what was thrown, and the families that were not", async () => {
  shown(<WeaponsScreen />);
  expect(await screen.findByRole("img", { name: /Most thrown: jab\./ })).toBeTruthy();
  expect(screen.getByText("jab, week of 9 Nov: 120")).toBeTruthy();
  expect(screen.getByText(/Not thrown in these weeks: hook\./)).toBeTruthy();
  expect(screen.queryByText("cross")).toBeNull();
});

test.each([
  ["head-coach", 1],
  ["coach", 0],
])("a %s sees the way to the numbers of a link that disagrees %d times", async (role, times) => {
  shown(<LinksScreen />, "/", role);
  expect(await screen.findByRole("heading", { name: "cross to lead hook" })).toBeTruthy();
  expect(screen.getByText("fell apart 3 of 6 times")).toBeTruthy();
  expect(screen.getByText("465 ms, computed 380; 2 of 2 stop")).toBeTruthy();
  expect(screen.queryAllByRole("button", { name: "Show the numbers of lead hook" })).toHaveLength(times);
});

test("due combinations are listed apart from later ones, and one press plans a session of them", async () => {
  shown(<DueScreen />);
  const due = await screen.findByRole("region", { name: "Due" });
  expect(within(due).getByText("for 10 days")).toBeTruthy();
  expect(within(due).getByText("fell apart")).toBeTruthy();
  expect(within(screen.getByRole("region", { name: "Later" })).getByText("1 Dec")).toBeTruthy();
  fireEvent.click(screen.getByRole("button", { name: "Plan a session from it" }));
  await waitFor(() => expect(asked.find(({ path }) => path === "/api/plans/compose")).toBeDefined());
  expect(asked.find(({ path }) => path === "/api/plans/compose")?.body).toMatchObject({ course: 3, aim: "due" });
});
