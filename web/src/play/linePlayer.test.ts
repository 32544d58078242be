import fc from "fast-check";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Check } from "../api/client";
import { checked, checkedDemo } from "../testing/core";
import { clicksOf } from "./clicks";
import { LinePlayer } from "./linePlayer";

/** A fake audio context: a clock, and sources that start on time. */
class Ear {
  currentTime = 0;
  destination = {};
  sources: { when: number; stopped: number; pitch: number }[] = [];
  createGain = () => ({
    gain: { setValueAtTime: () => undefined, exponentialRampToValueAtTime: () => undefined },
    connect: () => undefined,
  });
  createOscillator() {
    const source = { when: Number.POSITIVE_INFINITY, stopped: Number.POSITIVE_INFINITY, pitch: 0 };
    this.sources.push(source);
    return {
      type: "",
      frequency: {
        set value(pitch: number) {
          source.pitch = pitch;
        },
      },
      connect: () => undefined,
      disconnect: () => undefined,
      start: (when: number) => {
        source.when = when;
      },
      stop: (when: number) => {
        source.stopped = when;
      },
    };
  }
  /** Returns when clicks were heard so far, in s. */
  heard() {
    return this.sources.filter(({ when, stopped }) => when < stopped && when <= this.currentTime);
  }
}

let ear: Ear;
let player: LinePlayer;
beforeEach(() => {
  vi.useFakeTimers();
  ear = new Ear();
  player = new LinePlayer(ear as unknown as BaseAudioContext);
});
afterEach(() => {
  player.stop();
  vi.useRealTimers();
});

/** Advances both clocks; the page's timers may be late. */
function pass(seconds: number, wakes = 0.2) {
  for (let gone = 0; gone < seconds - 1e-9; gone += wakes) {
    ear.currentTime += wakes;
    vi.advanceTimersByTime(1000 * wakes);
  }
}

const line = (check: Check) => ({ clicks: clicksOf(check), lengthMs: check.lengthMs ?? 0 });
const [four] = checked(["1 2 3b 14l exit"]) as [Check];

test("every strike of the demo gym is heard as it lands, lead and rear apart, kicks and knees below hands", () => {
  for (const check of checkedDemo()) {
    const strikes = check.items.filter((item) => item.kind === "strike");
    const clicks = clicksOf(check);
    expect(clicks.map(({ atMs }) => atMs)).toEqual(strikes.map((item) => item.impactMs));
    clicks.forEach((click, at) => {
      const [item] = strikes.slice(at, at + 1);
      const others = clicks.filter((_, other) => strikes[other]?.role !== item?.role);
      expect(others.map(({ pitch }) => pitch)).not.toContain(click.pitch);
      expect(click.pitch < 600).toBe(item?.limb === "leg" || item?.limb === "knee");
    });
  }
});

test("a feint is the quietest, a hard strike the loudest", () => {
  const [check] = checked(["(1) 2~ 2 2!"]) as [Check];
  const loud = clicksOf(check).map((click) => click.loud);
  expect(loud).toEqual([...loud].sort((a, b) => a - b));
  expect(new Set(loud).size).toBe(4);
});

test("the line comes again and again, each landing once and on the audio clock, with a breath between", () => {
  player.begin(line(four), 1);
  pass(10);
  const { clicks, lengthMs } = line(four);
  const turn = lengthMs / 1000 + 1;
  const begin = (ear.heard()[0]?.when ?? 0) - (clicks[0]?.atMs ?? 0) / 1000;
  const due = Array.from({ length: 9 }, (_, round) => clicks.map((click) => begin + round * turn + click.atMs / 1000))
    .flat()
    .filter((when) => when <= 10);
  expect(ear.heard().length).toBe(due.length);
  ear.heard().forEach(({ when }, at) => {
    expect(when).toBeCloseTo(due[at] ?? 0, 6);
  });
});

test("a page that is woken once a second misses nothing", () => {
  player.begin(line(four), 1.6);
  pass(20, 1);
  const woken = ear.heard().map(({ when }) => when);
  ear = new Ear();
  player.stop();
  player = new LinePlayer(ear as unknown as BaseAudioContext);
  player.begin(line(four), 1.6);
  pass(20, 0.2);
  expect(woken).toEqual(ear.heard().map(({ when }) => when));
});

test("changing the pace continues the line from its position", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 30 }), fc.double({ min: 0.6, max: 2, noNaN: true }), (tenths, stretch) => {
      player.begin(line(four), 1);
      pass(tenths / 5);
      const before = player.at();
      player.change(line(four), stretch);
      const after = player.at();
      if (before === null) {
        expect(after === null || after < 1).toBe(true);
      } else {
        expect(after).toBeCloseTo(before, 3);
      }
      player.stop();
    }),
  );
});

test("nothing is heard after it was stopped", () => {
  player.begin(line(four), 1);
  pass(0.6);
  const before = ear.heard().length;
  player.stop();
  pass(5);
  expect(ear.heard().length).toBe(before);
  expect(player.at()).toBeNull();
});

test("without sound the line moves all the same", () => {
  const clock = { currentTime: 5 };
  const silent = new LinePlayer(clock);
  silent.begin(line(four), 1);
  clock.currentTime += 0.58;
  expect(silent.at()).toBeCloseTo(500, 0);
  silent.stop();
});
