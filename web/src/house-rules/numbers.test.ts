import { expect, test } from "vitest";
import { effectOf, shown } from "./numbers";

const move = { to: 610, labelled: 0, chains: [], agree: 165, agreed: 165, gym: 0 };

test("a number is shown without digits that were not set", () => {
  expect([0.1 + 0.2, 560, -0.25].map(shown)).toEqual(["0.3", "560", "−0.25"]);
});

test("the effect of a number is described in words, without empty parts", () => {
  expect(effectOf(move, 30)).toBe("changes no verdict");
  expect(effectOf({ ...move, labelled: 1, agree: 164 }, 30)).toBe(
    "1 labelled chain changes, 1 fewer agree, none of ours",
  );
  expect(effectOf({ ...move, labelled: 3, agree: 167, gym: 2 }, 30)).toBe(
    "3 labelled chains change, 2 more agree, 2 of 30 of ours",
  );
  expect(effectOf({ ...move, gym: 2 }, 30)).toBe("no labelled chain changes, 2 of 30 of ours");
  expect(effectOf({ ...move, labelled: 2 }, 0)).toBe("2 labelled chains change");
});
