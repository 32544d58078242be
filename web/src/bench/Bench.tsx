import { t } from "@lingui/core/macro";
import { useCallback, useEffect, useMemo, useState } from "react";
import { useLocation } from "react-router";
import type { Combination, Mend, NumberingId, Proposal, Rules, Stance, Verdict } from "../api/client";
import { useNumbering } from "../api/useNumbering";
import { CheckedLine } from "../check/CheckedLine";
import { useCheck } from "../check/useCheck";
import type { KeyedEdit } from "../combination-line/CombinationLine";
import { useTranslate } from "../numbering/useTranslation";
import { hasKeyboard } from "../ui/device";
import { useDebounced } from "../ui/useDebounced";
import { useNotice } from "../ui/useNotice";
import { useShortcut } from "../ui/useShortcut";
import { useStable } from "../ui/useStable";
import { VerdictMark } from "../ui/VerdictMark";
import { seconds, VERDICTS } from "../ui/words";
import { CheckPanel } from "./CheckPanel";
import { ConflictDialog } from "./ConflictDialog";
import { type Draft, draftOf, TO_SAVE } from "./draft";
import { EmptyLine } from "./EmptyLine";
import { EntryButtons } from "./EntryButtons";
import { EntryHelp } from "./EntryHelp";
import { EntryLine } from "./EntryLine";
import { ItemPanel } from "./ItemPanel";
import { MendCompare } from "./MendCompare";
import { NextStrip } from "./NextStrip";
import { OptionsBar } from "./OptionsBar";
import { SaveDrawer } from "./SaveDrawer";
import { TouchPad } from "./TouchPad";
import { useDraft } from "./useDraft";
import { useEntry } from "./useEntry";
import { useItemEdits } from "./useItemEdits";
import { useNext } from "./useNext";
import { useSaving } from "./useSaving";
import { WhatIsChanged } from "./WhatIsChanged";
import "./bench.css";

/** Pause in ms after which a half-typed word counts as finished. */
const PAUSE_MS = 700;

/** Returns the verdict that a screen reader announces when the typing pauses. */
function spokenVerdict(verdict: Verdict, lengthMs: number): string {
  return t`Verdict: ${VERDICTS[verdict].word}, ${seconds(lengthMs)}.`;
}

interface Props {
  /** Key of the draft in this browser. */
  id: string;
  /** The stored or proposed combination; null for a new one. */
  stored: Draft | null;
  proposal: Proposal | null;
}

/** The screen for writing a combination: the line, its check, what can follow, and saving. */
export function Bench({ id, stored, proposal }: Props) {
  const mine = useNumbering();
  const combinationId = id === "new" || proposal ? null : Number(id);
  const except = combinationId ?? proposal?.combination?.id ?? null;
  const { draft, change, history, options, give, untouched, leaveFor, begin, aside, goOn } = useDraft(
    id,
    stored,
    proposal,
  );
  const { text, stance, rules, numbering } = draft;

  const request = useMemo(
    () => ({ text, stance, rules, numbering, ...options }),
    [text, stance, rules, numbering, options],
  );
  const caret = useStable((): number => entry.caret());
  const checked = useCheck({ ...request, with: ["next", "similar", "mends"], except }, caret);
  const { latest, readable, current, parts } = checked;
  const settled = current && latest !== undefined && latest === readable;
  const entry = useEntry({
    text,
    items: settled ? readable.items : undefined,
    onChange: (next, typed) => change({ text: next }, typed),
  });
  const { selected, select } = entry;
  const next = useNext(request, checked, selected);
  const settledCheck = settled ? readable : undefined;
  const picked = entry.isPicked && settled ? selected : null;
  const itemEdits = useItemEdits(request, settledCheck, picked, entry.replace);
  const saving = useSaving({ draft, combinationId, proposal, checked, leaveFor });
  const [shownStance, setShownStance] = useState<Stance>(stance);
  const [compared, setCompared] = useState<Mend | null>(null);

  // A chain from another screen may be opened with the save drawer.
  const [toSave, setToSave] = useState(useLocation().state === TO_SAVE);
  useEffect(() => {
    if (toSave && settled) {
      setToSave(false);
      saving.open();
    }
  }, [toSave, settled, saving.open]);

  useShortcut("save", saving.open);
  useShortcut("undo", (event) => event.target === document.body && history.undo());
  useShortcut("redo", (event) => event.target === document.body && history.redo());
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
    [change],
  );
  const onCarry = useCallback(
    (carried: string, to: Stance) => {
      change({ text: carried, stance: to });
      setShownStance(to);
    },
    [change],
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
      const mine = draft;
      change(stored);
      entry.release();
      notice.undo(t`Back to the saved version.`, () => change(mine));
    }
  });
  const onCopy = useStable(() => notice.copy(window.location.href, t`The link is copied.`));
  const onClear = useStable(() => {
    begin();
    entry.release();
    entry.focus();
  });
  const onEdit = useStable((what: KeyedEdit, at: number) => void itemEdits.byKey(what, at));
  useShortcut("findings", () => {
    const first = (of: string) => document.querySelector<HTMLElement>(`.findings ${of}`);
    (first(".mend") ?? first(`.finding button`))?.focus();
  });
  const onExample = useStable((example: string) => entry.replace(example));
  const onCompareEnd = useCallback(() => setCompared(null), []);
  const onTakeTheirs = (theirs: Combination) => {
    change(draftOf(theirs, mine));
    saving.endConflict();
    saving.close();
  };
  const onSaveMine = (version: number) => {
    change({ basedOn: version });
    saving.send(version);
  };

  // A word is not reported as unreadable while it is being typed.
  const resting = useDebounced(text, PAUSE_MS) === text;
  const inHand = resting ? null : entry.wordBeingTyped();
  const problems = (latest?.problems ?? []).filter(
    (problem) => inHand === null || problem.at + problem.length <= inHand.at || problem.at >= inHand.at + inHand.length,
  );
  const unreadable = (latest?.problems.length ?? 0) > 0;
  // The shown result belongs to an earlier line, and no answer for this one is coming.
  const isOld = checked.old || unreadable;
  const similar = checked.old ? undefined : parts.similar;
  return (
    <main className="page bench">
      <h1 className="unseen">{stored ? t`Bench: ${stored.name}` : t`Bench: a new combination`}</h1>
      <div className="bench-options">
        <WhatIsChanged
          name={stored?.name}
          combinationId={combinationId}
          proposal={proposal}
          untouched={untouched}
          onDiscard={onDiscard}
        />
        <OptionsBar
          {...{ stance, rules, numbering, options, onStance, onRules, onNumbering }}
          found={readable?.rules ?? null}
          onOptions={give}
        />
      </div>
      {proposal?.answer?.remark && (
        <p className="panel remark" role="note">
          <b>{proposal.answer.who}:</b> <q>{proposal.answer.remark}</q>
        </p>
      )}
      <section className="panel bench-entry">
        <EntryLine {...{ text, problems, current, entry, history }} check={latest} />
        <EntryButtons
          history={history}
          doing={saving.doing}
          onClear={id === "new" ? onClear : undefined}
          isEmpty={text.trim() === ""}
          onCopy={onCopy}
          onSave={saving.open}
        />
        {readable?.verdict && (
          <span className={isOld ? "entry-verdict entry-verdict-old" : "entry-verdict"}>
            <VerdictMark verdict={readable.verdict} />
          </span>
        )}
        <span className="unseen" role="status">
          {resting && settled && readable.verdict ? spokenVerdict(readable.verdict, readable.lengthMs ?? 0) : ""}
        </span>
        <EntryHelp {...{ checked, problems }} isUnfinished={inHand !== null} onCorrect={entry.correct} />
      </section>
      <div className="work-grid">
        <div className="work-main">
          <section
            className={isOld ? "panel check-line check-line-old" : "panel check-line"}
            aria-label={t`Combination line`}
          >
            {readable?.stances ? (
              <CheckedLine
                check={readable}
                stances={readable.stances}
                shownStance={shownStance}
                onShownStance={setShownStance}
                selected={selected}
                onSelect={select}
                onEdit={onEdit}
                tempo={options.tempo}
              />
            ) : (
              <EmptyLine {...{ unreadable, aside }} onExample={onExample} onGoOn={goOn} />
            )}
          </section>
        </div>
        <CheckPanel
          {...{ request, checked, isOld, similar, selected, onMend, onCarry }}
          onSelect={select}
          onCompare={setCompared}
        />
        <div className="work-main bench-tools">
          <NextStrip next={next.next} within={next.within} old={checked.old || next.failed} onPress={onNext} />
          <TouchPad
            {...{ numbering, stance }}
            onPress={entry.press}
            onFeint={entry.feint}
            onBackspace={entry.backspace}
            onUndo={history.undo}
          />
        </div>
      </div>
      {picked !== null && readable?.items[picked] && (
        <ItemPanel
          name={readable.items[picked].words}
          edits={itemEdits.edits}
          onEdit={itemEdits.make}
          onClose={entry.release}
        />
      )}
      <SaveDrawer
        check={checked.old ? undefined : readable}
        draft={draft}
        isNew={except === null}
        except={except}
        saving={saving}
        similar={similar}
        onChange={change}
      />
      <MendCompare check={readable} mend={compared} request={request} onMend={onMend} onClose={onCompareEnd} />
      <ConflictDialog
        conflict={saving.conflict}
        draft={draft}
        onKeepEditing={saving.endConflict}
        onTakeTheirs={onTakeTheirs}
        onSaveMine={onSaveMine}
      />
    </main>
  );
}
