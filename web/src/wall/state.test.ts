import { readFileSync } from "node:fs";
import { describe, expect, test } from "vitest";
import type { RunState } from "../api/client";
import { after, type LocalCommand, positionAt, stands, timeOf } from "./state";

interface Case {
  name: string;
  state: RunState;
  waits: number[];
  press: LocalCommand;
  then: RunState;
  positionAt: [number, number][];
}

/** The same cases as on the server: tests/core/Session/RunTest. */
const { cases } = JSON.parse(
  readFileSync(new URL("../../../tests/core/Session/run-cases.json", import.meta.url), "utf8"),
) as { cases: Case[] };

describe("a press without the server leads to what the server would make of it", () => {
  test.each(cases)("$name", ({ state, waits, press, then, positionAt: positions }) => {
    const next = after(state, press, waits);
    expect(next).toEqual(then);
    for (const [now, position] of positions) {
      expect(positionAt(next, now)).toBe(position);
    }
  });
});

test("what has ended takes no press", () => {
  const ended: RunState = { zeroMs: 0, passage: "start-0001", pausedMs: null, endedMs: 5000, speed: 1, holdMs: null };
  expect(after(ended, { id: "press-0001", kind: "jump", toMs: 0, givenMs: 9000 }, [])).toBe(ended);
  expect(stands(ended, 9000)).toBe(true);
  expect(positionAt(ended, 9000)).toBe(5000);
});

test("a moment of a rehearsal comes as many times sooner", () => {
  const state: RunState = {
    zeroMs: 1000,
    passage: "start-0001",
    pausedMs: null,
    endedMs: null,
    speed: 60,
    holdMs: null,
  };
  expect(timeOf(state, 60_000)).toBe(2000);
});
