import { useRef, useState } from "react";
import type { Item } from "../api/client";
import { replaceCharacters } from "../ui/characters";
import { useStable } from "../ui/useStable";

/** Where an item begins and ends in the text, in characters. */
type Place = Pick<Item, "at" | "length">;

interface Line {
  text: string;
  /** The items of what stands in the line; undefined while they are not known. */
  items: Place[] | undefined;
  onChange: (text: string, typed?: boolean) => void;
}

/** A text with something written into it at a place, with the blanks that keep items apart; a sign goes straight onto what is before it. */
export function written(text: string, at: number, what: string): { text: string; caret: number } {
  const characters = Array.from(text);
  const before = characters.slice(0, at).join("").replace(/\s+$/, "");
  const after = characters.slice(at).join("").replace(/^\s+/, "");
  const glued = what === "!" || what === "~" || before === "" || /[+([]$/.test(before);
  const head = before + (glued ? "" : " ") + what;
  return { text: head + (after === "" ? "" : ` ${after}`), caret: Array.from(head).length };
}

/** The word that the cursor stands behind or in, as long as no blank ends it. */
export function wordInHand(text: string, caret: number): Place | null {
  const before = Array.from(text).slice(0, caret);
  const from = before.findLastIndex((character) => /[\s,;()[\]+/]/.test(character)) + 1;
  return from === before.length ? null : { at: from, length: before.length - from };
}

/** What stands last before the cursor, as far as it can be told without the check: what is in brackets, a word, or a sign. */
export function lastPiece(text: string, caret: number): Place | null {
  const before = Array.from(text).slice(0, caret).join("").trimEnd();
  const [piece] = /(?:\([^()]*\)|[^\s,;()[\]+/]+|.)$/u.exec(before) ?? [];
  const length = Array.from(piece ?? "").length;
  return length === 0 ? null : { at: Array.from(before).length - length, length };
}

/** The entry line: its field, the cursor, which item is selected, and what is written by a press instead of by keys. */
export function useEntry({ text, items, onChange }: Line) {
  const field = useRef<HTMLTextAreaElement>(null);
  const caret = useRef(Array.from(text).length);
  const [selected, setSelected] = useState<number | null>(null);
  // A press on a tile or a word means the item; the cursor only passes it.
  const [isPicked, setPicked] = useState(false);

  const typing = useRef(false);

  const place = useStable((next: string, at: number, item: number | null = null) => {
    typing.current = false;
    onChange(next);
    caret.current = at;
    setSelected(item);
    setPicked(item !== null);
  });
  /** The item in which the cursor stands or before it. */
  const before = () => items?.findLast((item) => item.at < caret.current);
  return {
    field,
    selected,
    /** Whether the selected item was pressed, so that something may be done with it. */
    isPicked: isPicked && selected !== null,
    /** Where the cursor stands, in characters. */
    caret: useStable(() => Math.min(caret.current, Array.from(text).length)),
    /** The word that is being typed, which may not be finished; null after a press. */
    wordInHand: useStable(() => (typing.current ? wordInHand(text, caret.current) : null)),
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
    /** Writes at the cursor. */
    press: useStable((what: string) => {
      const next = written(text, caret.current, what);
      place(next.text, next.caret);
    }),
    /** Writes after an item, or at the end. */
    pressAfter: useStable((what: string, after: number | null) => {
      const item = after === null ? undefined : items?.[after];
      const next = written(text, item ? item.at + item.length : Array.from(text).length, what);
      place(next.text, next.caret);
    }),
    /** Takes away the item before the cursor, or what stands there as long as items are not known. */
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
    /** Has the strike before the cursor be shown and not delivered. */
    feint: useStable(() => {
      const item = before() ?? wordInHand(text, caret.current);
      if (item) {
        const word = Array.from(text)
          .slice(item.at, item.at + item.length)
          .join("");
        place(replaceCharacters(text, item, `(${word})`), item.at + item.length + 2);
      }
    }),
    /**
     * Puts another text in place of the whole line.
     *
     * @param item that is selected in it
     */
    replace: useStable((next: string, item: number | null = null) => place(next, Array.from(next).length, item)),
    focus: useStable(() => field.current?.focus({ preventScroll: true })),
    /** Puts something else in place of what cannot be read. */
    correct: useStable((what: Place, by: string) => {
      place(replaceCharacters(text, what, by), what.at + Array.from(by).length);
      field.current?.focus();
    }),
  };
}
