import { act, cleanup, fireEvent, render, renderHook, screen } from "@testing-library/react";
import fc from "fast-check";
import { createRef } from "react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Check } from "../../web/src/api/client";
import { EntryLine } from "../../web/src/bench/EntryLine";
import { useHistory } from "../../web/src/bench/useHistory";
import { checked } from "./gym";

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  cleanup();
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

test("a mend is a step of its own, also right after typing", () => {
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

function entry(text: string, check: Check | undefined, current = true) {
  const told = { onChange: vi.fn(), onCaret: vi.fn(), onUndo: vi.fn(), onRedo: vi.fn() };
  const { container } = render(
    <EntryLine text={text} check={check} current={current} field={createRef<HTMLTextAreaElement>()} {...told} />,
  );
  const marks = [...container.querySelectorAll(".entry-marks u")].map((mark) => [mark.className, mark.textContent]);
  const whole = container.querySelector(".entry-marks")?.textContent;
  return { ...told, marks, whole, field: screen.getByRole("textbox") };
}

test("what cannot be read is underlined where it stands, whatever stands before it", () => {
  for (const before of ["1 2 ", "", "🥊 ", "一二 "]) {
    const text = `${before}zork`;
    const [check] = checked([text]) as [Check];
    const { marks, whole, field } = entry(text, check);
    expect(marks.at(-1), text).toEqual(["mark-problem", "zork"]);
    expect(whole).toBe(text);
    expect(field.getAttribute("aria-invalid")).toBe("true");
    cleanup();
  }
});

test("a strike that has to wait is underlined with the kind of its wait", () => {
  const text = "jab, cross and cross, then 31";
  const [check] = checked([text]) as [Check];
  expect(check.problems).toEqual([]);
  const { marks, whole } = entry(text, check);
  expect(marks).toEqual([
    ["mark-reload", "cross"],
    ["mark-breaks", "31"],
  ]);
  expect(whole).toBe(text);
});

test("nothing is underlined by an answer to another text", () => {
  const [check] = checked(["1 zork"]) as [Check];
  expect(entry("1 2", check, false).marks).toEqual([]);
});

test("a pasted line break is a blank, and the places told count characters, not halves of them", () => {
  const { field, onChange, onCaret } = entry("", undefined);
  fireEvent.change(field, { target: { value: "🥊 1\n2" } });
  expect(onChange).toHaveBeenCalledWith("🥊 1 2");
  expect(onCaret).toHaveBeenLastCalledWith(5);
});

test.each([
  [{ key: "z", ctrlKey: true }, "onUndo"],
  [{ key: "z", metaKey: true }, "onUndo"],
  [{ key: "Z", ctrlKey: true, shiftKey: true }, "onRedo"],
  [{ key: "y", ctrlKey: true }, "onRedo"],
] as const)("%o is %s of the whole bench, not of the field", (key, what) => {
  const told = entry("1", undefined);
  const passed = fireEvent.keyDown(told.field, key);
  expect(told[what]).toHaveBeenCalledOnce();
  expect(passed, "the browser's own undo is kept out").toBe(false);
});
