import { Button } from "antd";
import { memo } from "react";
import { SHORTCUTS } from "../ui/useShortcut";
import type { Doing } from "./useSaving";

const SAVE: Record<Doing, string> = { save: "Save", propose: "Propose", approve: "Approve", revise: "Send" };

interface Props {
  history: { undo: () => void; redo: () => void; canUndo: boolean; canRedo: boolean };
  doing: Doing;
  onSave: () => void;
}

/** Beside the entry line: undo, redo, and the way into the library. */
export const EntryButtons = memo(function EntryButtons({ history, doing, onSave }: Props) {
  return (
    <span className="bench-buttons">
      <button
        type="button"
        className="quiet"
        disabled={!history.canUndo}
        onClick={history.undo}
        aria-label="Undo"
        title={`Undo (${SHORTCUTS.undo.shown})`}
      >
        ↶
      </button>
      <button
        type="button"
        className="quiet"
        disabled={!history.canRedo}
        onClick={history.redo}
        aria-label="Redo"
        title={`Redo (${SHORTCUTS.redo.shown})`}
      >
        ↷
      </button>
      <Button type="primary" onClick={onSave} title={`${SAVE[doing]} (${SHORTCUTS.save.shown})`}>
        {SAVE[doing]}
      </Button>
    </span>
  );
});
