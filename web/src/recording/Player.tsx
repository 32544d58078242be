import { t } from "@lingui/core/macro";
import type { PlayedRecording } from "../api/client";
import "./player.css";

/** Plays a recording, with the browser's own controls. */
export function Player({ kind, name, address }: { kind: PlayedRecording["kind"]; name: string; address: string }) {
  return kind === "video" ? (
    // biome-ignore lint/a11y/useMediaCaption: what a coach shows has no captions
    <video
      className="recording-player"
      controls
      playsInline
      preload="metadata"
      src={address}
      aria-label={t`Video: ${name}`}
    />
  ) : (
    // biome-ignore lint/a11y/useMediaCaption: see above
    <audio className="recording-player" controls preload="metadata" src={address} aria-label={t`Sound: ${name}`} />
  );
}
