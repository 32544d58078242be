import { act, renderHook } from "@testing-library/react";
import fc from "fast-check";
import { expect, test } from "vitest";
import { checked } from "../testing/core";
import { lastPiece, useEntry, wordBeingTyped, written } from "./useEntry";

const items = fc.array(fc.constantFrom("1", "2", "3b", "slip-lead", "14l", "/"), { minLength: 1, maxLength: 10 });

test("items that are pressed one after the other are separated by one blank", () => {
  fc.assert(
    fc.property(items, (pressed) => {
      let line = { text: "", caret: 0 };
      for (const item of pressed) {
        line = written(line.text, line.caret, item);
        expect(line.caret).toBe(Array.from(line.text).length);
      }
      expect(line.text).toBe(pressed.join(" "));
    }),
  );
});

test("an item that is pressed within a line is separated by blanks, and the cursor is right behind it", () => {
  fc.assert(
    fc.property(items, items, fc.constantFrom("", " ", "  "), (before, after, blanks) => {
      const head = before.join(" ");
      const line = written(head + blanks + after.join(" "), Array.from(head + blanks).length, "7");
      expect(line.text).toBe([head, "7", after.join(" ")].join(" "));
      expect(line.text.slice(0, line.caret)).toBe(`${head} 7`);
    }),
  );
});

test("signs go straight onto what is before them, and a strike onto a plus or a bracket", () => {
  expect(written("1 2", 3, "!").text).toBe("1 2!");
  expect(written("1 2 ", 4, "~").text).toBe("1 2~");
  expect(written("1 +", 3, "2").text).toBe("1 +2");
  expect(written("1 (", 3, "2").text).toBe("1 (2");
  expect(written("14 ", 3, ">").text).toBe("14>");
  expect(written("14", 2, "^").text).toBe("14 ^");
  expect(written("14 ^", 4, "14h").text).toBe("14 ^14h");
});

test("places are counted in characters, also behind a wide one", () => {
  expect(written("🥊 1", 3, "2")).toEqual({ text: "🥊 1 2", caret: 5 });
});

test("the word being typed is the text before the cursor without a blank", () => {
  expect(wordBeingTyped("1 cro", 5)).toEqual({ at: 2, length: 3 });
  expect(wordBeingTyped("🥊 cro", 5)).toEqual({ at: 2, length: 3 });
  expect(wordBeingTyped("1 cro 2", 4)).toEqual({ at: 2, length: 2 });
  expect(wordBeingTyped("1 cro ", 6)).toBeNull();
  expect(wordBeingTyped("1 (cro,", 7)).toBeNull();
  expect(wordBeingTyped("", 0)).toBeNull();
});

test("before the check has answered, the last piece is removed whole: a word, a feint, a sign", () => {
  const rest = (text: string, caret = Array.from(text).length) =>
    Array.from(text)
      .slice(0, lastPiece(text, caret)?.at ?? caret)
      .join("")
      .trimEnd();
  expect(rest("1 2 2 (3)")).toBe("1 2 2");
  expect(rest("1 2 (lead hook) ")).toBe("1 2");
  expect(rest("1 2 /")).toBe("1 2");
  expect(rest("🥊 1 2b!")).toBe("🥊 1");
  expect(rest("1 2 (3", 6)).toBe("1 2 (");
  expect(lastPiece("", 0)).toBeNull();
  const { result } = renderHook(() =>
    useEntry({ text: "1 2 (3)", items: undefined, onChange: (next) => lines.push(next) }),
  );
  const lines: string[] = [];
  act(() => result.current.backspace());
  expect(lines).toEqual(["1 2"]);
});

test("pressed one after the other and taken away as often, nothing is left", () => {
  fc.assert(
    fc.property(items, (pressed) => {
      let text = pressed.join(" ");
      for (const _ of pressed) {
        text = text.slice(0, lastPiece(text, text.length)?.at).trimEnd();
      }
      expect(text).toBe("");
    }),
  );
});

function entry(text: string) {
  const places = checked([text])[0]?.items ?? [];
  const lines: string[] = [];
  const hook = renderHook(({ now }) => useEntry({ text: now, items: places, onChange: (next) => lines.push(next) }), {
    initialProps: { now: text },
  });
  const field = document.createElement("textarea");
  field.value = text;
  document.body.append(field);
  hook.result.current.field.current = field;
  field.focus();
  return { ...hook, field, lines };
}

test("the cursor selects the item it is in, and a tile marks its item in the field", () => {
  const { result, field } = entry("🥊1 slip lead 2".slice(2));
  act(() => result.current.onCaret(4));
  expect(result.current.selected).toBe(1);
  act(() => result.current.select(2));
  expect([field.selectionStart, field.selectionEnd]).toEqual([12, 13]);
  expect(result.current.caret()).toBe(13);
  act(() => result.current.onCaret(99));
  expect(result.current.selected).toBeNull();
});

test("what follows an item is written after it, and at the end where no item is named", () => {
  const { result, lines } = entry("1 2 3");
  act(() => result.current.pressAfter("7", 0));
  act(() => result.current.pressAfter("7", null));
  act(() => result.current.correct({ at: 2, length: 1 }, "cross"));
  act(() => result.current.replace("1"));
  expect(lines).toEqual(["1 7 2 3", "1 2 3 7", "1 cross 3", "1"]);
});
