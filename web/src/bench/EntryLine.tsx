import { t } from "@lingui/core/macro";
import { type KeyboardEvent, type RefObject, useEffect, useLayoutEffect } from "react";
import type { Check, ReadingProblem } from "../api/client";
import { hasKeyboard } from "../ui/device";
import { isShortcut } from "../ui/useShortcut";

interface Props {
  text: string;
  check: Check | undefined;
  /** The reading problems to be shown. */
  problems: ReadingProblem[];
  /** Whether the check belongs to the current text, so that its positions are valid. */
  current: boolean;
  entry: {
    field: RefObject<HTMLTextAreaElement | null>;
    onType: (text: string, caret: number) => void;
    onCaret: (caret: number) => void;
  };
  /** Is told of a pasted text with several lines. */
  onPage: (text: string) => void;
  history: { undo: () => void; redo: () => void };
}

interface Stretch {
  from: number;
  to: number;
  kind: string;
}

/**
 * Returns the marked ranges: what cannot be read, strikes that have to wait, and words that were passed over.
 * Positions count Unicode characters.
 */
function stretches(check: Check, problems: ReadingProblem[]): Stretch[] {
  const unread = problems.map((problem) => ({
    from: problem.at,
    to: problem.at + Math.max(1, problem.length),
    kind: "problem",
  }));
  const waits = check.links.flatMap((link) => {
    const item = check.items[link.to];
    return item && link.verdict !== "flows" ? [{ from: item.at, to: item.at + item.length, kind: link.verdict }] : [];
  });
  const passed = check.passedOver.map(({ at, length }) => ({ from: at, to: at + length, kind: "passed" }));
  return [...unread, ...waits, ...passed].sort((a, b) => a.from - b.from);
}

/** Returns how many lines of a text have something in them. */
export function linesOf(text: string): number {
  return text.split(/\r\n|\n|\r/).filter((line) => line.trim() !== "").length;
}

/** Returns the position of the cursor, in Unicode characters. */
function caretOf(area: HTMLTextAreaElement): number {
  return Array.from(area.value.slice(0, area.selectionStart)).length;
}

/** The field for numbers or words. Underlines are drawn on a copy of the text behind it, and a veil over it. */
export function EntryLine({ text, check, problems, current, entry, onPage, history }: Props) {
  const { field, onType, onCaret } = entry;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the height follows the text
  useLayoutEffect(() => {
    const area = field.current;
    if (area) {
      area.style.height = "auto";
      area.style.height = `${area.scrollHeight}px`;
    }
  }, [text, field]);

  // With a keyboard the field has the focus; on a touch screen the on-screen keyboard would cover the pad.
  useEffect(() => {
    if (hasKeyboard()) {
      field.current?.focus({ preventScroll: true });
    }
  }, [field]);

  const onKey = (event: KeyboardEvent<HTMLTextAreaElement>) => {
    if (event.key === "Enter" && !isShortcut("play", event)) {
      event.preventDefault();
    } else if (isShortcut("undo", event) || isShortcut("redo", event)) {
      // The browser would only undo within the field.
      event.preventDefault();
      history[isShortcut("undo", event) ? "undo" : "redo"]();
    }
  };

  const characters = Array.from(text);
  const marks = check && current ? stretches(check, problems) : [];
  const parts: { text: string; kind: string; from: number }[] = [];
  let at = 0;
  for (const mark of marks) {
    if (mark.from < at || mark.from >= characters.length) {
      continue;
    }
    parts.push({ text: characters.slice(at, mark.from).join(""), kind: "", from: at });
    parts.push({ text: characters.slice(mark.from, mark.to).join(""), kind: mark.kind, from: mark.from });
    at = mark.to;
  }
  parts.push({ text: characters.slice(at).join(""), kind: "", from: at });

  return (
    <div className="entry">
      <div className="entry-marks" aria-hidden="true">
        {parts.map((part) =>
          part.kind ? (
            <u key={`${part.from}u`} className={`mark-${part.kind}`}>
              {part.text}
            </u>
          ) : (
            <span key={`${part.from}s`}>{part.text}</span>
          ),
        )}
      </div>
      <textarea
        ref={field}
        data-home
        value={text}
        rows={1}
        aria-label={t`The combination, in numbers or words`}
        aria-invalid={problems.length > 0}
        aria-describedby="entry-help"
        placeholder={t`1 2 3b, or jab cross lead hook body`}
        spellCheck={false}
        autoCapitalize="off"
        autoComplete="off"
        onChange={(event) => onType(event.target.value.replace(/[\r\n]+/g, " "), caretOf(event.target))}
        onSelect={(event) => onCaret(caretOf(event.currentTarget))}
        onKeyDown={onKey}
        onPaste={(event) => {
          const pasted = event.clipboardData.getData("text/plain");
          if (linesOf(pasted) > 1) {
            onPage(pasted);
          }
        }}
      />
    </div>
  );
}
