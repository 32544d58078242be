import fc from "fast-check";
import { expect, test } from "vitest";
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
