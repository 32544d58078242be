import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex } from "antd";
import { lazy, Suspense, useState } from "react";
import type { Combination, Recording } from "../api/client";
import { day } from "../ui/words";
import { DeleteRecording } from "./DeleteRecording";
import { Player } from "./Player";
import { seconds } from "./take";
import { useRecordingsOf } from "./useRecordings";
import "./recording.css";

const RecordingDialog = lazy(() => import("./RecordingDialog"));

/** A coach's own video or sound of a combination, and of what it is made of. */
export function RecordingPanel({ combination }: { combination: Combination }) {
  const recordings = useRecordingsOf(combination.id);
  const [isRecording, setRecording] = useState(false);
  if (!recordings.data) {
    return null;
  }
  const own = recordings.data.find((one) => one.combination !== null);
  const others = recordings.data.filter((one) => one.technique !== null && one.isThere);
  return (
    <Flex component="section" vertical gap="small" className="panel recording-panel" aria-label={t`Recording`}>
      <Flex wrap align="center" justify="space-between" gap="small">
        <h2>
          <Trans>Recording</Trans>
        </h2>
        {!combination.archivedAt && (!own || own.mayChange) && (
          <Button onClick={() => setRecording(true)}>{own ? t`Record again` : t`Record or choose a file`}</Button>
        )}
      </Flex>
      {own ? (
        <Own recording={own} />
      ) : (
        <p className="small">
          <Trans>
            None yet. A video or sound of up to half a minute is shown here, on cards, and on the wall while the
            combination is demonstrated.
          </Trans>
        </p>
      )}
      {others.length > 0 && <Techniques recordings={others} />}
      <Suspense>
        {isRecording && (
          <RecordingDialog
            of={{ combination: combination.id }}
            name={combination.name}
            replaces={own?.id}
            onClose={() => setRecording(false)}
          />
        )}
      </Suspense>
    </Flex>
  );
}

function Own({ recording }: { recording: Recording }) {
  return (
    <>
      {recording.isThere ? (
        <Player
          kind={recording.kind}
          name={recording.subject}
          address={`/api/recordings/${recording.id}/file`}
          key={recording.id}
        />
      ) : (
        <Missing />
      )}
      {recording.isOutdated && (
        <p className="outdated" role="note">
          <Trans>The combination has changed since: this shows an earlier version, and is shown nowhere else.</Trans>
        </p>
      )}
      <Flex wrap align="center" gap="small" className="small">
        <span>
          <Trans>
            {seconds(recording.lengthMs)} · {recording.coach}, {day(recording.recordedAt)}
          </Trans>
        </span>
        {recording.mayChange && <DeleteRecording recording={recording} />}
      </Flex>
    </>
  );
}

/** Says that the file of a recording is not there. */
export function Missing() {
  return (
    <p className="small">
      <Trans>
        Its file is missing, as after a restore from a backup without recordings. Record it again, or delete it.
      </Trans>
    </p>
  );
}

/** Recordings of the strikes and moves of a combination, each opened by a press. */
function Techniques({ recordings }: { recordings: Recording[] }) {
  return (
    <ul className="recording-others">
      {recordings.map((one) => (
        <li key={one.id}>
          <details>
            <summary>
              {one.subject} <span className="small">{seconds(one.lengthMs)}</span>
            </summary>
            <Player kind={one.kind} name={one.subject} address={`/api/recordings/${one.id}/file`} />
          </details>
        </li>
      ))}
    </ul>
  );
}
