import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { createMemoryRouter, RouterProvider } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { serve } from "../testing/page";
import { cue, programme, running, segment, shows, screen as wallScreen } from "../testing/programme";
import { Messages } from "../ui/Messages";
import RemoteScreen from "./RemoteScreen";
import RunScreen from "./RunScreen";

const WALL = { id: 3, name: "Floor", key: "a".repeat(32), hasKeys: true, run: null, seenAt: null };
const RUN = {
  ...wallScreen().run,
  plan: null,
  starter: { id: 1, name: "Liv" },
  startedAt: "2026-11-26T18:00:00Z",
  endedAt: null as string | null,
  isRehearsal: false,
  isOver: false,
};

interface Asked {
  path: string;
  body: Record<string, unknown>;
}

let asked: Asked[];
let run: typeof RUN;
let revision: number;
/** Answers to commands are held until the test releases them. */
let hold: (() => void)[] | null;

/** A gym with one wall and one session that records requests. */
function gym(with_: { running?: object[]; ended?: object[]; walls?: object[]; record?: object } = {}) {
  serve(async (request) => {
    const path = `${request.method} ${new URL(request.url).pathname}`;
    const body = request.method === "GET" ? {} : ((await request.json()) as Record<string, unknown>);
    asked.push({ path, body });
    if (path === "GET /api/clock") {
      return new Response(String(Date.now() / 1000));
    }
    if (path === "POST /api/runs/7/commands") {
      if (hold) {
        await new Promise<void>((done) => hold?.push(done));
      }
      revision += 1;
      return Response.json({ ...run, revision });
    }
    const answers: Record<string, unknown> = {
      "GET /api/runs": { running: with_.running ?? [], ended: with_.ended ?? [] },
      "GET /api/walls": { walls: with_.walls ?? [WALL] },
      "POST /api/walls": { ...WALL, id: 4 },
      "POST /api/runs": { ...RUN, id: 9 },
      "GET /api/runs/7": run,
      "GET /api/runs/7/record": with_.record,
      [`GET /api/screens/${RUN.followKey}`]: { ...wallScreen(), kind: "athlete", run: { ...run, revision } },
      [`GET /api/screens/${RUN.followKey}/programmes/7/1`]: programme(
        [segment(0, 120, "work", { combinations: [{ name: null, id: null, text: "1 2" }] }), segment(120, 150, "rest")],
        [cue(0, "bell", { text: "Round 1 of 2" }), shows(0, "show", { text: "1 2" })],
      ),
    };
    return answers[path] === undefined ? new Response("{}", { status: 404 }) : Response.json(answers[path]);
  });
}

function open(path: string) {
  const router = createMemoryRouter(
    [
      { path: "/run", element: <RunScreen /> },
      { path: "/run/:id", element: <RemoteScreen /> },
    ],
    { initialEntries: [path] },
  );
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <Messages>
        <RouterProvider router={router} />
      </Messages>
    </QueryClientProvider>,
  );
  return router;
}

const commands = () => asked.filter((one) => one.path === "POST /api/runs/7/commands").map((one) => one.body);
const button = (name: string | RegExp) => screen.findByRole("button", { name });

beforeEach(() => {
  asked = [];
  revision = 1;
  hold = null;
  run = { ...RUN, state: { ...running, zeroMs: Date.now() - 30_000 } } as typeof RUN;
  vi.stubGlobal(
    "EventSource",
    class {
      readyState = 1;
      close = () => undefined;
    },
  );
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  serve(null);
});

test("without a running session the page says how to start one", async () => {
  gym({ walls: [] });
  open("/run");
  expect(await screen.findByText(/^Nothing runs/)).toBeTruthy();
  expect(await screen.findByText(/A wall is any screen with a browser/)).toBeTruthy();
  expect(screen.getByText("No session has ended yet.")).toBeTruthy();
});

test("a round timer starts on the walls that are chosen, and leads to its remote", async () => {
  gym();
  const router = open("/run");
  fireEvent.click(await button("Round timer"));
  fireEvent.change(await screen.findByLabelText("Rounds"), { target: { value: "4" } });
  fireEvent.change(screen.getByLabelText("Starts in (s)"), { target: { value: "0" } });
  fireEvent.click(await button("Start"));
  await waitFor(() => expect(router.state.location.pathname).toBe("/run/9"));
  const start = asked.find((one) => one.path === "POST /api/runs")?.body;
  expect(start).toMatchObject({
    plan: null,
    timer: { rounds: 4, seconds: 180, rest: 60 },
    walls: [3],
    leadIn: 0,
    speed: 1,
  });
});

test("a wall is added by its name", async () => {
  gym();
  open("/run");
  fireEvent.change(await screen.findByLabelText("Name of another wall"), { target: { value: "Ring" } });
  fireEvent.click(await button("Add"));
  await waitFor(() => expect(asked.find((one) => one.path === "POST /api/walls")?.body).toEqual({ name: "Ring" }));
  expect(screen.getByText("○ not open")).toBeTruthy();
});

test("two presses of one hand are two: the second has seen the first", async () => {
  gym();
  hold = [];
  open("/run/7");
  const longer = await button("+ 1 minute");
  fireEvent.click(longer);
  fireEvent.click(longer);
  await waitFor(() => expect(hold).toHaveLength(1));
  expect(commands()).toHaveLength(1);
  hold?.shift()?.();
  await waitFor(() => expect(hold).toHaveLength(1));
  hold?.shift()?.();
  expect(commands().map((one) => [one.kind, one.seen])).toEqual([
    ["longer", 1],
    ["longer", 2],
  ]);
  expect(commands()[0]?.id).not.toBe(commands()[1]?.id);
});

test("skip, back and a tap on the line say where to, and not how far", async () => {
  gym();
  open("/run/7");
  fireEvent.click(await button("Skip ›"));
  await waitFor(() => expect(commands()).toHaveLength(1));
  fireEvent.click(await button("‹ Back"));
  await waitFor(() => expect(commands()).toHaveLength(2));
  fireEvent.click(await button(/^Jump to 2:00, rest/));
  await waitFor(() => expect(commands()).toHaveLength(3));
  expect(commands().map((one) => [one.kind, one.toMs])).toEqual([
    ["jump", 120_000],
    ["jump", 0],
    ["jump", 120_000],
  ]);
});

test("a swap names the combination that goes and the chain that comes", async () => {
  gym();
  open("/run/7");
  fireEvent.click(await button("Swap …"));
  fireEvent.change(await screen.findByLabelText("In place of 1 2"), { target: { value: "1 2 3b" } });
  fireEvent.click(await button("Use the text"));
  await waitFor(() =>
    expect(commands()[0]).toMatchObject({ kind: "swap", combination: 0, chain: "1 2 3b", track: null }),
  );
});

const seen = (afterMs: number, kind: string, text: string, stands = false) => ({
  passage: "start-0001",
  cue: `${afterMs}-all-${kind}-1`,
  atMs: 1_000_000 + afterMs,
  kind,
  text,
  stands,
  track: null,
  wall: "Floor",
});

test("of a session that has ended one sees what was shown and who pressed what", async () => {
  run = {
    ...run,
    endedAt: "2026-11-26T19:00:00Z",
    state: { ...running, endedMs: running.zeroMs + 60_000 },
  } as typeof RUN;
  gym({
    record: {
      run,
      commands: [{ kind: "swap", atMs: 1_000_500, by: "Liv", chain: "1 2 3b" }],
      shown: [
        seen(0, "bell", "Round 1"),
        seen(0, "show", "1 2", true),
        seen(2000, "call", "1", true),
        seen(4000, "last-ten", "Last ten seconds"),
        seen(5000, "call", "3 2", true),
      ],
    },
  });
  open("/run/7");
  expect(await screen.findByText(/5 cues were shown/)).toBeTruthy();
  const lines = screen.getAllByRole("listitem").map((line) => line.textContent?.replace(/^[\d:]+ /, ""));
  expect(lines).toEqual([" 1 2", "Liv swapped a combination: 1 2 3b", " called: 1 · 3 2"]);
});
