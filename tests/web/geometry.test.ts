import fc from "fast-check";
import { expect, test } from "vitest";
import type { Balance } from "../../web/src/api/client";
import { aside, layout, loadTrack, overFeet, place, type Size } from "../../web/src/combination-line/geometry";
import { chains, item } from "./chains";

const sizes = fc.constantFrom<Size>("row", "card", "full");
const widths = fc.integer({ min: 60, max: 2400 });
const lengths = fc.integer({ min: 200, max: 12_000 });

test("time runs to the right, evenly, at every size and width", () => {
  fc.assert(
    fc.property(sizes, widths, lengths, fc.nat(8000), fc.nat(8000), (size, width, length, a, b) => {
      const line = layout(size, width, length);
      expect(Math.sign(line.x(a) - line.x(b))).toBe(Math.sign(a - b));
      expect(line.x(a) + line.x(b)).toBeCloseTo(2 * line.x((a + b) / 2), 6);
    }),
  );
});

test("a card and a full line have room for the whole of the chain, however narrow the page", () => {
  fc.assert(
    fc.property(fc.constantFrom<Size>("card", "full"), widths, lengths, (size, width, length) => {
      const line = layout(size, width, length);
      expect(line.width).toBeGreaterThanOrEqual(width);
      expect(line.x(length) + line.right).toBeLessThanOrEqual(line.width + 1e-6);
    }),
  );
});

test("a row never grows beyond its column", () => {
  fc.assert(fc.property(widths, lengths, (width, length) => layout("row", width, length).width === width));
});

test("head stands over body, body over leg, and moves under them all", () => {
  fc.assert(
    fc.property(sizes, widths, (size, width) => {
      const line = layout(size, width, 2000);
      const y = (target: "head" | "body" | "leg") => place(item("cross", 0, { target }), line).y;
      const moves = place(item("slip lead"), line).y;
      const heights = [y("head"), y("body"), y("leg"), moves];
      expect(heights).toEqual([...heights].sort((a, b) => a - b));
      expect(new Set(heights).size).toBe(4);
      expect(moves + line.tile / 2).toBeLessThanOrEqual(line.height + 1);
    }),
  );
});

test("joined strikes at one height stand side by side, at two heights one over the other", () => {
  const strike = (target: "head" | "body", joined: boolean) => item("cross", 0, { target, joined });
  expect(aside([strike("head", false), strike("head", true)], 1, 38)).toBe(38);
  expect(aside([strike("body", false), strike("head", true)], 1, 38)).toBe(0);
  expect(aside([strike("head", false), strike("head", true), strike("head", true)], 2, 38)).toBe(76);
});

test("the weight is one value at any moment, between the two feet", () => {
  const loads = fc.double({ min: 0, max: 1, noNaN: true });
  const moving = fc
    .tuple(chains, fc.array(loads, { minLength: 16, maxLength: 16 }))
    .map(([chain, values]) =>
      chain.map((one, at) => ({ ...one, loadFrom: values[2 * at] as number, load: values[2 * at + 1] as number })),
    );
  fc.assert(
    fc.property(moving, (chain) => {
      const track = loadTrack(chain);
      const times = track.map((point) => point.ms);
      expect(times).toEqual([...new Set(times)].sort((a, b) => a - b));
      for (const point of track) {
        expect(point.load).toBeGreaterThanOrEqual(0);
        expect(point.load).toBeLessThanOrEqual(1);
      }
      expect(track.at(-1)?.load).toBe(chain.at(-1)?.load ?? 0.5);
    }),
  );
});

test("the middle of the stance is the middle of the ribbon, and a foot is its rail", () => {
  const balance = { stanceCm: 48 } as Balance;
  expect(overFeet(0, balance)).toBe(0.5);
  expect(overFeet(24, balance)).toBe(1);
  expect(overFeet(-24, balance)).toBe(0);
});
