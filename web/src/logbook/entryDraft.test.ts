import { expect, test } from "vitest";
import { emptyDraft, requestOf, toggled, withFault } from "./entryDraft";

const CHAIN = { notation: "1 2 3 exit", stance: "orthodox" } as const;

test("a link that is touched is marked, and touched again it is not", () => {
  const once = toggled([], CHAIN, 1);
  expect(once).toEqual([{ ...CHAIN, link: 1, fault: null }]);
  expect(toggled(once, CHAIN, 1)).toEqual([]);
});

test("links of other chains, stances and places stay", () => {
  const marked = toggled(toggled([], CHAIN, 1), CHAIN, 2);
  expect(toggled(marked, { ...CHAIN, stance: "southpaw" }, 1)).toHaveLength(3);
  expect(toggled(marked, CHAIN, 1)).toEqual([{ ...CHAIN, link: 2, fault: null }]);
});

test("a fault stays with its link alone, and the same one again takes it away", () => {
  const marked = toggled(toggled([], CHAIN, 1), CHAIN, 2);
  const seen = withFault(marked, CHAIN, 1, "late");
  expect(seen.map(({ fault }) => fault)).toEqual(["late", null]);
  expect(withFault(seen, CHAIN, 1, "low").map(({ fault }) => fault)).toEqual(["low", null]);
  expect(withFault(seen, CHAIN, 1, "late")).toEqual(marked);
  expect(withFault(seen, { ...CHAIN, stance: "southpaw" }, 1, "low")).toEqual(seen);
});

test("what was drilled goes out by its number in the library, and a run keeps what its wall says", () => {
  const draft = {
    ...emptyDraft("2026-11-26", 3),
    combinations: [{ id: 7, name: "Front porch", text: "1 2 3 exit", minutes: 6, stance: "both" as const }],
  };
  expect(requestOf(draft, "entry-0001")).toMatchObject({
    id: "entry-0001",
    course: 3,
    combinations: [{ combination: 7, minutes: 6, stance: "both" }],
  });
  expect(requestOf({ ...draft, combinations: null }, null).combinations).toBeNull();
});
