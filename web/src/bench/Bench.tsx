import { t } from "@lingui/core/macro";
import { BenchEntry } from "./BenchEntry";
import { BenchWorkspace } from "./BenchWorkspace";
import { ConflictDialog } from "./ConflictDialog";
import { ItemPanel } from "./ItemPanel";
import { MendCompare } from "./MendCompare";
import { OptionsBar } from "./OptionsBar";
import { SaveDrawer } from "./SaveDrawer";
import { type BenchProps, useBench } from "./useBench";
import { useBenchActions } from "./useBenchActions";
import { WhatIsChanged } from "./WhatIsChanged";
import "./bench.css";

/** The screen for writing a combination: the line, its check, what can follow, and saving. */
export function Bench({ id, stored, proposal }: BenchProps) {
  const bench = useBench({ id, stored, proposal });
  const actions = useBenchActions(bench, stored);
  const { draft, change, options, except, checked, entry, opened, itemEdits, saving, similar } = bench;
  const { stance, rules, numbering } = draft;
  const { readable } = checked;
  const { onStance, onRules, onNumbering } = actions;
  return (
    <main className="page bench">
      <h1 className="unseen">{stored ? t`Bench: ${stored.name}` : t`Bench: a new combination`}</h1>
      <div className="bench-options">
        <WhatIsChanged
          name={stored?.name}
          combinationId={bench.combinationId}
          proposal={proposal}
          untouched={bench.untouched}
          onDiscard={actions.onDiscard}
        />
        <OptionsBar
          {...{ stance, rules, numbering, options, onStance, onRules, onNumbering }}
          found={readable?.rules ?? null}
          onOptions={bench.give}
        />
      </div>
      {proposal?.answer?.remark && (
        <p className="panel remark" role="note">
          <b>{proposal.answer.who}:</b> <q>{proposal.answer.remark}</q>
        </p>
      )}
      <BenchEntry bench={bench} actions={actions} isNew={id === "new"} />
      <BenchWorkspace bench={bench} actions={actions} />
      {opened !== null && readable?.items[opened] && (
        <ItemPanel
          name={readable.items[opened].words}
          edits={itemEdits.edits}
          toFocus={bench.toPanel}
          onFocus={bench.setToPanel}
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
        request={bench.request}
        similar={similar}
        onChange={change}
      />
      <MendCompare
        check={readable}
        mend={bench.compared}
        request={bench.request}
        onMend={actions.onMend}
        onClose={actions.onCompareEnd}
      />
      <ConflictDialog
        conflict={saving.conflict}
        draft={draft}
        onKeepEditing={saving.endConflict}
        onTakeTheirs={actions.onTakeTheirs}
        onSaveMine={actions.onSaveMine}
      />
    </main>
  );
}
