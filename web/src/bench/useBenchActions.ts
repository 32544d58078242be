import { t } from "@lingui/core/macro";
import { useCallback } from "react";
import { useNavigate } from "react-router";
import type { Combination, Mend, NumberingId, Rules, Stance } from "../api/client";
import { useNumbering } from "../api/useNumbering";
import type { KeyedEdit } from "../combination-line/CombinationLine";
import { useTranslate } from "../numbering/useTranslation";
import { hasKeyboard } from "../ui/device";
import { useNotice } from "../ui/useNotice";
import { isTyping, useShortcut } from "../ui/useShortcut";
import { useStable } from "../ui/useStable";
import { type Draft, draftOf } from "./draft";
import type { BenchWork } from "./useBench";

/** What a coach does on the bench, by press and by shortcut. */
export function useBenchActions(bench: BenchWork, stored: Draft | null) {
  const { draft, change, history, begin, entry, next, itemEdits, saving, setShownStance, setCompared } = bench;
  const { text, stance, numbering } = draft;
  const mine = useNumbering();
  const navigate = useNavigate();
  useShortcut("save", () =>
    saving.isOpen ? document.querySelector<HTMLFormElement>("#save-form")?.requestSubmit() : saving.open(),
  );
  // The entry line handles its own keys, and other fields undo their own text.
  useShortcut("undo", (event) => !isTyping(event.target) && history.undo());
  useShortcut("redo", (event) => !isTyping(event.target) && history.redo());
  useShortcut("release", entry.release);

  const translate = useTranslate();
  const onNumbering = useStable((to: NumberingId) =>
    translate({ text, from: numbering, to, stance }, (line) => change({ numbering: to, text: line })),
  );
  const onRules = useCallback((to: Rules | null) => change({ rules: to }), [change]);
  const onStance = useCallback(
    (to: Stance) => {
      change({ stance: to });
      setShownStance(to);
    },
    [change, setShownStance],
  );
  const onCarry = useCallback(
    (carried: string, to: Stance) => {
      if (stored) {
        // A variant for the other stance is a combination of its own; the stored one stays.
        const { name, rules, themes, note } = stored;
        void navigate("/bench", {
          state: { fresh: { name: t`${name}, ${to}`, text: carried, stance: to, rules, themes, note } },
        });
        return;
      }
      change({ text: carried, stance: to });
      setShownStance(to);
    },
    [change, setShownStance, stored, navigate],
  );
  const onNext = useStable((what: string) => entry.pressAfter(what, next.next?.after ?? null));
  const onMend = useStable((mend: Mend) => {
    setCompared(null);
    entry.replace(mend.text);
    if (hasKeyboard()) {
      entry.focus();
    }
  });
  const notice = useNotice();
  const onDiscard = useStable(() => {
    if (stored) {
      const before = draft;
      change(stored);
      entry.release();
      notice.undo(t`Back to the saved version.`, () => change(before));
    }
  });
  const onCopy = useStable(() => notice.copy(window.location.href, t`The link is copied.`));
  const onClear = useStable(() => {
    begin();
    entry.release();
    entry.focus();
  });
  /** Opens the panel of an item and goes into it. */
  const onOpen = useStable((at: number) => {
    entry.select(at);
    bench.setToPanel(true);
  });
  const onEdit = useStable((what: KeyedEdit, at: number) => void itemEdits.byKey(what, at));
  useShortcut("findings", () => {
    const first = (of: string) => document.querySelector<HTMLElement>(`.findings ${of}`);
    (first(".mend") ?? first(`.finding button`))?.focus();
  });
  const onExample = useStable((example: string) => entry.replace(example));
  const onCompareEnd = useCallback(() => setCompared(null), [setCompared]);
  const onTakeTheirs = (theirs: Combination) => {
    change(draftOf(theirs, mine));
    saving.endConflict();
    saving.close();
  };
  const onSaveMine = (version: number) => {
    change({ basedOn: version });
    saving.send(version);
  };
  return {
    onNumbering,
    onRules,
    onStance,
    onCarry,
    onNext,
    onMend,
    onDiscard,
    onCopy,
    onClear,
    onEdit,
    onOpen,
    onExample,
    onCompareEnd,
    onTakeTheirs,
    onSaveMine,
  };
}

export type BenchActions = ReturnType<typeof useBenchActions>;
