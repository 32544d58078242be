import fc from "fast-check";
import { expect, test } from "vitest";
import { addressOf, criteriaOf } from "./criteria";

type Criteria = ReturnType<typeof criteriaOf>;

const criteria: fc.Arbitrary<Criteria> = fc.record({
  length: fc.integer({ min: 2, max: 10 }),
  weapons: fc.subarray(["hand", "leg", "knee", "elbow"] as const, { minLength: 1 }).map((weapons) => [...weapons]),
  level: fc.constantFrom(null, 1, 2, 3),
  theme: fc.constantFrom(null, "head-movement" as const, "counters" as const),
  switches: fc.boolean(),
  clean: fc.constantFrom("must" as const, "should" as const, "hint" as const),
  rules: fc.constantFrom("boxing" as const, "kickboxing" as const, "all-limbs" as const),
  seed: fc.integer({ min: 1, max: 2_000_000_000 }),
  count: fc.constant(8),
  surprise: fc.constantFrom(0, 25, 50, 75, 100),
  group: fc.constantFrom("open" as const, "beginners" as const, "youth" as const),
  stance: fc.constantFrom("orthodox" as const, "southpaw" as const),
  numbering: fc.constant("parity" as const),
});

/** Writes values into the URL as the screen does, without empty ones. */
function put(address: URLSearchParams, values: Record<string, string | number>): URLSearchParams {
  const next = new URLSearchParams(address);
  for (const [name, value] of Object.entries(values)) {
    value === "" ? next.delete(name) : next.set(name, String(value));
  }
  return next;
}

test("criteria that are put into the address are read from it again", () => {
  fc.assert(
    fc.property(criteria, (asked) => {
      expect(criteriaOf(put(new URLSearchParams(), addressOf(asked)), "parity")).toEqual(asked);
    }),
  );
});

test("giving one criterion up changes that one alone, whatever it is", () => {
  const given: fc.Arbitrary<Partial<Criteria>> = fc.constantFrom(
    { level: null },
    { theme: null },
    { switches: true },
    { clean: "must" },
    { length: 3 },
    { weapons: ["hand"] },
  );
  fc.assert(
    fc.property(criteria, given, (asked, part) => {
      const before = put(new URLSearchParams(), addressOf(asked));
      expect(criteriaOf(put(before, addressOf(part)), "parity")).toEqual({ ...asked, ...part });
    }),
  );
});

test("what an address says wrongly is as usual", () => {
  const usual = criteriaOf(new URLSearchParams(), "parity");
  expect(usual).toMatchObject({ length: 4, weapons: ["hand"], level: null, clean: "should", seed: 1 });
  expect(criteriaOf(new URLSearchParams("length=many&weapons=tail&seed=x&level="), "parity")).toEqual(usual);
});
