import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import { useState } from "react";
import type { Recording } from "../api/client";
import { ConfirmDialog } from "../ui/ConfirmDialog";
import { useNotice } from "../ui/useNotice";
import { useDeleteRecording } from "./useRecordings";

/** Deletes a recording for good, after a question. */
export function DeleteRecording({ recording }: { recording: Recording }) {
  const remove = useDeleteRecording();
  const notice = useNotice();
  const [asks, setAsks] = useState(false);
  return (
    <>
      <Button size="small" onClick={() => setAsks(true)}>
        <Trans>Delete</Trans>
      </Button>
      <ConfirmDialog
        isOpen={asks}
        title={t`Delete the recording of ${recording.subject}?`}
        action={t`Delete it`}
        isDangerous
        isRunning={remove.isPending}
        onConfirm={() =>
          remove.mutate(recording.id, {
            onSuccess: () => notice.done(t`The recording is deleted.`),
            onError: notice.failed,
            onSettled: () => setAsks(false),
          })
        }
        onClose={() => setAsks(false)}
      >
        <Trans>
          It is deleted for good, also for athletes who have it on a card. It stays in backups that contain it.
        </Trans>
      </ConfirmDialog>
    </>
  );
}
