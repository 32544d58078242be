import { t } from "@lingui/core/macro";
import { ActionButton } from "./ActionButton";

interface Props {
  copy: string;
  remove: string;
  lock: string;
  isLocked: boolean;
  onUp: () => void;
  onDown: () => void;
  onCopy: () => void;
  onLock: () => void;
  onRemove: () => void;
}

/** Moves, copies, locks and removes a block or a round. */
export function CardActions({ copy, remove, lock, isLocked, onUp, onDown, onCopy, onLock, onRemove }: Props) {
  return (
    <span className="ways">
      <ActionButton label={t`Up`} sign="up" onPress={onUp} />
      <ActionButton label={t`Down`} sign="down" onPress={onDown} />
      <ActionButton label={copy} sign="copy" onPress={onCopy} />
      <ActionButton
        label={isLocked ? t`Locked: stays when the rest is generated again` : lock}
        sign={isLocked ? "locked" : "open"}
        pressed={isLocked}
        onPress={onLock}
      />
      <ActionButton label={remove} sign="out" onPress={onRemove} />
    </span>
  );
}
