import { act, renderHook } from "@testing-library/react";
import fc from "fast-check";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { useHistory } from "./useHistory";

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
});

const history = (now: string, before: string | null = null) => renderHook(() => useHistory(() => ({ now, before })));

test("undo goes back through every change, and redo forth again", () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.string({ minLength: 1 }), { minLength: 1, maxLength: 12 }), (texts) => {
      const { result, unmount } = history("");
      for (const text of texts) {
        act(() => result.current.change(() => text));
      }
      const back = [];
      while (result.current.canUndo) {
        act(() => result.current.undo());
        back.push(result.current.now);
      }
      expect(back).toEqual([...texts.slice(0, -1).reverse(), ""]);
      while (result.current.canRedo) {
        act(() => result.current.redo());
      }
      expect(result.current.now).toBe(texts.at(-1));
      unmount();
    }),
    { numRuns: 40 },
  );
});

test("keys typed quickly are one step, a pause begins another", () => {
  const { result } = history("");
  const type = (text: string) => act(() => result.current.change(() => text, true));
  type("1");
  vi.advanceTimersByTime(100);
  type("1 ");
  vi.advanceTimersByTime(100);
  type("1 2");
  vi.advanceTimersByTime(5000);
  type("1 2 3");
  act(() => result.current.undo());
  expect(result.current.now).toBe("1 2");
  act(() => result.current.undo());
  expect(result.current.now).toBe("");
  expect(result.current.canUndo).toBe(false);
});

test("a mend is undone separately, also right after typing", () => {
  const { result } = history("");
  act(() => result.current.change(() => "2 2", true));
  act(() => result.current.change(() => "2 slip-rear 2"));
  act(() => result.current.undo());
  expect(result.current.now).toBe("2 2");
});

test("a change after an undo ends what could be redone, and no change is no step", () => {
  const { result } = history("1");
  act(() => result.current.change(() => "1 2"));
  act(() => result.current.undo());
  act(() => result.current.change(() => "1"));
  expect(result.current.canRedo, "nothing was changed").toBe(true);
  act(() => result.current.change(() => "1 3"));
  expect(result.current.canRedo).toBe(false);
});

test("what stood there before a link was opened is one undo away", () => {
  const { result } = history("from a link", "my own");
  expect(result.current.canUndo).toBe(true);
  act(() => result.current.undo());
  expect(result.current.now).toBe("my own");
});
