import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useEffect, useRef } from "react";
import type { Standing } from "./moment";
import { useRecordingOf, useRecordingsHere } from "./recordings";

/** Interval between two looks at where it is, in ms. */
const LOOK_MS = 200;
/** A recording that is off by more than this is moved to where it should be, in s. */
const OFF_S = 0.3;

/** Returns where a recording of that length is, in s, and whether it plays for the first time. */
export function placeOf(sinceMs: number, lengthMs: number): { at: number; isFirst: boolean } {
  return { at: (Math.max(0, sinceMs) % lengthMs) / 1000, isFirst: sinceMs < lengthMs };
}

/** Tells whether a player is somewhere else than it should be; the end and the start are next to each other. */
export function isOff(current: number, at: number, lengthMs: number): boolean {
  const apart = Math.abs(current - at);
  return Math.min(apart, Math.abs(lengthMs / 1000 - apart)) > OFF_S;
}

/**
 * The recording of what is demonstrated, in step with the session, so that all walls show the same. A video is repeated;
 * its sound, or a sound alone, is heard the first time.
 */
export function FollowedRecording({
  standing,
  since,
  stopped,
}: {
  standing: Standing;
  /** Returns the ms since the demonstration began. */
  since: () => number;
  stopped: boolean;
}) {
  const recording = useRecordingOf(standing);
  const { loaded, volume } = useRecordingsHere();
  const element = useRef<HTMLVideoElement>(null);
  const now = useRef({ since, stopped, volume });
  now.current = { since, stopped, volume };
  const lengthMs = recording?.lengthMs ?? 0;
  useEffect(() => {
    if (lengthMs === 0) {
      return;
    }
    const look = () => {
      if (element.current) {
        follow(element.current, now.current, lengthMs);
      }
    };
    look();
    const timer = setInterval(look, LOOK_MS);
    return () => clearInterval(timer);
  }, [lengthMs]);
  if (recording === null) {
    return null;
  }
  const isVideo = recording.kind === "video";
  return (
    <figure className={isVideo ? "shown-recording" : "heard-recording"}>
      <video
        key={recording.file}
        ref={element}
        src={loaded.get(recording.file)}
        loop
        muted
        playsInline
        aria-label={recording.technique ? t`Recording of ${recording.technique}` : t`Recording of the combination`}
      />
      {!isVideo && (
        <figcaption>
          <Trans>A coach’s own words</Trans>
        </figcaption>
      )}
      {isVideo && recording.technique && <figcaption>{recording.technique}</figcaption>}
    </figure>
  );
}

function follow(
  element: HTMLVideoElement,
  { since, stopped, volume }: { since: () => number; stopped: boolean; volume: number },
  lengthMs: number,
): void {
  const { at, isFirst } = placeOf(since(), lengthMs);
  element.volume = volume;
  element.muted = volume === 0 || !isFirst;
  if (isOff(element.currentTime, at, lengthMs)) {
    element.currentTime = at;
  }
  if (stopped) {
    element.pause();
  } else if (element.paused) {
    // A browser that refuses is asked again; muted it plays in every one.
    void element.play().catch(() => undefined);
  }
}
