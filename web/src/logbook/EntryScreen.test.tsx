import { QueryClient } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { MemoryRouter, Route, Routes } from "react-router";
import { afterEach, beforeEach, expect, test } from "vitest";
import type { LogEntry, Session } from "../api/client";
import { keys } from "../api/keys";
import { accountOf } from "../testing/account";
import { serve } from "../testing/page";
import { Around, type Asked, heldServer } from "../testing/server";
import EntryScreen from "./EntryScreen";

const item = (text: string, ms: number) => ({
  text,
  kind: "strike",
  ms,
  startMs: ms - 100,
  shift: 0,
  y: 30,
  role: "lead",
  effort: "plain",
  isFeint: false,
  shape: "M0 0",
  legSign: null,
  label: [],
  glyph: null,
  glyphSize: 20,
  name: null,
  sentence: text,
});
const ENTRY = {
  id: 5,
  version: 1,
  run: 9,
  course: { id: 3, name: "Tuesday" },
  name: "Tuesday class",
  day: "2026-11-24",
  lengthMs: 60_000,
  workMs: 60_000,
  coach: { id: 1, name: "Ines" },
  orthodox: null,
  southpaw: null,
  levels: {},
  effort: null,
  note: "",
  isChecked: false,
  removed: false,
  combinations: ["Front porch"],
  fallen: 0,
  drilled: [
    {
      id: 7,
      name: "Front porch",
      notation: "1 2 3",
      stance: "orthodox",
      ms: 60_000,
      otherMs: 0,
      repetitions: 10,
      text: "1 2 3",
      fallen: [],
      faults: [[], [{ id: "a", for: "hook", text: "the arm swings wide", mend: "elbow level with the fist" }]],
      line: {
        size: "card",
        left: 10,
        right: 20,
        edge: 10,
        height: 150,
        lengthMs: 900,
        least: 0.1,
        most: 0.25,
        tile: 28,
        isNamed: false,
        words: "jab, cross, lead hook",
        lanes: [],
        ticks: [],
        gaps: [],
        melody: [],
        ribbon: null,
        feet: null,
        joints: [],
        items: [item("1", 200), item("2", 490), item("3", 870)],
      },
    },
  ],
} as unknown as LogEntry;

let asked: Asked[] = [];
beforeEach(() => {
  window.localStorage.clear();
  asked = heldServer({
    "GET /api/logbook/entries/5": ENTRY,
    "GET /api/logbook/entries": {
      entries: [],
      total: 0,
      page: 1,
      size: 30,
      unchecked: 0,
      coaches: [{ id: 1, name: "Ines" }],
    },
    "GET /api/courses": { courses: [{ id: 3, name: "Tuesday", archived: false, levels: [1, 2] }] },
  });
  const client = new QueryClient();
  client.setQueryData(keys.session, { user: accountOf("coach"), csrfToken: "t" } as unknown as Session);
  render(
    <Around client={client}>
      <MemoryRouter initialEntries={["/logbook/5"]}>
        <Routes>
          <Route path="/logbook/:id" element={<EntryScreen />} />
        </Routes>
      </MemoryRouter>
    </Around>,
  );
});
afterEach(() => {
  cleanup();
  serve(null);
  window.localStorage.clear();
});

const sent = () => asked.filter(({ method }) => method === "PUT");

test("a few presses say who was there, how hard it felt, and which link fell apart", async () => {
  fireEvent.click(await screen.findByRole("button", { name: "2 → 3" }));
  fireEvent.click(screen.getByRole("button", { name: "One orthodox more" }));
  fireEvent.click(screen.getByRole("button", { name: "One orthodox more" }));
  fireEvent.click(screen.getByRole("button", { name: "One level 2 more" }));
  fireEvent.click(screen.getByRole("button", { name: "7" }));
  fireEvent.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(sent()).toHaveLength(1));
  expect(sent()[0]?.headers.get("If-Match")).toBe('"1"');
  expect(sent()[0]?.body).toMatchObject({
    orthodox: 2,
    southpaw: null,
    levels: { 2: 1 },
    effort: 7,
    fallen: [{ notation: "1 2 3", stance: "orthodox", link: 1 }],
    combinations: null,
  });
});

test("the fault that was seen goes with its link, and what mends it is said", async () => {
  fireEvent.click(await screen.findByRole("button", { name: "2 → 3" }));
  const seen = within(screen.getByRole("region", { name: "What was seen at 2 → 3" }));
  fireEvent.click(seen.getByRole("button", { name: "the arm swings wide" }));
  expect(seen.getByText("Say: elbow level with the fist")).toBeTruthy();
  fireEvent.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(sent()).toHaveLength(1));
  expect(sent()[0]?.body).toMatchObject({
    fallen: [{ notation: "1 2 3", stance: "orthodox", link: 1, fault: "the arm swings wide" }],
  });
});

test("one press says that what the wall recorded is right", async () => {
  fireEvent.click(await screen.findByRole("button", { name: "Confirm" }));
  await waitFor(() => expect(sent()).toHaveLength(1));
  expect(sent()[0]?.body).toMatchObject({ day: "2026-11-24", course: 3, fallen: [] });
});

test("a correction that cannot be sent is kept on the device", async () => {
  fireEvent.click(await screen.findByRole("button", { name: "5" }));
  fireEvent.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(sent()).toHaveLength(1));
  sent()[0]?.fail();
  await screen.findByText("A correction waits on this device until the server is back.");
  expect(JSON.parse(window.localStorage.getItem("periplus.logbook-waiting") ?? "[]")).toMatchObject([
    { corrects: { id: 5, version: 1 }, body: { effort: 5 } },
  ]);
  fireEvent.click(screen.getByRole("button", { name: "Without it" }));
  expect(window.localStorage.getItem("periplus.logbook-waiting")).toBeNull();
});
