import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import type { Combination, Problem } from "../api/client";
import { Dialog } from "../ui/Dialog";
import type { Draft } from "./draft";

interface Props {
  /** The refusal with the version that another coach has saved meanwhile; null when there is none. */
  conflict: Problem | null;
  draft: Draft;
  onKeepEditing: () => void;
  onTakeTheirs: (theirs: Combination) => void;
  onSaveMine: (version: number) => void;
}

/** Two coaches changed the same combination: shows both versions and lets the coach choose. */
export function ConflictDialog({ conflict, draft, onKeepEditing, onTakeTheirs, onSaveMine }: Props) {
  const theirs = conflict?.current;
  return (
    <Dialog
      open={conflict !== null}
      title={t`Someone else changed this`}
      onClose={onKeepEditing}
      footer={[
        <Button key="keep" onClick={onKeepEditing}>
          <Trans>Keep editing mine</Trans>
        </Button>,
        <Button key="theirs" onClick={() => theirs && onTakeTheirs(theirs)}>
          <Trans>Take theirs</Trans>
        </Button>,
        <Button key="mine" type="primary" onClick={() => theirs && onSaveMine(theirs.version)}>
          <Trans>Save mine as the newest</Trans>
        </Button>,
      ]}
    >
      <p>{conflict?.title}</p>
      <dl className="versus">
        <dt>
          <Trans>Theirs</Trans>
        </dt>
        <dd>
          {theirs?.name}: <b>{theirs?.text}</b>
        </dd>
        <dt>
          <Trans>Yours</Trans>
        </dt>
        <dd>
          {draft.name}: <b>{draft.text}</b>
        </dd>
      </dl>
      <p className="small">
        <Trans>
          Whichever you choose, the other stays in the history of the combination or on your bench (undo brings it
          back).
        </Trans>
      </p>
    </Dialog>
  );
}
