import fc from "fast-check";
import { expect, test } from "vitest";
import type { Measured } from "../api/client";
import { missedIn } from "./TapStrip";
import { tapped, without, withTap } from "./taps";

test("a tap that bounces is one", () => {
  expect(tapped(tapped(tapped([], 0), 20), 400)).toEqual([0, 400]);
});

test("a tap that is taken away and put back is where it was", () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 100_000 }), { minLength: 1 }), fc.nat(), (moments, pick) => {
      const taps = [...moments].sort((one, other) => one - other);
      const at = pick % taps.length;
      expect(withTap(without(taps, at), taps[at] ?? 0)).toEqual(taps);
    }),
  );
});

test("a strike that was missed is shown where it would have landed at the pace of the athlete", () => {
  const measured = {
    repetitions: [
      [0, null, 1],
      [2, 3, 4],
    ],
    contacts: [200, 500, 900].map((ms, at) => ({ items: [at], ms })),
    pace: 1.2,
  } as unknown as Measured;
  expect(missedIn(measured, [100, 940, 4000, 4360, 4840])).toEqual([{ ms: 460, contact: 1 }]);
  expect(missedIn(undefined, [100])).toEqual([]);
});
