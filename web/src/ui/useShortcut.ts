import { t } from "@lingui/core/macro";
import { useEffect, useRef } from "react";

interface Shortcut {
  /** As `KeyboardEvent.key`, in small letters. */
  key: string;
  /** A second key for the same, with Ctrl only. */
  also?: string;
  /** With Ctrl, or Cmd on a Mac; without it, the shortcut is off while typing. */
  mod?: true;
  shift?: true;
  /** Writes no character, so that it works while typing. */
  silent?: true;
  shown: string;
  does: string;
}

/** All keyboard shortcuts, in the order of the help. */
export const SHORTCUTS = {
  search: { key: "/", shown: "/", does: t`Search the library` },
  rows: { key: "arrowdown", shown: "↑ ↓", does: t`Move between combinations` },
  open: { key: "enter", shown: t`Enter`, does: t`Open the combination` },
  write: { key: "n", shown: "N", does: t`Write a new combination` },
  undo: { key: "z", mod: true, shown: t`Ctrl Z`, does: t`Undo, on the bench and in a session` },
  redo: {
    key: "z",
    also: "y",
    mod: true,
    shift: true,
    shown: t`Ctrl Shift Z`,
    does: t`Redo, on the bench and in a session`,
  },
  save: { key: "s", mod: true, shown: t`Ctrl S`, does: t`Save: on the bench, in a session, in the house rules` },
  neighbour: { key: "arrowright", shown: "← →", does: t`On a tile: the neighbour before or after` },
  play: { key: "enter", mod: true, shown: t`Ctrl Enter`, does: t`Play the line, or stop` },
  findings: { key: "f8", silent: true, shown: "F8", does: t`Go to the first mend or finding` },
  leaveOut: { key: "delete", shown: t`Del`, does: t`On a tile: leave it out` },
  move: { key: "arrowright", shift: true, shown: "Shift ← →", does: t`On a tile: move it earlier or later` },
  aim: { key: "arrowup", shift: true, shown: "Shift ↑ ↓", does: t`On a tile: aim it higher or lower` },
  release: { key: "escape", silent: true, shown: t`Esc`, does: t`Clear the selection` },
  help: { key: "?", shown: "?", does: t`Guide and keys` },
} satisfies Record<string, Shortcut>;

export type ShortcutName = keyof typeof SHORTCUTS;
type Pressed = Pick<KeyboardEvent, "key" | "ctrlKey" | "metaKey" | "altKey" | "shiftKey">;

/** Tells whether an event is that shortcut. */
export function isShortcut(name: ShortcutName, event: Pressed): boolean {
  const shortcut: Shortcut = SHORTCUTS[name];
  const mod = event.ctrlKey || event.metaKey;
  const key = event.key.toLowerCase();
  if (mod !== (shortcut.mod ?? false) || event.altKey) {
    return false;
  }
  // A sign such as "?" may need Shift on some keyboards.
  return mod && key === shortcut.also
    ? !event.shiftKey
    : key === shortcut.key && (!(mod || isArrow(key)) || event.shiftKey === (shortcut.shift ?? false));
}

function isArrow(key: string): boolean {
  return key.startsWith("arrow");
}

/** Tells whether a key is typed into a field. */
export function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
}

function isInDialog(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.closest("[role=dialog]") !== null;
}

/**
 * Enables a shortcut while the component is mounted.
 *
 * @param act returns false when the key is not for it after all and is left to the browser
 * @example useShortcut("search", () => field.current?.focus());
 */
export function useShortcut(name: ShortcutName, act: (event: KeyboardEvent) => unknown): void {
  const newest = useRef(act);
  newest.current = act;
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      // Escape and keys with Ctrl write no character; a single letter must not leave the page behind a dialog.
      const free =
        "mod" in SHORTCUTS[name] ||
        "silent" in SHORTCUTS[name] ||
        !(isTyping(event.target) || isInDialog(event.target));
      if (isShortcut(name, event) && free && newest.current(event) !== false && name !== "release") {
        event.preventDefault();
      }
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [name]);
}
