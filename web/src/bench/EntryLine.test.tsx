import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { createRef } from "react";
import { afterEach, expect, test, vi } from "vitest";
import type { Check } from "../api/client";
import { checked } from "../testing/core";
import { EntryLine } from "./EntryLine";

afterEach(cleanup);

function entry(text: string, check: Check | undefined, current = true) {
  const told = { onType: vi.fn(), onCaret: vi.fn(), onPage: vi.fn(), undo: vi.fn(), redo: vi.fn() };
  const { container } = render(
    <EntryLine
      text={text}
      check={check}
      problems={check?.problems ?? []}
      current={current}
      entry={{ ...told, field: createRef<HTMLTextAreaElement>() }}
      onPage={told.onPage}
      history={told}
    />,
  );
  const marks = [...container.querySelectorAll(".entry-marks u")].map((mark) => [mark.className, mark.textContent]);
  const whole = container.querySelector(".entry-marks")?.textContent;
  return { ...told, marks, whole, field: screen.getByRole("textbox") };
}

test("an unreadable part is underlined in its place, whatever is before it", () => {
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
  const text = "jab, cross and cross, exit, 31";
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

test("a pasted line break is a blank, and places count whole characters", () => {
  const { field, onType } = entry("", undefined);
  fireEvent.change(field, { target: { value: "🥊 1\n2" } });
  expect(onType).toHaveBeenCalledWith("🥊 1 2", 5);
});

test("a pasted page is told of, a single line is not", () => {
  const { field, onPage } = entry("", undefined);
  const paste = (text: string) => fireEvent.paste(field, { clipboardData: { getData: () => text } });
  paste("jab cross\n\n");
  expect(onPage).not.toHaveBeenCalled();
  paste("Openers\n- jab cross\n- 1 2 3");
  expect(onPage).toHaveBeenCalledExactlyOnceWith("Openers\n- jab cross\n- 1 2 3");
});

test("what was passed over is faint in its place", () => {
  const [check] = checked(["rip the jab, nice cross"]) as [Check];
  expect(entry("rip the jab, nice cross", check).marks).toEqual([
    ["mark-passed", "rip"],
    ["mark-passed", "nice"],
  ]);
});

test.each([
  [{ key: "z", ctrlKey: true }, "undo"],
  [{ key: "z", metaKey: true }, "undo"],
  [{ key: "Z", ctrlKey: true, shiftKey: true }, "redo"],
  [{ key: "y", ctrlKey: true }, "redo"],
] as const)("%o is %s of the whole bench, not of the field", (key, what) => {
  const told = entry("1", undefined);
  const passed = fireEvent.keyDown(told.field, key);
  expect(told[what]).toHaveBeenCalledOnce();
  expect(passed, "the browser's own undo is kept out").toBe(false);
});
