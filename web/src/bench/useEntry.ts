import { useRef, useState } from "react";
import type { Item } from "../api/client";
import { replaceCharacters } from "../ui/characters";
import { useStable } from "../ui/useStable";

/** Start and length of an item in the text, in characters. */
type Place = Pick<Item, "at" | "length">;

interface Line {
  text: string;
  /** The items of the current line; undefined while unknown. */
  items: Place[] | undefined;
  onChange: (text: string, typed?: boolean) => void;
}

/**
 * Returns the text with something inserted at a position, with the blanks that separate items; a sign directly
 * follows the text before it.
 */
export function written(text: string, at: number, what: string): { text: string; caret: number } {
  const characters = Array.from(text);
  const before = characters.slice(0, at).join("").replace(/\s+$/, "");
  const after = characters.slice(at).join("").replace(/^\s+/, "");
  const glued = ["!", "~", ">", "<"].includes(what) || before === "" || /[+([^]$/.test(before);
  const head = before + (glued ? "" : " ") + what;
  return { text: head + (after === "" ? "" : ` ${after}`), caret: Array.from(head).length };
}

/** Returns the word at the cursor, unless a blank ends it. */
export function wordBeingTyped(text: string, caret: number): Place | null {
  const before = Array.from(text).slice(0, caret);
  const from = before.findLastIndex((character) => /[\s,;()[\]+/]/.test(character)) + 1;
  return from === before.length ? null : { at: from, length: before.length - from };
}

/** Returns the last piece before the cursor, as far as it is known without the check: a bracket, a word, or a sign. */
export function lastPiece(text: string, caret: number): Place | null {
  const before = Array.from(text).slice(0, caret).join("").trimEnd();
  const [piece] = /(?:\([^()]*\)|[^\s,;()[\]+/]+|.)$/u.exec(before) ?? [];
  const length = Array.from(piece ?? "").length;
  return length === 0 ? null : { at: Array.from(before).length - length, length };
}

/** The state of the entry line: its field, the cursor, the selected item, and text inserted by buttons. */
export function useEntry({ text, items, onChange }: Line) {
  const field = useRef<HTMLTextAreaElement>(null);
  const caret = useRef(Array.from(text).length);
  const [selected, setSelected] = useState<number | null>(null);
  // Pressing a tile or word selects the item; moving the cursor over it does not.
  const [isPicked, setPicked] = useState(false);

  const typing = useRef(false);

  const place = useStable((next: string, at: number, item: number | null = null) => {
    typing.current = false;
    onChange(next);
    caret.current = at;
    setSelected(item);
    setPicked(item !== null);
  });
  /** The item at or before the cursor. */
  const before = () => items?.findLast((item) => item.at < caret.current);
  return {
    field,
    selected,
    /** Whether the selected item was pressed, so that it can be edited. */
    isPicked: isPicked && selected !== null,
    /** The position of the cursor, in characters. */
    caret: useStable(() => Math.min(caret.current, Array.from(text).length)),
    /** The word being typed, which may be unfinished; null after a button was pressed. */
    wordBeingTyped: useStable(() => (typing.current ? wordBeingTyped(text, caret.current) : null)),
    release: useStable(() => setSelected(null)),
    select: useStable((at: number | null) => {
      setSelected(at);
      setPicked(at !== null);
      const item = at === null ? undefined : items?.[at];
      if (item && field.current) {
        const units = (count: number) => Array.from(text).slice(0, count).join("").length;
        field.current.setSelectionRange(units(item.at), units(item.at + item.length));
        caret.current = item.at + item.length;
      }
    }),
    onType: useStable((next: string, at: number) => {
      typing.current = true;
      onChange(next, true);
      caret.current = at;
      setSelected(null);
    }),
    onCaret: useStable((at: number) => {
      caret.current = at;
      if (items && document.activeElement === field.current) {
        const found = items.findIndex((item) => at >= item.at && at <= item.at + item.length);
        setSelected(found < 0 ? null : found);
        setPicked(false);
      }
    }),
    /** Inserts text at the cursor. */
    press: useStable((what: string) => {
      const next = written(text, caret.current, what);
      place(next.text, next.caret);
    }),
    /** Inserts text after an item, or at the end. */
    pressAfter: useStable((what: string, after: number | null) => {
      const item = after === null ? undefined : items?.[after];
      const next = written(text, item ? item.at + item.length : Array.from(text).length, what);
      place(next.text, next.caret);
    }),
    /** Deletes the item before the cursor, or the last piece while items are unknown. */
    backspace: useStable(() => {
      const item = before() ?? lastPiece(text, caret.current);
      if (item) {
        const rest = replaceCharacters(
          text,
          { at: item.at, length: Math.max(item.length, caret.current - item.at) },
          "",
        );
        place(rest.trimEnd(), Math.min(item.at, Array.from(rest.trimEnd()).length));
      }
    }),
    /** Turns the strike before the cursor into a feint. */
    feint: useStable(() => {
      const item = before() ?? wordBeingTyped(text, caret.current);
      if (item) {
        const word = Array.from(text)
          .slice(item.at, item.at + item.length)
          .join("");
        place(replaceCharacters(text, item, `(${word})`), item.at + item.length + 2);
      }
    }),
    /**
     * Replaces the whole line.
     *
     * @param item that is selected in it
     */
    replace: useStable((next: string, item: number | null = null) => place(next, Array.from(next).length, item)),
    focus: useStable(() => field.current?.focus({ preventScroll: true })),
    /** Replaces a piece that cannot be read. */
    correct: useStable((what: Place, by: string) => {
      place(replaceCharacters(text, what, by), what.at + Array.from(by).length);
      field.current?.focus();
    }),
  };
}
