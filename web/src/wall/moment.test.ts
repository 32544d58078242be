import { describe, expect, test } from "vitest";
import { cue, programme, segment, shows } from "../testing/programme";
import { momentOf, stretchAfter, stretchBefore, tracksOf } from "./moment";
import { timeLeft } from "./time";

const two = programme(
  [segment(0, 60, "work"), segment(60, 120, "work"), segment(120, 150, "rest"), segment(150, 270, "work")],
  [
    cue(0, "bell", { text: "Round 1 of 2" }),
    shows(0, "show", { text: "1 2", chain: 0, reminders: ["chin down"] }),
    cue(50_000, "next", { text: "Next: 1 2 3", chain: 1 }),
    cue(60_000, "change", { text: "Repeat" }),
    shows(60_000, "show", { text: "1 2 3", chain: 1 }),
    cue(110_000, "last-ten", { text: "Last ten seconds" }),
    cue(120_000, "rest", { text: "Rest, 30 s" }),
    cue(120_000, "next", { text: "Next: 3 2", chain: 2 }),
    cue(150_000, "bell", { text: "Round 2 of 2" }),
    shows(150_000, "show", { text: "3 2", chain: 2, reminders: ["elbow level"] }),
  ],
);

describe("what is on at a moment", () => {
  test("two sets of one round share its time, and each has its own", () => {
    const moment = momentOf(two, null, 10_000);
    expect([moment.kind, moment.title, moment.leftMs, moment.setLeftMs]).toEqual([
      "work",
      "Round 1 of 2",
      110_000,
      50_000,
    ]);
    expect(moment.shown?.text).toBe("1 2");
    expect(moment.next).toBeNull();
  });

  test("the next combination is announced while the current one is still shown", () => {
    const moment = momentOf(two, null, 55_000);
    expect([moment.shown?.text, moment.next?.text]).toEqual(["1 2", "Next: 1 2 3"]);
  });

  test("a list of combinations changes within its set: the announced one is shown from then on", () => {
    const list = programme(
      [segment(0, 60, "work", { drill: "set-list" })],
      [
        shows(0, "show", { text: "1 2", chain: 0 }),
        cue(25_000, "next", { text: "Next: 3 2", short: "3 2", chain: 1 }),
        shows(30_000, "change", { text: "3 2", chain: 1 }),
      ],
    );
    expect([29_999, 30_000, 59_000].map((at) => momentOf(list, null, at).shown?.chain)).toEqual([0, 1, 1]);
  });

  test("a round of steps shows the step, and never that ten seconds are left", () => {
    const thirds = programme(
      [segment(0, 60, "work")],
      [
        cue(0, "change", { text: "Thirds" }),
        cue(0, "phase", { text: "technique", isStep: true }),
        cue(50_000, "last-ten", { text: "Last ten seconds" }),
      ],
    );
    expect(momentOf(thirds, null, 55_000).shown?.text).toBe("technique");
  });

  test("the title stays in the second set, whose bell rang long before", () => {
    expect(momentOf(two, null, 70_000).title).toBe("Round 1 of 2");
  });

  test("the last ten seconds are marked", () => {
    expect([momentOf(two, null, 109_999).lastTen, momentOf(two, null, 110_000).lastTen]).toEqual([false, true]);
  });

  test("a rest shows what comes, with its reminder", () => {
    const moment = momentOf(two, null, 130_000);
    expect([moment.kind, moment.shown, moment.next?.text, moment.leftMs]).toEqual(["rest", null, "Next: 3 2", 20_000]);
    expect(moment.reminders).toEqual(["elbow level"]);
  });

  test("before the start it shows when it begins, and with what", () => {
    const begins = { ...two, opening: [cue(-10_000, "next", { text: "Next: 1 2" })] };
    const moment = momentOf(begins, null, -4000);
    expect([moment.kind, moment.leftMs, moment.next?.text]).toEqual(["before", 4000, "Next: 1 2"]);
  });

  test("after its end it is over", () => {
    expect(momentOf(two, null, 270_000).kind).toBe("over");
  });

  test("each track has its own work and rest", () => {
    const tracks = programme(
      [
        segment(0, 60, "work", { track: 0 }),
        segment(60, 120, "rest", { track: 0 }),
        segment(0, 120, "work", { track: 1 }),
      ],
      [],
      {
        tracks: [
          { name: "One", level: 1 },
          { name: "Two", level: 2 },
        ],
      },
    );
    expect(
      tracksOf(tracks)
        .map((track) => momentOf(tracks, track, 70_000))
        .map((one) => [one.name, one.kind, one.leftMs]),
    ).toEqual([
      ["One", "rest", 50_000],
      ["Two", "work", 50_000],
    ]);
  });

  test("rungs on the clock count one by one, at one's own pace all of them", () => {
    const rungs = (apart: number) =>
      programme(
        [segment(0, 60, "work", { drill: "ladder" })],
        [1, 2, 3].map((rung) =>
          shows((rung - 1) * apart, "rung", { isStep: true, text: "1 2 3".slice(0, 2 * rung - 1), chain: rung - 1 }),
        ),
      );
    const clock = momentOf(rungs(10_000), null, 12_000);
    expect([clock.steps.length, clock.step, clock.shown?.text]).toEqual([3, 1, "1 2"]);
    const free = momentOf(rungs(0), null, 12_000);
    expect([free.steps.length, free.step, free.shown?.text]).toEqual([3, -1, "1 2 3"]);
  });

  test("each exercise of a warm-up has its own time", () => {
    const warm = programme(
      [segment(0, 60, "work", { drill: "exercise" }), segment(60, 120, "work", { drill: "exercise" })],
      [shows(0, "exercise", { text: "Skipping" }), shows(60_000, "exercise", { text: "Arm swings" })],
    );
    const moment = momentOf(warm, null, 20_000);
    expect([moment.leftMs, moment.shown?.text]).toEqual([40_000, "Skipping"]);
  });
});

describe("skip and back", () => {
  test.each([
    [0, 60_000],
    [60_000, 120_000],
    [200_000, 270_000],
  ])("skip from %i leads to %i", (from, to) => {
    expect(stretchAfter(two, from)).toBe(to);
  });

  test.each([
    [90_000, 60_000],
    [61_000, 0],
    [500, 0],
    [155_000, 150_000],
  ])("back from %i leads to %i: to the start, or the one before when it has only just begun", (from, to) => {
    expect(stretchBefore(two, from)).toBe(to);
  });
});

test.each([
  [0, "0:00"],
  [1, "0:01"],
  [59_001, "1:00"],
  [161_000, "2:41"],
  [3_661_000, "1:01:01"],
  [-500, "0:00"],
])("%i ms left are written as %s", (ms, written) => {
  expect(timeLeft(ms)).toBe(written);
});
