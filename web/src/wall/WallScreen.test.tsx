import { act, cleanup, fireEvent, screen as page, render } from "@testing-library/react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Idle, Programme, ProgrammeChain, RunState, Screen } from "../api/client";
import { serve } from "../testing/page";
import { cue, programme, running, screen, segment, shows } from "../testing/programme";
import { AthleteScreen } from "./AthleteScreen";
import { numbersOf } from "./moment";
import { WallScreen } from "./WallScreen";

const KEY = "b".repeat(32);

const chain = (orthodox: string, southpaw: string, words: [string[], string[]]): ProgrammeChain =>
  ({
    numbers: { orthodox, southpaw },
    words: { orthodox: words[0], southpaw: words[1] },
    verdict: "flows",
    line: {
      size: "wall",
      left: 10,
      right: 10,
      edge: 2,
      height: 200,
      lengthMs: 900,
      least: 0.2,
      most: 0.7,
      tile: 40,
      isNamed: false,
      words: words[0].join(", "),
      lanes: [],
      ticks: [],
      gaps: [],
      melody: [],
      ribbon: null,
      feet: null,
      joints: [],
      items: [],
    },
    learningMs: 1500,
  }) as unknown as ProgrammeChain;

const jab = chain("1 2", "1 2", [
  ["left jab", "right cross"],
  ["right jab", "left cross"],
]);
const hands = chain("1 2", "2 1", [
  ["left jab", "right cross"],
  ["right jab", "left cross"],
]);

let shown: Screen;
let plays: Programme;
let idle: Idle = { timeZone: "UTC", sessions: [], week: null };

/** Opens a wall at a moment of its programme. */
async function at(ms: number, state: Partial<RunState> = {}, made = <WallScreen screenKey={KEY} />) {
  shown = { ...screen({ ...running, zeroMs: 1_800_000_000_000 - ms, ...state }) };
  await act(async () => {
    render(made);
    await vi.advanceTimersByTimeAsync(300);
  });
}

beforeEach(() => {
  vi.useFakeTimers({ now: 1_800_000_000_000 });
  vi.stubGlobal(
    "EventSource",
    class {
      readyState = 1;
      close = () => undefined;
    },
  );
  localStorage.clear();
  plays = programme(
    [segment(0, 120, "work", { purpose: "power" }), segment(120, 150, "rest")],
    [
      cue(0, "bell", { text: "Round 1 of 2" }),
      shows(0, "show", { text: "1 2", chain: 0, reminders: ["chin down"] }),
      cue(110_000, "last-ten", { text: "Last ten seconds" }),
      cue(120_000, "next", { text: "Next: 1 2", short: "1 2", chain: 0, stance: "other" }),
    ],
    { chains: [jab] },
  );
  serve(async (request) => {
    const path = new URL(request.url).pathname;
    if (path === "/api/clock") {
      return new Response(String(Date.now() / 1000));
    }
    if (path.endsWith("/idle")) {
      return Response.json(idle);
    }
    return Response.json(path.includes("/programmes/") ? plays : shown);
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  vi.useRealTimers();
  serve(null);
});

const main = () => document.querySelector("main")?.textContent ?? "";

test("during work the wall shows the time, the numbers, the words of both stances and a reminder", async () => {
  await at(19_700);
  expect(main()).toContain("1:40");
  for (const text of [
    "Round 1 of 2",
    "power · Repeat",
    "Work",
    "1 2",
    "left jab, right cross",
    "right jab, left cross",
    "chin down",
  ]) {
    expect(main()).toContain(text);
  }
});

test("the last ten seconds are said in words, too", async () => {
  await at(112_000);
  expect(main()).toContain("Last ten");
});

test("during a rest the wall shows what comes, in the stance in which it is thrown, with a code to scan", async () => {
  await at(125_000);
  expect(main()).toContain("Next");
  expect(main()).toContain("in the other stance");
  // An orthodox athlete stands southpaw then.
  expect(document.querySelector(".wall-words div")?.textContent).toBe("orthodoxright jab, left cross");
  expect(page.getByLabelText("Follow on a phone")).toBeTruthy();
});

test("a pause is shown, and its time does not run", async () => {
  await at(0, { pausedMs: 20_000 });
  expect(main()).toContain("Paused");
  expect(main()).toContain("1:40");
  const started = 1_800_000_000_000 + 20_000;
  await act(() => vi.advanceTimersByTimeAsync(started + 65_000 - Date.now()));
  expect(main()).toContain("1:40");
  expect(main()).toContain("paused for 1:05");
});

test("numbers that the hand decides are shown for both stances", async () => {
  plays = { ...plays, chains: [hands] };
  await at(20_000);
  expect(main()).toContain("1 2 / 2 1");
  expect([numbersOf(jab), numbersOf(hands)]).toEqual(["1 2", "1 2 / 2 1"]);
});

test("each track has its line, its light and what it throws", async () => {
  plays = programme(
    [
      segment(0, 60, "work", { track: 0 }),
      segment(60, 120, "rest", { track: 0 }),
      segment(0, 120, "work", { track: 1 }),
    ],
    [
      shows(0, "show", { track: 0, text: "1 2", chain: 0 }),
      cue(60_000, "next", { track: 0, text: "Next: 1 2", short: "1 2", chain: 0 }),
      shows(0, "show", { track: 1, text: "1 2", chain: 0 }),
    ],
    {
      chains: [jab],
      tracks: [
        { name: "Level 1", level: 1 },
        { name: "Level 2", level: 2 },
      ],
    },
  );
  await at(70_000);
  const rows = [...document.querySelectorAll(".wall-track")].map((row) => row.textContent);
  expect(rows[0]).toMatch(/^Level 1Rest0:50next 1 2/);
  expect(rows[1]).toMatch(/^Level 2Work0:50/);
});

test("a session that is long over makes room", async () => {
  await at(150_000 + 5000);
  expect(main()).toContain("Well done.");
  cleanup();
  await at(600_000 + 16 * 60_000);
  expect(main()).toContain("Floor: no session runs on this wall");
  cleanup();
  // Also a session that was ended while paused, but not one that is only paused.
  await at(0, { pausedMs: 20_000, endedMs: 1_800_000_000_000 - 16 * 60_000 });
  expect(main()).toContain("Floor: no session runs on this wall");
  cleanup();
  await at(600_000 + 16 * 60_000, { pausedMs: 20_000 });
  expect(main()).toContain("Paused");
});

test("Space pauses at once and sends the command", async () => {
  const asked: unknown[] = [];
  await at(20_000);
  serve(async (request) => {
    asked.push(await request.json());
    return Response.json({ ...shown.run, revision: 2, state: { ...shown.run?.state, pausedMs: 20_300 } });
  });
  await act(async () => {
    fireEvent.keyDown(window, { key: " " });
    await vi.advanceTimersByTimeAsync(150);
  });
  expect(main()).toContain("Paused");
  expect(asked[0]).toMatchObject({ run: 7, kind: "pause", seen: 1 });
});

test("a wall whose keys are off does not answer to them", async () => {
  await at(20_000);
  cleanup();
  shown = { ...shown, hasKeys: false };
  await act(async () => {
    render(<WallScreen screenKey={KEY} />);
    await vi.advanceTimersByTimeAsync(300);
    fireEvent.keyDown(window, { key: " " });
    await vi.advanceTimersByTimeAsync(150);
  });
  expect(main()).not.toContain("Paused");
});

test("an athlete sees their own stance, and keeps it", async () => {
  await at(20_000, {}, <AthleteScreen screenKey={KEY} />);
  expect(main()).toContain("left jab, right cross");
  await act(async () => {
    fireEvent.change(page.getByLabelText("Stance"), { target: { value: "southpaw" } });
    await vi.advanceTimersByTimeAsync(150);
  });
  expect(main()).toContain("right jab, left cross");
  expect(main()).not.toContain("left jab, right cross");
  expect(localStorage.getItem("stance")).toBe("southpaw");
});

test("laps and sets are counted, the coach’s note comes before the reminders, and each has half a minute", async () => {
  plays = programme(
    [
      segment(0, 120, "work", {
        station: { number: 3, stations: 5, lap: 1, laps: 3 },
        pace: "fast",
        note: "Hips first",
      }),
    ],
    [cue(0, "bell", { text: "Stations" }), shows(0, "show", { text: "1 2", chain: 0, reminders: ["chin down"] })],
    { chains: [jab] },
  );
  await at(1000);
  expect(main()).toContain("lap 2 of 3 · set 4 of 5 · Repeat · fast");
  expect(main()).toContain("Hips first");
  expect(main()).not.toContain("chin down");
  await act(() => vi.advanceTimersByTimeAsync(30_000));
  expect(main()).toContain("chin down");
});

test("a menu shows what there is to choose from, and counts its entries", async () => {
  plays = programme(
    [segment(0, 60, "work", { drill: "menu", title: "Menu" })],
    [
      shows(0, "show", {
        text: "1, then 1 2",
        chain: 0,
        after: "one of these, then exit",
        beside: [
          { label: "", chain: 0 },
          { label: "", chain: 1 },
        ],
      }),
      cue(0, "entry", { text: "entry 1 of 2", isStep: true }),
      cue(30_000, "entry", { text: "entry 2 of 2", isStep: true }),
    ],
    { chains: [jab, hands] },
  );
  await at(31_000);
  expect(main()).toContain("one of these, then exit");
  expect([...document.querySelectorAll(".wall-choices li")].map((one) => one.textContent)).toEqual([
    "1 2",
    "1 2 / 2 1",
  ]);
  expect(document.querySelector(".wall-step.is-now")?.textContent).toBe("2");
});

test("a wall without a session shows the time, what comes today, what is late and the combination of the week", async () => {
  const now = 1_800_000_000_000;
  const session = { course: null, hasBegun: false, endsMs: now + 7_200_000 };
  idle = {
    timeZone: "UTC",
    sessions: [
      { ...session, name: "Beginners", startsMs: now - 600_000 },
      { ...session, name: "Liver", startsMs: now + 3_600_000 },
    ],
    week: { name: "Cellar window", times: 3, chain: jab },
  };
  await at(0);
  shown = { ...shown, run: null };
  await act(() => vi.advanceTimersByTimeAsync(25_000));
  // 1,800,000,000 s since 1970 is 8:00 on 15 January 2027.
  expect(main()).toContain("08:00");
  expect(main()).toContain("Beginners should have begun at 07:50");
  expect(main()).toContain("09:00 Liver");
  expect(main()).toContain("Cellar window");
  expect(main()).toContain("left jab, right cross");
});
