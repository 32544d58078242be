import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Progress } from "antd";
import { useEffect, useRef } from "react";
import { seconds } from "./take";
import type { Camera } from "./useCamera";

/** What the camera sees, with the press that starts and ends the recording. */
export function CameraView({ camera, longestMs }: { camera: Camera; longestMs: number }) {
  const { state, stream } = camera;
  const view = useRef<HTMLVideoElement>(null);
  const hasPicture = (stream?.getVideoTracks().length ?? 0) > 0;
  useEffect(() => {
    if (view.current) {
      view.current.srcObject = stream;
    }
  }, [stream]);
  const isRecording = state.is === "recording";
  return (
    <Flex vertical gap="middle">
      <div className={hasPicture ? "recording-view" : "recording-view recording-view-sound"}>
        {hasPicture ? (
          <video ref={view} autoPlay muted playsInline aria-label={t`What the camera sees`} />
        ) : (
          <p>
            <Trans>The microphone is on.</Trans>
          </p>
        )}
        {state.is === "counting" && (
          <strong className="recording-count" role="status">
            {state.left}
          </strong>
        )}
        {isRecording && (
          <strong className="recording-since">
            <span aria-hidden="true">●</span> {seconds(state.sinceMs)}
          </strong>
        )}
      </div>
      {isRecording && (
        <Progress
          percent={(100 * state.sinceMs) / longestMs}
          showInfo={false}
          strokeColor="var(--breaks)"
          aria-label={t`Recorded of ${longestMs / 1000} seconds`}
        />
      )}
      <Flex wrap gap="small">
        {isRecording ? (
          <Button type="primary" danger size="large" onClick={camera.end}>
            <Trans>Stop</Trans>
          </Button>
        ) : (
          <Button type="primary" size="large" disabled={state.is !== "ready"} onClick={camera.begin}>
            <Trans>Record in three seconds</Trans>
          </Button>
        )}
        {hasPicture && state.is === "ready" && (
          <Button size="large" onClick={() => void camera.turn()}>
            <Trans>Other camera</Trans>
          </Button>
        )}
        <Button size="large" onClick={camera.close}>
          <Trans>Back</Trans>
        </Button>
      </Flex>
    </Flex>
  );
}
