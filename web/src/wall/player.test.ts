import { describe, expect, test } from "vitest";
import { cue, programme, segment } from "../testing/programme";
import { Player } from "./player";
import { bell, clap, soundsOf } from "./sounds";

/** A fake audio context: a clock, and sources that start on time. */
class Ear {
  currentTime = 0;
  sampleRate = 48_000;
  destination = {};
  heard: { when: number; buffer: unknown }[] = [];
  private planned: { when: number; buffer: unknown; stopped: boolean }[] = [];
  createGain = () => ({ gain: { value: 1 }, connect: () => undefined });
  createBuffer = (_: number, length: number) => ({ length, copyToChannel: () => undefined });
  decodeAudioData = async (file: ArrayBuffer) => ({ length: file.byteLength });
  createBufferSource() {
    const source = { when: Number.POSITIVE_INFINITY, buffer: null as unknown, stopped: false };
    this.planned.push(source);
    return Object.assign(source, {
      connect: () => undefined,
      start: (when: number) => {
        source.when = when;
      },
      stop: () => {
        source.stopped = true;
      },
      onended: null,
    });
  }
  pass(seconds: number) {
    const until = this.currentTime + seconds;
    for (const source of this.planned) {
      if (!source.stopped && source.when > this.currentTime && source.when <= until) {
        this.heard.push({ when: source.when, buffer: source.buffer });
      }
    }
    this.currentTime = until;
  }
}

const rounds = Array.from({ length: 10 }, (_, round) => [180 * round, 180 * round + 150] as const);
const half = programme(
  rounds.flatMap(([work, rest]) => [segment(work, rest, "work"), segment(rest, rest + 30, "rest")]),
  rounds.flatMap(([work, rest]) => [
    cue(1000 * work, "bell", { sound: "bell" }),
    cue(1000 * rest - 10_000, "last-ten", { sound: "clap" }),
    cue(1000 * rest, "rest", { sound: "end-bell" }),
  ]),
  {
    said: rounds.flatMap(([work]) =>
      Array.from({ length: 20 }, (_, call) => ({
        atMs: 1000 * work + 2000 + 6300 * call,
        text: "one two",
        clip: "a".repeat(32),
      })),
    ),
  },
);

const player = async (ear: Ear) => {
  const made = new Player(ear as unknown as BaseAudioContext);
  await made.add("a".repeat(32), new ArrayBuffer(8));
  return made;
};

describe("half an hour of sound", () => {
  test.each([
    ["looked after twice a second", 0.5, 1],
    ["in a background tab, which is woken once a minute", 60, 1],
    ["on an audio clock that runs 50 parts in a million too fast", 0.5, 1.00005],
  ])("%s: every cue is heard within 20 ms of its moment", async (_, wake, rate) => {
    const ear = new Ear();
    const plays = await player(ear);
    const sounds = soundsOf(half);
    let position = -3000;
    // Paused for 20 s at 400 s, and jumps to 720 s at 600 s; each command is applied at once.
    let paused = 0;
    let jumped = false;
    const moments: { real: number; position: number; runs: boolean }[] = [];
    for (let real = 0; real < 1800; ) {
      moments.push({ real, position, runs: paused <= 0 });
      plays.plan(sounds, { position, runs: paused <= 0, speed: 1 });
      const next =
        paused > 0
          ? paused
          : Math.min(wake, 400.2 - real > 0 ? 400.2 - real : wake, !jumped && 600.4 - real > 0 ? 600.4 - real : wake);
      ear.pass(next * rate);
      real += next;
      if (paused > 0) {
        paused = 0;
      } else {
        position += 1000 * next;
        if (Math.abs(real - 400.2) < 1e-6) {
          paused = 20;
        }
        if (!jumped && Math.abs(real - 600.4) < 1e-6) {
          jumped = true;
          position = 720_000;
        }
      }
    }
    // The position of the programme when each sound was heard.
    const off = ear.heard.map(({ when }) => {
      const real = when / rate;
      const before = moments.filter((one) => one.real <= real + 1e-9).at(-1);
      const at = (before?.position ?? 0) + 1000 * (real - (before?.real ?? 0));
      return Math.min(...sounds.map((sound) => Math.abs(sound.atMs - at)));
    });
    expect(Math.max(...off)).toBeLessThanOrEqual(20);
    const passed = sounds.filter(
      (sound) => sound.atMs < 577_000 || (sound.atMs > 720_001 && sound.atMs < position - 1000),
    ).length;
    expect(ear.heard.length).toBeGreaterThanOrEqual(passed - 1);
    expect(ear.heard.length).toBeLessThanOrEqual(passed + 3);
  });
});

test("nothing is planned twice, and a pause takes back what is planned", async () => {
  const ear = new Ear();
  const plays = await player(ear);
  const sounds = soundsOf(half);
  for (let look = 0; look < 20; look += 1) {
    plays.plan(sounds, { position: -1000, runs: true, speed: 1 });
  }
  plays.plan(sounds, { position: -1000, runs: false, speed: 1 });
  ear.pass(30);
  expect(ear.heard).toEqual([]);
  // Sounds that were missed meanwhile are not played.
  plays.plan(sounds, { position: 20_000, runs: false, speed: 1 });
  ear.pass(5);
  expect(ear.heard).toEqual([]);
  plays.plan(sounds, { position: -1000, runs: true, speed: 1 });
  ear.pass(1.5);
  expect(ear.heard).toHaveLength(1);
});

test("two tracks that hear the same bell at once hear one", () => {
  const both = programme(
    [segment(0, 60, "work")],
    [
      cue(0, "bell", { track: 0, sound: "bell" }),
      cue(0, "bell", { track: 1, sound: "bell" }),
      cue(0, "rest", { track: 2, sound: "end-bell" }),
    ],
  );
  expect(soundsOf(both).map((sound) => sound.kind)).toEqual(["bell", "end-bell"]);
});

test.each([
  ["a bell", bell(48_000)],
  ["two strokes", bell(48_000, 2)],
  ["a clap", clap(48_000)],
])("%s begins at once, is as loud as can be and ends in silence", (_, samples) => {
  const loudest = samples.reduce((most, value) => Math.max(most, Math.abs(value)), 0);
  const begins = samples.findIndex((value) => Math.abs(value) > 0.05);
  expect(begins / 48_000).toBeLessThan(0.005);
  expect(loudest).toBeGreaterThan(0.4);
  expect(loudest).toBeLessThanOrEqual(1);
  expect(Math.abs(samples.at(-1) ?? 1)).toBeLessThan(0.01);
});
