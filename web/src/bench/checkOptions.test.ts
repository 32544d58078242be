import fc from "fast-check";
import { expect, test } from "vitest";
import { GROUPS, MEDIA, TEMPOS } from "../ui/words";
import { ATHLETES, addressOfOptions, type CheckOptions, optionsOf, USUAL } from "./checkOptions";

const one = <T>(options: { value: T }[]) => fc.constantFrom(...options.map((option) => option.value));
const options: fc.Arbitrary<CheckOptions> = fc.record({
  opponent: fc.constantFrom("orthodox" as const, "southpaw" as const),
  tempo: one(TEMPOS),
  medium: one(MEDIA),
  group: one(GROUPS),
  athlete: one(ATHLETES),
});

test("a link brings back what it was made from", () => {
  fc.assert(
    fc.property(options, (given) => {
      const link = new URLSearchParams(addressOfOptions(given)).toString();
      expect(optionsOf(new URLSearchParams(link))).toEqual(given);
    }),
  );
});

test("what is as usual makes the link no longer", () => {
  expect(addressOfOptions(USUAL)).toEqual({});
  fc.assert(
    fc.property(options, (given) => {
      const unusual = Object.entries(given).filter(([name, value]) => value !== USUAL[name as keyof CheckOptions]);
      expect(Object.keys(addressOfOptions(given)).sort()).toEqual(unusual.map(([name]) => name).sort());
    }),
  );
});

test("a damaged link is as usual where it is damaged, and holds elsewhere", () => {
  fc.assert(
    fc.property(fc.string(), (junk) => {
      fc.pre(!TEMPOS.some((tempo) => String(tempo.value) === junk));
      const read = optionsOf(new URLSearchParams({ tempo: junk, medium: "bag", athlete: `${junk}?` }));
      expect(read).toEqual({ ...USUAL, medium: "bag" });
    }),
  );
});
