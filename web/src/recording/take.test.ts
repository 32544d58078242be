import * as fc from "fast-check";
import { afterEach, expect, test, vi } from "vitest";
import { cutTake, moved, SHORTEST_MS, type Take, takeOf, wholeOf } from "./take";

const LONGEST = 30_000;

const media = vi.hoisted(() => ({ contentsOf: vi.fn(), cut: vi.fn() }));
vi.mock("./media", () => media);
afterEach(() => vi.resetAllMocks());

const take: Take = { file: new Blob(["film"]), url: "blob:1", lengthMs: 5000, kind: "video" };

test("of a long take the beginning is kept at first, of a short one all", () => {
  expect(wholeOf({ lengthMs: 45_000, kind: "sound" }, LONGEST)).toEqual({ fromMs: 0, toMs: 30_000 });
  expect(wholeOf({ lengthMs: 4200, kind: "sound" }, LONGEST)).toEqual({ fromMs: 0, toMs: 4200 });
});

test("the end that is moved stays where it was put, and the other follows", () => {
  const part = { fromMs: 10_000, toMs: 40_000 };
  expect(moved(part, [5000, 40_000], LONGEST)).toEqual({ fromMs: 5000, toMs: 35_000 });
  expect(moved(part, [10_000, 45_000], LONGEST)).toEqual({ fromMs: 15_000, toMs: 45_000 });
  expect(moved(part, [39_900, 40_000], LONGEST), "not shorter than can be kept").toEqual(part);
});

test("whatever is moved, a part is neither too long nor too short, and inside its take", () => {
  const end = fc.integer({ min: 0, max: 600 }).map((tenth) => 100 * tenth);
  fc.assert(
    fc.property(fc.array(fc.tuple(end, end), { maxLength: 30 }), (moves) => {
      let part = wholeOf({ lengthMs: 60_000, kind: "video" }, LONGEST);
      for (const [one, other] of moves) {
        part = moved(part, [Math.min(one, other), Math.max(one, other)], LONGEST);
        const length = part.toMs - part.fromMs;
        expect(length).toBeGreaterThanOrEqual(SHORTEST_MS);
        expect(length).toBeLessThanOrEqual(LONGEST);
        expect(part.fromMs).toBeGreaterThanOrEqual(0);
        expect(part.toMs).toBeLessThanOrEqual(60_000);
      }
    }),
  );
});

test("a file that this browser cannot read, or cannot cut, is refused in plain words", async () => {
  media.contentsOf.mockRejectedValue(new Error("EBML"));
  await expect(takeOf(new Blob(["text"]))).rejects.toThrow(/^This browser cannot read that file/);
  media.cut.mockRejectedValue(new Error("encoder"));
  await expect(cutTake(take, { fromMs: 0, toMs: 1000 }, 100, () => {})).rejects.toThrow(
    /^This browser cannot read all of that file/,
  );
});

test("a part that is too large says how large it is", async () => {
  media.cut.mockResolvedValue({ file: new Blob([new Uint8Array(21_000_000)]), isSilent: false });
  await expect(cutTake(take, { fromMs: 0, toMs: 1000 }, 20_000_000, () => {})).rejects.toThrow(
    "This part is 21 MB; a recording has at most 20 MB. Take a shorter part.",
  );
  media.cut.mockResolvedValue({ file: new Blob(["small"]), isSilent: false });
  expect((await cutTake(take, { fromMs: 0, toMs: 1000 }, 20_000_000, () => {})).file.size).toBe(5);
});
