import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import { memo } from "react";
import { Toolbar } from "../ui/Toolbar";
import { SHORTCUTS } from "../ui/useShortcut";
import type { Doing } from "./useSaving";

const SAVE: Record<Doing, string> = { save: t`Save`, propose: t`Propose`, approve: t`Approve`, revise: t`Send` };

interface Props {
  history: { undo: () => void; redo: () => void; canUndo: boolean; canRedo: boolean };
  doing: Doing;
  /** Undefined while a stored combination is edited, where clearing would mean something else. */
  onClear: (() => void) | undefined;
  isEmpty: boolean;
  onCopy: () => void;
  onSave: () => void;
}

/** The buttons beside the entry line: undo, redo, clear, link, and save. */
export const EntryButtons = memo(function EntryButtons({ history, doing, onClear, isEmpty, onCopy, onSave }: Props) {
  return (
    <Toolbar label={t`With this line`} className="bench-buttons">
      <button
        type="button"
        className="quiet"
        // A disabled button would lose the focus with the last step.
        aria-disabled={!history.canUndo}
        onClick={history.undo}
        aria-label={t`Undo`}
        title={t`Undo (${SHORTCUTS.undo.shown})`}
      >
        ↶
      </button>
      <button
        type="button"
        className="quiet"
        aria-disabled={!history.canRedo}
        onClick={history.redo}
        aria-label={t`Redo`}
        title={t`Redo (${SHORTCUTS.redo.shown})`}
      >
        ↷
      </button>
      {onClear && (
        <button type="button" className="quiet quiet-word" disabled={isEmpty} onClick={onClear}>
          <Trans>Clear</Trans>
        </button>
      )}
      <button type="button" className="quiet quiet-word" disabled={isEmpty} onClick={onCopy}>
        <Trans>Copy link</Trans>
      </button>
      <Button type="primary" onClick={onSave} title={`${SAVE[doing]} (${SHORTCUTS.save.shown})`}>
        {SAVE[doing]}
      </Button>
    </Toolbar>
  );
});
