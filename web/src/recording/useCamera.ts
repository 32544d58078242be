import { t } from "@lingui/core/macro";
import { useCallback, useEffect, useRef, useState } from "react";

/** Time between the press and the start, in s, to get in place. */
const LEAD_IN_S = 3;

/** What the camera or microphone of this device is doing. */
export type CameraState =
  | { is: "off" }
  | { is: "asking" }
  | { is: "ready" }
  | { is: "counting"; left: number }
  | { is: "recording"; sinceMs: number };

export interface Camera {
  state: CameraState;
  stream: MediaStream | null;
  /** Why there is no picture or sound. */
  problem: string | null;
  open: (kind: "video" | "sound") => Promise<void>;
  /** Takes the other camera of a phone. */
  turn: () => Promise<void>;
  begin: () => void;
  end: () => void;
  close: () => void;
}

function stopAll(stream: MediaStream | null): void {
  for (const track of stream?.getTracks() ?? []) {
    track.stop();
  }
}

/**
 * Records with the camera or the microphone.
 *
 * @param longestMs after which it ends by itself
 */
export function useCamera(longestMs: number, onRecorded: (file: Blob) => void): Camera {
  const [state, setState] = useState<CameraState>({ is: "off" });
  const [stream, setStream] = useState<MediaStream | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const recorder = useRef<MediaRecorder | null>(null);
  const timer = useRef<ReturnType<typeof setInterval>>(undefined);
  // What was asked for and is not wanted any more is closed when it comes.
  const asked = useRef(0);
  const [facing, setFacing] = useState<"environment" | "user">("environment");

  const close = useCallback(() => {
    asked.current += 1;
    clearInterval(timer.current);
    if (recorder.current?.state === "recording") {
      // What is left by Back is no take.
      recorder.current.onstop = null;
      recorder.current.stop();
    }
    setStream((now) => {
      stopAll(now);
      return null;
    });
    setState({ is: "off" });
  }, []);
  useEffect(() => close, [close]);

  const ask = async (kind: "video" | "sound", side: "environment" | "user") => {
    close();
    const mine = asked.current;
    setProblem(null);
    setState({ is: "asking" });
    try {
      const video = kind === "video" && { facingMode: side, width: { ideal: 1280 }, height: { ideal: 720 } };
      const opened = await navigator.mediaDevices.getUserMedia({ audio: true, video });
      if (mine !== asked.current || typeof MediaRecorder === "undefined") {
        stopAll(opened);
        throw new Error("not wanted, or nothing to record with");
      }
      setStream(opened);
      setState({ is: "ready" });
    } catch {
      if (mine !== asked.current) {
        return;
      }
      setState({ is: "off" });
      setProblem(
        kind === "video"
          ? t`This browser does not let this page use a camera. Allow it in the browser’s settings for this page, or choose a file.`
          : t`This browser does not let this page use a microphone. Allow it in the browser’s settings for this page, or choose a file.`,
      );
    }
  };

  const record = () => {
    if (stream === null) {
      return;
    }
    const parts: Blob[] = [];
    const next = new MediaRecorder(stream);
    recorder.current = next;
    next.ondataavailable = ({ data }) => parts.push(data);
    next.onstop = () => {
      clearInterval(timer.current);
      close();
      onRecorded(new Blob(parts, { type: next.mimeType }));
    };
    next.start(1000);
    const began = performance.now();
    const tick = () => {
      const sinceMs = performance.now() - began;
      setState({ is: "recording", sinceMs });
      if (sinceMs >= longestMs) {
        next.stop();
      }
    };
    tick();
    timer.current = setInterval(tick, 100);
  };

  const begin = () => {
    let left = LEAD_IN_S;
    setState({ is: "counting", left });
    timer.current = setInterval(() => {
      left -= 1;
      if (left > 0) {
        setState({ is: "counting", left });
        return;
      }
      clearInterval(timer.current);
      record();
    }, 1000);
  };

  return {
    state,
    stream,
    problem,
    open: (kind) => ask(kind, facing),
    turn: () => {
      const other = facing === "user" ? "environment" : "user";
      setFacing(other);
      return ask("video", other);
    },
    begin,
    end: () => recorder.current?.stop(),
    close,
  };
}
