import { useEffect, useMemo, useState } from "react";
import { useLocation } from "react-router";
import type { Mend, Proposal, Stance } from "../api/client";
import { useCheck } from "../check/useCheck";
import { useDebounced } from "../ui/useDebounced";
import { useStable } from "../ui/useStable";
import { type Draft, EMPTY, TO_SAVE } from "./draft";
import { useDraft } from "./useDraft";
import { useEntry } from "./useEntry";
import { useItemEdits } from "./useItemEdits";
import { useNext } from "./useNext";
import { useSaving } from "./useSaving";

/** Pause in ms after which a half-typed word counts as finished. */
const PAUSE_MS = 700;

export interface BenchProps {
  /** Key of the draft in this browser. */
  id: string;
  /** The stored or proposed combination; null for a new one. */
  stored: Draft | null;
  proposal: Proposal | null;
}

/** The draft on the bench with its check, what can follow, what can be edited, and its saving. */
export function useBench({ id, stored, proposal }: BenchProps) {
  const combinationId = id === "new" || proposal ? null : Number(id);
  const except = combinationId ?? proposal?.combination?.id ?? null;
  const work = useDraft(id, stored, proposal);
  const { draft, change, options } = work;
  const { text, stance, rules, numbering } = draft;
  const request = useMemo(
    () => ({ text, stance, rules, numbering, ...options }),
    [text, stance, rules, numbering, options],
  );
  const caret = useStable((): number => entry.caret());
  // The picture of the save drawer is drawn when it opens; a key draws one picture.
  const checked = useCheck(
    { ...request, draw: ["full"], with: ["fromAbove", "next", "similar", "mends"], except },
    caret,
  );
  const { latest, readable, current } = checked;
  const settled = current && latest !== undefined && latest === readable;
  const entry = useEntry({
    text,
    items: settled ? readable.items : undefined,
    onChange: (next, typed) =>
      // An emptied line of a new combination begins another one, which is not called like the one before.
      change(id === "new" && next.trim() === "" ? { ...EMPTY, stance, rules, numbering } : { text: next }, typed),
  });
  const picked = entry.isPicked && settled ? entry.selected : null;
  // While an edit is being checked, the panel of the item stays with what it offered before.
  const opened = entry.isPicked ? entry.selected : null;
  const [toPanel, setToPanel] = useState(false);
  const next = useNext(request, checked, entry.selected);
  const itemEdits = useItemEdits(request, settled ? readable : undefined, picked, entry.replace);
  const saving = useSaving({ draft, combinationId, proposal, checked, leaveFor: work.leaveFor });
  const [shownStance, setShownStance] = useState<Stance>(stance);
  // A line from another screen brings its stance along, and undo takes it back.
  useEffect(() => setShownStance(stance), [stance]);
  const [compared, setCompared] = useState<Mend | null>(null);

  // A chain from another screen may be opened with the save drawer.
  const [toSave, setToSave] = useState(useLocation().state === TO_SAVE);
  useEffect(() => {
    if (toSave && settled) {
      setToSave(false);
      saving.open();
    }
  }, [toSave, settled, saving.open]);

  // A word is not reported as unreadable while it is being typed.
  const resting = useDebounced(text, PAUSE_MS) === text;
  const wordBeingTyped = resting ? null : entry.wordBeingTyped();
  const unreadable = (latest?.problems.length ?? 0) > 0;
  return {
    ...work,
    combinationId,
    except,
    request,
    checked,
    settled,
    entry,
    opened,
    /** Whether the panel of the item takes the focus as soon as it can. */
    toPanel,
    setToPanel,
    next,
    itemEdits,
    saving,
    shownStance,
    setShownStance,
    compared,
    setCompared,
    resting,
    wordBeingTyped,
    unreadable,
    problems: (latest?.problems ?? []).filter(
      (problem) =>
        wordBeingTyped === null ||
        problem.at + problem.length <= wordBeingTyped.at ||
        problem.at >= wordBeingTyped.at + wordBeingTyped.length,
    ),
    // The shown result belongs to an earlier line, and no answer for this one is coming.
    isOld: checked.old || unreadable,
    similar: checked.old ? undefined : checked.parts.similar,
  };
}

export type BenchWork = ReturnType<typeof useBench>;
