import { spawnSync } from "node:child_process";
import { DndContext } from "@dnd-kit/core";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { useState } from "react";
import { afterEach, expect, test } from "vitest";
import type { Drill, SessionDocument } from "../api/client";
import type { PlanContent, PlanSet } from "../api/schema";
import { checked } from "../testing/core";
import { serve } from "../testing/page";
import { planOf } from "../testing/plan";
import { heldServer } from "../testing/server";
import { Messages } from "../ui/Messages";
import { BlockCard } from "./BlockCard";
import { Parameters } from "./Parameters";
import { newSet, type Place } from "./plan";
import { PlanContext } from "./planContext";

afterEach(() => {
  cleanup();
  serve(null);
});

const ROOT = new URL("../../..", import.meta.url).pathname;

/** The drills as the core defines them. */
const DRILLS = JSON.parse(
  spawnSync(
    "php",
    [
      "-r",
      `require "${ROOT}vendor/autoload.php";
       echo json_encode(array_map(
         fn ($drill) => new Periplus\\App\\Plan\\ShownDrill($drill),
         Periplus\\Core\\Session\\Drills\\DrillRegistry::definitions(),
       ));`,
    ],
    { encoding: "utf8" },
  ).stdout,
) as Drill[];

const PLAN = planOf({
  tracks: [
    { name: "New", level: 1 },
    { name: "Old", level: 3 },
  ],
  blocks: [
    {
      kind: "rounds",
      name: "Rounds",
      rounds: [{ seconds: 180, rest: 60, sets: [{ drill: "repeat", combinations: [] }] }],
    },
  ],
});

interface Hand {
  now: PlanContent;
}

/** The first block of a plan, editable. */
function Plan({ start, document, hand }: { start: PlanContent; document: SessionDocument; hand: Hand }) {
  const [content, setContent] = useState(start);
  const [selected, select] = useState<Place | null>(null);
  hand.now = content;
  const plan = {
    content,
    document,
    old: false,
    drills: DRILLS,
    exercises: [],
    paces: [],
    selected,
    select,
    change: setContent,
    reasons: [],
  };
  const first = content.blocks[0];
  return (
    <PlanContext value={plan}>
      <DndContext>{first && <BlockCard block={first} at={0} />}</DndContext>
    </PlanContext>
  );
}

/** Renders the block; `now` is the current plan. */
function block(start: PlanContent = PLAN, more: Partial<SessionDocument> = {}): Hand {
  const hand = { now: start };
  const document = {
    chains: [],
    cues: [],
    problems: [],
    segments: [],
    sets: [],
    shared: [],
    seams: [],
    ...more,
  } as unknown as SessionDocument;
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Messages>
        <Plan start={start} document={document} hand={hand} />
      </Messages>
    </QueryClientProvider>,
  );
  return hand;
}

const rounds = (hand: { now: PlanContent }) => hand.now.blocks[0]?.rounds ?? [];
const press = (name: string | RegExp, at = 0) =>
  fireEvent.click(screen.getAllByRole("button", { name })[at] as HTMLElement);
/** Types into a set. The server does not answer here, so the text is kept as typed. */
const type = (text: string, at = 0) => {
  const field = screen.getAllByLabelText("Type a combination")[at] as HTMLElement;
  fireEvent.change(field, { target: { value: text } });
  fireEvent.keyDown(field, { key: "Enter" });
};
const typed = async (hand: Hand, chain: string) => {
  type(chain);
  await waitFor(() => expect(JSON.stringify(hand.now)).toContain(`"chain":"${chain}"`));
};

test("what is typed into a set is its combination; a drill of one has no field for another", async () => {
  const hand = block();
  await typed(hand, "jab cross");
  expect(rounds(hand)[0]?.sets[0]?.combinations).toEqual([{ chain: "jab cross", stance: "orthodox" }]);
  expect(screen.queryByLabelText("Type a combination")).toBeNull();
  press("Remove jab cross");
  expect(rounds(hand)[0]?.sets[0]?.combinations).toEqual([]);
});

test("several are typed at once with a semicolon between, as many as the drill takes", async () => {
  const hand = block(
    planOf({
      ...PLAN,
      blocks: [
        { kind: "rounds", name: "", rounds: [{ seconds: 60, sets: [{ drill: "set-list", combinations: [] }] }] },
      ],
    }),
  );
  type("1 2; 1 2 3;; 1 6");
  await waitFor(() =>
    expect(rounds(hand)[0]?.sets[0]?.combinations.map((one) => one.chain)).toEqual(["1 2", "1 2 3", "1 6"]),
  );
});

test("a round is copied, split by level, joined, put into the other stance, locked and taken out", async () => {
  const hand = block();
  await typed(hand, "1 2");
  press("Copy the round");
  expect(rounds(hand)).toHaveLength(2);
  press("by level");
  expect(rounds(hand)[0]?.tracks?.map((track) => track.track)).toEqual([0, 1]);
  expect(screen.getByText("New")).toBeTruthy();
  press("by level");
  expect(rounds(hand)[0]?.tracks).toEqual([]);
  press("other stance", 1);
  expect(rounds(hand)[1]?.stance).toBe("other");
  press("Lock the round", 1);
  expect(rounds(hand)[1]?.locked).toBe(true);
  press("Remove the round", 0);
  expect(rounds(hand)).toHaveLength(1);
  expect(rounds(hand)[0]?.stance).toBe("other");
});

test("each level gets its own combination, and the others keep theirs", async () => {
  const hand = block();
  press("by level");
  type("1 2 3", 1);
  await waitFor(() =>
    expect(rounds(hand)[0]?.tracks?.map((track) => track.sets?.[0]?.combinations[0]?.chain)).toEqual([
      undefined,
      "1 2 3",
    ]),
  );
});

test("sets and rounds are added and moved", async () => {
  const hand = block();
  await typed(hand, "1");
  press("+ set");
  await typed(hand, "2");
  expect(rounds(hand)[0]?.sets.map((set) => set.combinations[0]?.chain)).toEqual(["1", "2"]);
  press("+ round");
  expect(rounds(hand)[1]).toMatchObject({ seconds: 180, rest: 60 });
  press("Up", 2);
  expect(rounds(hand)[1]?.sets).toHaveLength(2);
});

test("a round takes minutes and seconds of work and rest, and how often it is done", () => {
  const hand = block();
  for (const [label, value] of [
    ["Work", "2:00"],
    ["Rest", "30"],
    ["How many times", "4"],
  ] as const) {
    fireEvent.change(screen.getByLabelText(label), { target: { value } });
  }
  expect(rounds(hand)[0]).toMatchObject({ seconds: 120, rest: 30, times: 4 });
});

test("a problem is shown at its set", () => {
  const problem = {
    place: "blocks[0].rounds[0].sets[0].combinations",
    where: "",
    message: "This set is empty.",
    stops: true,
    fix: null,
  };
  block(PLAN, { problems: [problem] });
  expect(within(screen.getByRole("article")).getByText("This set is empty.")).toBeTruthy();
});

test("each rung is shown once with its own verdict", () => {
  const cue = (text: string, verdict: string) => ({
    kind: "rung",
    text,
    verdict,
    track: null,
    place: { block: 0, round: 0, repeat: 0, set: 0 },
  });
  const cues = [cue("1", "flows"), cue("1 31", "breaks"), cue("1", "flows")] as unknown as SessionDocument["cues"];
  block(PLAN, { cues });
  expect([...document.querySelectorAll(".rung")].map((rung) => `${rung.textContent} ${rung.className}`)).toEqual([
    "1 rung rung-flows",
    "1 31 rung rung-breaks",
  ]);
});

test("a chain that waits between its repetitions says so at its set alone", () => {
  const seam = (place: string, verdict: string) => ({
    place,
    chain: "2",
    gapMs: 0,
    verdict,
    waitMs: 210,
    reason: "The hips are through.",
  });
  const seams = [
    seam("blocks[0].rounds[0].sets[0]", "reload"),
    seam("blocks[0].rounds[0].sets[1]", "reload"),
    seam("blocks[0].rounds[0].sets[0]", "flows"),
  ] as unknown as SessionDocument["seams"];
  block(PLAN, { seams });
  expect(screen.getAllByText(/as a loop/).map((one) => one.textContent)).toEqual([
    "2 as a loop: reload back to its start, +210 ms. The hips are through.",
  ]);
});

test("the order comes from the server, and what it cannot read changes nothing", async () => {
  const set = { drill: "set-list", combinations: [{ chain: "1 2 3" }, { chain: "1" }, { chain: "1 2" }] };
  const hand = block(
    planOf({ ...PLAN, blocks: [{ kind: "rounds", name: "", rounds: [{ seconds: 60, sets: [set] }] }] }),
  );
  const answer = {
    order: [1, 2, 0],
    steps: [1, 1],
    cost: 2,
    bound: 2,
    proven: true,
    levels: [1, 1, 1],
    shared: [[], [0], [0, 1]],
    problems: [] as { line: number; message: string }[],
  };
  serve(async () => new Response(JSON.stringify(answer), { headers: { "Content-Type": "application/json" } }));
  fireEvent.click(screen.getByText("1 2 3"));
  press("Put in order");
  await waitFor(() =>
    expect(rounds(hand)[0]?.sets[0]?.combinations.map((one) => one.chain)).toEqual(["1", "1 2", "1 2 3"]),
  );
  answer.problems = [{ line: 0, message: "Line 0 cannot be read." }];
  press("Put in order");
  expect(await screen.findByText("Line 0 cannot be read.")).toBeTruthy();
  expect(rounds(hand)[0]?.sets[0]?.combinations.map((one) => one.chain)).toEqual(["1", "1 2", "1 2 3"]);
});

test.each(DRILLS.map((drill) => [drill.id, drill] as const))(
  "%s has a field for each of its parameters",
  (_, drill) => {
    const set: PlanSet = newSet(drill.id);
    render(
      <QueryClientProvider client={new QueryClient()}>
        <PlanContext
          value={{
            content: PLAN,
            document: null,
            old: false,
            drills: DRILLS,
            exercises: [
              { id: "squats", name: "Squats", for: [], does: "", seconds: 30, count: 10, easier: "", caution: "" },
            ],
            paces: [],
            selected: null,
            select: () => {},
            change: () => {},
            reasons: [],
          }}
        >
          <Parameters drill={drill} set={set} onPut={() => {}} />
        </PlanContext>
      </QueryClientProvider>,
    );
    expect(screen.getByText(drill.about)).toBeTruthy();
    for (const parameter of drill.parameters) {
      expect(screen.getAllByLabelText(parameter.title).length, parameter.title).toBeGreaterThan(0);
    }
  },
);

test("seconds each are read however they are written, and none means equally", () => {
  const drill = DRILLS.find((one) => one.id === "set-list") as Drill;
  const puts: Partial<PlanSet>[] = [];
  render(
    <PlanContext
      value={{
        content: PLAN,
        document: null,
        old: false,
        drills: DRILLS,
        exercises: [],
        paces: [],
        selected: null,
        select: () => {},
        change: () => {},
        reasons: [],
      }}
    >
      <Parameters
        drill={drill}
        set={{ ...newSet("set-list"), parameters: { announce: 6 } }}
        onPut={(values) => puts.push(values)}
      />
    </PlanContext>,
  );
  const field = screen.getByLabelText("Seconds each");
  for (const written of ["30, 30 60", " "]) {
    fireEvent.change(field, { target: { value: written } });
    fireEvent.blur(field);
  }
  expect(puts).toEqual([{ parameters: { announce: 6, seconds: [30, 30, 60] } }, { parameters: { announce: 6 } }]);
});

test("a chain of the library gets its name, and words become numbers", async () => {
  const row = { id: 7, name: "Front porch", text: "1 2 3", notation: "1 2 3", stance: "orthodox", version: 4 };
  heldServer({
    "GET /api/combinations": { combinations: [row], total: 1 },
    "POST /api/check": checked(["1 2 3"])[0],
  });
  const hand = block();
  type("jab cross hook");
  await waitFor(() =>
    expect(rounds(hand)[0]?.sets[0]?.combinations).toEqual([
      { chain: "1 2 3", stance: "orthodox", name: "Front porch", id: 7, version: 4 },
    ]),
  );
});

test("a chain is changed in its place, and Escape leaves it", async () => {
  const hand = block();
  await typed(hand, "1 2");
  press("1 2");
  fireEvent.keyDown(screen.getByLabelText("Change 1 2"), { key: "Escape" });
  press("1 2");
  const field = screen.getByLabelText("Change 1 2");
  fireEvent.change(field, { target: { value: "1 2 3" } });
  fireEvent.keyDown(field, { key: "Enter" });
  await waitFor(() => expect(rounds(hand)[0]?.sets[0]?.combinations).toEqual([{ chain: "1 2 3", stance: "orthodox" }]));
});

test("sets with lengths of their own are spread evenly, or the last one fills the rest", () => {
  const sets = [60, 90].map((seconds) => ({ drill: "free", seconds, combinations: [] }));
  const hand = block(planOf({ ...PLAN, blocks: [{ kind: "rounds", name: "", rounds: [{ seconds: 180, sets }] }] }));
  const lengths = () => rounds(hand)[0]?.sets.map(({ seconds }) => seconds);
  press("the last one fills the rest");
  expect(lengths()).toEqual([60, null]);
  press("spread evenly");
  expect(lengths()).toEqual([null, null]);
});
