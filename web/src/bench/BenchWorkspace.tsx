import { t } from "@lingui/core/macro";
import { CheckedLine } from "../check/CheckedLine";
import { CheckPanel } from "./CheckPanel";
import { EmptyLine } from "./EmptyLine";
import { NextStrip } from "./NextStrip";
import { TouchPad } from "./TouchPad";
import type { BenchWork } from "./useBench";
import type { BenchActions } from "./useBenchActions";

/** The checked line, what the check says of it, and what can follow. */
export function BenchWorkspace({ bench, actions }: { bench: BenchWork; actions: BenchActions }) {
  const { draft, options, request, checked, entry, next, isOld, unreadable, similar, aside } = bench;
  const { numbering, stance } = draft;
  const { readable } = checked;
  const { onEdit, onOpen, onExample, onMend, onCarry, onNext } = actions;
  return (
    <div className="work-grid">
      <div className="work-main">
        <section
          className={isOld ? "panel check-line check-line-old" : "panel check-line"}
          aria-label={t`Combination line`}
        >
          {readable?.stances ? (
            <CheckedLine
              check={readable}
              fromAbove={checked.fromAbove}
              opponent={options.opponent}
              stances={readable.stances}
              shownStance={bench.shownStance}
              onShownStance={bench.setShownStance}
              selected={entry.selected}
              onSelect={entry.select}
              onOpen={onOpen}
              onEdit={onEdit}
              tempo={options.tempo}
            />
          ) : (
            <EmptyLine {...{ unreadable, aside }} onExample={onExample} onGoOn={bench.goOn} />
          )}
        </section>
      </div>
      <CheckPanel
        {...{ request, checked, isOld, similar, onMend, onCarry }}
        selected={entry.selected}
        onSelect={entry.select}
        onCompare={bench.setCompared}
      />
      <div className="work-main bench-tools">
        <NextStrip next={next.next} within={next.within} old={checked.old || next.failed} onPress={onNext} />
        <TouchPad
          {...{ numbering, stance }}
          onPress={entry.press}
          onFeint={entry.feint}
          onBackspace={entry.backspace}
          onUndo={bench.history.undo}
        />
      </div>
    </div>
  );
}
