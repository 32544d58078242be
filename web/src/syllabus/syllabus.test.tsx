import { QueryClient } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { MemoryRouter, Route, Routes } from "react-router";
import { afterEach, expect, test } from "vitest";
import type { Session, Syllabus } from "../api/client";
import { keys } from "../api/keys";
import { accountOf } from "../testing/account";
import { serve } from "../testing/page";
import { Around, type Asked, heldServer } from "../testing/server";
import SyllabusScreen from "./SyllabusScreen";
import { draftOf, moved, newWeek, requestOf, withSteps } from "./syllabusDraft";

afterEach(() => {
  cleanup();
  serve(null);
});

const combination = (id: number, name: string, text: string) => ({
  combination: { id, name, text, level: 1, archived: false, line: null },
  buildsOn: id === 8 ? "Front porch" : null,
  new: id === 8 ? ["cross → lead hook"] : [],
  now: { times: id === 7 ? 3 : 0, fell: id === 7 ? 1 : 0 },
  before: { times: id === 7 ? 2 : 0, fell: id === 7 ? 2 : 0 },
  last: null,
  held: id === 7 ? false : null,
});
const SYLLABUS = {
  course: 3,
  name: "Tuesday",
  version: 4,
  startsOn: "2026-11-23",
  now: 1,
  weeks: [
    {
      theme: "straights",
      note: "",
      monday: "2026-11-23",
      isReached: true,
      combinations: [combination(7, "Front porch", "1 2")],
    },
    {
      theme: "hooks",
      note: "slowly",
      monday: "2026-11-30",
      isReached: false,
      combinations: [combination(8, "Cellar", "1 2 3")],
    },
  ],
} as Syllabus;

function shown(role = "head-coach", more: Record<string, unknown> = {}): Asked[] {
  const asked = heldServer({
    "GET /api/courses/3/syllabus": SYLLABUS,
    "GET /api/courses": {
      courses: [
        { id: 3, name: "Tuesday" },
        { id: 5, name: "Thursday", archived: false },
      ],
    },
    "GET /api/combinations": { combinations: [], total: 0 },
    ...more,
  });
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  client.setQueryData(keys.session, { user: accountOf(role), csrfToken: "t" } as unknown as Session);
  render(
    <Around client={client}>
      <MemoryRouter initialEntries={["/courses/3/syllabus"]}>
        <Routes>
          <Route path="/courses/:id/syllabus" element={<SyllabusScreen />} />
        </Routes>
      </MemoryRouter>
    </Around>,
  );
  return asked;
}

const themes = () =>
  screen.getAllByRole("textbox", { name: /^Theme of week/ }).map((field) => (field as HTMLInputElement).value);

test("weeks say what is new, what they build on and what was reached", async () => {
  shown();
  const first = within(await screen.findByRole("listitem", { name: "Week 1" }));
  expect(first.getByText(/23 Nov 2026, reached/)).toBeTruthy();
  expect(
    first.getByText(/drilled 3 times, fell apart once · before this syllabus began 2 times, fell apart every time/),
  ).toBeTruthy();
  expect(first.getByText(/fell apart the last time/)).toBeTruthy();
  const second = within(screen.getByRole("listitem", { name: "Week 2" }));
  expect(second.getByText(/30 Nov 2026, this week/)).toBeTruthy();
  expect(second.getByText(/builds on Front porch · new: cross → lead hook · not drilled yet/)).toBeTruthy();
});

test("weeks that were moved say nothing that held for their old places", async () => {
  shown();
  fireEvent.click(await screen.findByRole("button", { name: "Week 2 earlier" }));
  const first = within(screen.getByRole("listitem", { name: "Week 1" }));
  expect(first.getByText("not drilled yet")).toBeTruthy();
  expect(screen.queryByText(/builds on|this week|reached/)).toBeNull();
  fireEvent.click(screen.getByRole("button", { name: "Undo" }));
  expect(screen.getByText(/builds on Front porch/)).toBeTruthy();
});

test("weeks are moved, undone and saved on the version that was read", async () => {
  const asked = shown();
  fireEvent.click(await screen.findByRole("button", { name: "Week 1 later" }));
  expect(themes()).toEqual(["hooks", "straights"]);
  fireEvent.click(screen.getByRole("button", { name: "Undo" }));
  expect(themes()).toEqual(["straights", "hooks"]);
  fireEvent.click(screen.getByRole("button", { name: "Week 2 earlier" }));
  fireEvent.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(asked.filter(({ method }) => method === "PUT")).toHaveLength(1));
  const put = asked.find(({ method }) => method === "PUT");
  expect(put?.headers.get("If-Match")).toBe('"4"');
  expect(put?.body).toEqual({
    startsOn: "2026-11-23",
    weeks: [
      { theme: "hooks", note: "slowly", combinations: [8] },
      { theme: "straights", note: "", combinations: [7] },
    ],
  });
});

test("a coach reads and cannot write", async () => {
  shown("coach");
  expect(((await screen.findAllByRole("textbox"))[0] as HTMLInputElement).readOnly).toBe(true);
  expect(screen.queryByRole("button", { name: "Save" })).toBeNull();
  expect(screen.queryByRole("button", { name: "Move week 1" })).toBeNull();
});

test("a week is moved to any place, and nowhere outside", () => {
  const weeks = ["a", "b", "c"].map((theme) => newWeek([], theme));
  const order = (from: number, to: number) => moved(weeks, from, to).map(({ theme }) => theme);
  expect(order(0, 2)).toEqual(["b", "c", "a"]);
  expect(order(2, 0)).toEqual(["c", "a", "b"]);
  expect(order(1, 5)).toEqual(["a", "b", "c"]);
  expect(order(0, -1)).toEqual(["a", "b", "c"]);
});

test("the steps of a path become weeks, each once", () => {
  const draft = draftOf(SYLLABUS);
  const steps = [
    { id: 8, name: "Cellar", text: "1 2 3" },
    { id: 9, name: "Goal", text: "1 2 3 2" },
  ];
  expect(requestOf(withSteps(draft, steps)).weeks.map(({ combinations }) => combinations)).toEqual([[7], [8], [9]]);
});
