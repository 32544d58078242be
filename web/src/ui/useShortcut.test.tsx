import { cleanup, fireEvent, render, renderHook, screen } from "@testing-library/react";
import { afterEach, expect, test, vi } from "vitest";
import { isShortcut, SHORTCUTS, type ShortcutName, useShortcut } from "./useShortcut";

afterEach(cleanup);

const NAMES = Object.keys(SHORTCUTS) as ShortcutName[];
const KEY = { ctrlKey: false, metaKey: false, altKey: false, shiftKey: false };

test("no two shortcuts are the same keys", () => {
  const pressed = NAMES.map((name) => {
    const { key, mod, shift } = SHORTCUTS[name] as { key: string; mod?: true; shift?: true };
    return { ...KEY, key, ctrlKey: mod ?? false, shiftKey: shift ?? false };
  });
  for (const event of pressed) {
    expect(NAMES.filter((name) => isShortcut(name, event)).length, event.key).toBe(1);
  }
});

test.each([
  ["undo", { key: "z", ctrlKey: true }, true],
  ["undo", { key: "z", metaKey: true }, true],
  ["undo", { key: "Z", ctrlKey: true, shiftKey: true }, false],
  ["redo", { key: "Z", ctrlKey: true, shiftKey: true }, true],
  ["redo", { key: "y", ctrlKey: true }, true],
  ["redo", { key: "y" }, false],
  ["help", { key: "?", shiftKey: true }, true],
  ["write", { key: "n", ctrlKey: true }, false],
  ["write", { key: "n", altKey: true }, false],
] as const)("%s by %o: %s", (name, event, is) => {
  expect(isShortcut(name, { ...KEY, ...event })).toBe(is);
});

test("a key that goes into a field is no shortcut, one with Ctrl is", () => {
  const [write, save] = [vi.fn(), vi.fn()];
  renderHook(() => {
    useShortcut("write", write);
    useShortcut("save", save);
  });
  render(<input aria-label="field" />);
  const field = screen.getByLabelText("field");
  fireEvent.keyDown(field, { key: "n" });
  expect(write).not.toHaveBeenCalled();
  expect(fireEvent.keyDown(field, { key: "s", ctrlKey: true }), "the browser does not save the page").toBe(false);
  expect(save).toHaveBeenCalledOnce();
  fireEvent.keyDown(document.body, { key: "n" });
  expect(write).toHaveBeenCalledOnce();
});

test("a letter leaves no page from a dialog", () => {
  const [write, release] = [vi.fn(), vi.fn()];
  renderHook(() => {
    useShortcut("write", write);
    useShortcut("release", release);
  });
  render(
    <div role="dialog">
      <button type="button">Done</button>
    </div>,
  );
  const done = screen.getByRole("button", { name: "Done" });
  fireEvent.keyDown(done, { key: "n" });
  expect(write).not.toHaveBeenCalled();
  fireEvent.keyDown(done, { key: "Escape" });
  expect(release).toHaveBeenCalledOnce();
});

test("other keys are left to the browser, and nothing listens after the screen is closed", () => {
  const act = vi.fn(() => false);
  const { unmount } = renderHook(() => useShortcut("rows", act));
  expect(fireEvent.keyDown(document.body, { key: "ArrowDown" })).toBe(true);
  unmount();
  fireEvent.keyDown(document.body, { key: "ArrowDown" });
  expect(act).toHaveBeenCalledOnce();
});
