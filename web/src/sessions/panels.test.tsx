import { spawnSync } from "node:child_process";
import { cleanup, fireEvent, render, screen, within } from "@testing-library/react";
import { afterEach, expect, test, vi } from "vitest";
import type { SessionDocument } from "../api/client";
import type { PlanContent } from "../api/schema";
import { planOf } from "../testing/plan";
import { Messages } from "../ui/Messages";
import { Advisories } from "./Advisories";
import { Calendar } from "./Calendar";
import { LoadPanel } from "./LoadPanel";
import { PlanContext, type PlanInHand } from "./planContext";
import { Ruler } from "./Ruler";

afterEach(cleanup);

const ROOT = new URL("../../..", import.meta.url).pathname;

/** Asks the core for what follows from a plan, through the console, and adds the server's part. */
function worked(content: object, more: Partial<SessionDocument> = {}): SessionDocument {
  const printed = spawnSync("php", [`${ROOT}app/Console/main.php`, "session", "-", "--json"], {
    input: JSON.stringify(content),
    encoding: "utf8",
    maxBuffer: 64 * 1024 * 1024,
  });
  return { ...(JSON.parse(printed.stdout) as SessionDocument), chains: [], changed: [], ...more };
}

const PLAN = planOf({
  minutes: 10,
  medium: "bag",
  tracks: [
    { name: "New", level: 1 },
    { name: "Old", level: 3 },
  ],
  blocks: [
    {
      kind: "rounds",
      name: "Rounds",
      rounds: [
        {
          seconds: 180,
          rest: 60,
          times: 2,
          sets: [{ drill: "repeat", combinations: [{ chain: "1 1 2" }] }],
          tracks: [{ track: 0, pattern: [60, 60] }],
        },
        { seconds: 60, stance: "other", sets: [{ drill: "repeat", combinations: [{ chain: "1 99" }] }] },
      ],
    },
  ],
});
const DOCUMENT = worked(PLAN);

function shown(part: React.ReactNode, more: Partial<PlanInHand> = {}) {
  const plan: PlanInHand = {
    content: PLAN,
    document: DOCUMENT,
    old: false,
    drills: [],
    exercises: [],
    paces: [],
    selected: null,
    select: vi.fn(),
    change: vi.fn(),
    reasons: [],
    ...more,
  };
  render(
    <Messages>
      <PlanContext value={plan}>{part}</PlanContext>
    </Messages>,
  );
  return plan;
}

test("the load shows both stances, mirrored, of the track that is chosen", () => {
  shown(<LoadPanel />);
  const bars = (stance: string) =>
    within(screen.getByRole("region", { name: `Load, ${stance}` }))
      .getByRole("img", { name: /left/ })
      .getAttribute("aria-label");
  const { orthodox } = DOCUMENT.tracks[0]?.load ?? DOCUMENT.load;
  const [left, right] = [Math.round(orthodox.bySide.left), Math.round(orthodox.bySide.right)];
  expect(left).toBeGreaterThan(right);
  expect(bars("orthodox")).toBe(`${left} left, ${right} right`);
  expect(bars("southpaw")).toBe(`${right} left, ${left} right`);
  fireEvent.click(screen.getByText("Old"));
  const other = DOCUMENT.tracks[1]?.load.orthodox.bySide;
  expect(bars("orthodox")).toBe(`${Math.round(other?.left ?? 0)} left, ${Math.round(other?.right ?? 0)} right`);
});

test("the minutes that are left or too many are shown", () => {
  shown(<LoadPanel />);
  expect(screen.getByText(/1:00 left of 10 min/)).toBeTruthy();
  cleanup();
  shown(<LoadPanel />, { content: { ...PLAN, minutes: 8 } });
  expect(screen.getByText(/1:00 over 8 min/)).toBeTruthy();
});

test("a problem leads to its place, and every warning has its press", () => {
  const plan = shown(<Advisories error={null} />);
  expect(screen.getByText(/There is no number 99/)).toBeTruthy();
  fireEvent.click(screen.getByRole("button", { name: "Rounds, round 2, set 1" }));
  expect(plan.select).toHaveBeenCalledWith({ block: 0, round: 1, track: undefined, set: 0 });
  for (const warning of DOCUMENT.warnings) {
    expect(screen.getAllByRole("button", { name: warning.fix }).length).toBeGreaterThan(0);
  }
});

test("a plan without problems is marked as ready", () => {
  const content = planOf({
    blocks: [{ kind: "rounds", name: "", rounds: [{ seconds: 60, sets: [{ combinations: [{ chain: "1 2" }] }] }] }],
  });
  shown(<Advisories error={null} />, { content, document: worked(content) });
  expect(screen.getByText("Ready to run.")).toBeTruthy();
});

test("what the library changed is shown as planned and as it is now, and taken over by a press", () => {
  const changed = [
    {
      id: 7,
      name: "Cellar window",
      archived: false,
      planned: { version: 1, chain: "1 2 3b exit", stance: "orthodox" as const },
      now: { version: 2, chain: "1 2 3b 2 exit", stance: "orthodox" as const },
    },
  ];
  const content: PlanContent = planOf({
    blocks: [
      {
        kind: "rounds",
        name: "",
        rounds: [{ seconds: 60, sets: [{ combinations: [{ chain: "1 2 3b exit", id: 7, version: 1 }] }] }],
      },
    ],
  });
  const plan = shown(<Advisories error={null} />, { content, document: worked(content, { changed }) });
  expect(screen.getByText("1 2 3b exit")).toBeTruthy();
  expect(screen.getByText("1 2 3b 2 exit")).toBeTruthy();
  fireEvent.click(screen.getByRole("button", { name: "Take the new one" }));
  const change = vi.mocked(plan.change).mock.calls[0]?.[0];
  expect(JSON.stringify(change?.(content))).toContain('"chain":"1 2 3b 2 exit","id":7,"version":2');
});

test("the clock has a row for each track and a handle for each round, which the keys stretch", () => {
  const plan = shown(<Ruler />);
  const clock = screen.getByRole("region", { name: "Clock" });
  expect(within(clock).getByText("New")).toBeTruthy();
  const handles = within(clock).getAllByRole("button");
  expect(handles.map((handle) => handle.getAttribute("aria-label")?.split(".")[0])).toEqual([
    "Rounds, round 1, 2 × 3:00",
    "Rounds, round 2, 1:00, other stance",
  ]);
  fireEvent.keyDown(handles[1] as HTMLElement, { key: "ArrowRight", shiftKey: true });
  const change = vi.mocked(plan.change).mock.calls[0]?.[0];
  expect(change?.(PLAN).blocks[0]?.rounds[1]?.seconds).toBe(75);
});

test("an empty plan shows a message instead of the clock", () => {
  const content = planOf({});
  shown(<Ruler />, { content, document: worked(content) });
  expect(screen.getByText(/The session is empty/)).toBeTruthy();
});

test("a day of the calendar is planned from its sign, and an empty week says what to do", () => {
  const onNew = vi.fn();
  render(
    <Calendar
      weeks={[["2026-11-23", "2026-11-24"]]}
      today="2026-11-24"
      month={null}
      plans={[]}
      old={false}
      onNew={onNew}
    />,
  );
  expect(screen.getByText(/Nothing is planned on these days/)).toBeTruthy();
  fireEvent.click(screen.getByRole("button", { name: "Plan a session on Tuesday 24 November" }));
  expect(onNew).toHaveBeenCalledWith("2026-11-24");
});
