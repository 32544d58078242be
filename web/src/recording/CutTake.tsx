import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Progress, Slider } from "antd";
import { useEffect, useRef, useState } from "react";
import { Alert } from "../ui/Alert";
import { Failure } from "../ui/Failure";
import { useNotice } from "../ui/useNotice";
import type { Part } from "./media";
import { cutTake, type Limits, moved, seconds, type Take, wholeOf } from "./take";

interface Props extends Limits {
  take: Take;
  isSaving: boolean;
  refused: Error | null;
  asksToDiscard: boolean;
  onKeep: (file: Blob) => void;
  onAgain: () => void;
  onDiscard: () => void;
  onStay: () => void;
}

/** Chooses the part of a take that is kept, plays it, and cuts it. */
export function CutTake({ take, isSaving, refused, asksToDiscard, longestMs, largestBytes, ...on }: Props) {
  const [part, setPart] = useState(() => wholeOf(take, longestMs));
  const [done, setDone] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const notice = useNotice();
  const player = usePlayedPart(part);
  const move = (ends: number[]) => {
    const next = moved(part, [ends[0] ?? 0, ends[1] ?? 0], longestMs);
    player.show(next.fromMs !== part.fromMs ? next.fromMs : next.toMs);
    setPart(next);
  };
  const keep = async () => {
    setProblem(null);
    setDone(0);
    try {
      const { file, isSilent } = await cutTake(take, part, largestBytes, setDone);
      if (isSilent) {
        notice.warn(t`This browser could not keep its sound; the pictures are kept.`);
      }
      on.onKeep(file);
    } catch (failed) {
      setProblem(failed instanceof Error ? failed.message : String(failed));
    } finally {
      setDone(null);
    }
  };
  const isBusy = done !== null || isSaving;
  return (
    <Flex vertical gap="middle">
      <div className={take.kind === "video" ? "recording-view" : "recording-view recording-view-sound"}>
        {/* biome-ignore lint/a11y/useMediaCaption: what the coach has just recorded */}
        <video ref={player.ref} src={take.url} playsInline aria-label={t`What was recorded`} />
        {take.kind === "sound" && (
          <p>
            <Trans>Sound, {seconds(take.lengthMs)}</Trans>
          </p>
        )}
      </div>
      <PartField {...{ take, part }} isDisabled={isBusy} onMove={move} />
      {take.lengthMs > longestMs && (
        <p className="small">
          <Trans>
            This is {seconds(take.lengthMs)} long; at most {longestMs / 1000} seconds of it are kept. Move the two ends
            to what should stay.
          </Trans>
        </p>
      )}
      {done !== null && <Progress percent={Math.round(100 * done)} aria-label={t`Cut so far`} />}
      {problem && <Alert type="warning" role="alert" title={problem} />}
      <Failure error={refused} />
      {(problem || refused) && (
        <p className="small">
          <a href={take.url} download={t`recording`}>
            <Trans>Save it on this device</Trans>
          </a>
        </p>
      )}
      <Flex wrap gap="small">
        <Button size="large" disabled={isBusy} onClick={player.play}>
          {player.plays ? t`Stop` : t`Play this part`}
        </Button>
        <Button type="primary" size="large" loading={isBusy} onClick={() => void keep()}>
          {isSaving ? t`Saving` : t`Keep this part`}
        </Button>
        <Button size="large" disabled={isBusy} onClick={on.onAgain}>
          <Trans>Start over</Trans>
        </Button>
      </Flex>
      {asksToDiscard && (
        <Alert
          type="warning"
          role="alert"
          title={t`It is not kept yet.`}
          action={
            <Flex gap="small">
              <Button size="small" onClick={on.onDiscard}>
                <Trans>Close without it</Trans>
              </Button>
              <Button size="small" type="primary" onClick={on.onStay}>
                <Trans>Stay</Trans>
              </Button>
            </Flex>
          }
        />
      )}
    </Flex>
  );
}

interface PartProps {
  take: Take;
  part: Part;
  isDisabled: boolean;
  onMove: (ends: number[]) => void;
}

/** The two ends of what is kept. */
function PartField({ take, part, isDisabled, onMove }: PartProps) {
  return (
    <div>
      <Slider
        range
        min={0}
        max={take.lengthMs}
        step={100}
        value={[part.fromMs, part.toMs]}
        disabled={isDisabled}
        tooltip={{ open: false }}
        onChange={onMove}
        ariaLabelForHandle={[t`Start of what is kept, in ms`, t`End of what is kept, in ms`]}
      />
      <Flex justify="space-between" className="recording-ends">
        <span>
          <Trans>from {seconds(part.fromMs)}</Trans>
        </span>
        <b>
          <Trans>{seconds(part.toMs - part.fromMs)} are kept</Trans>
        </b>
        <span>
          <Trans>to {seconds(part.toMs)}</Trans>
        </span>
      </Flex>
    </div>
  );
}

/** Plays one part of a video or sound, from its start to its end. */
function usePlayedPart(part: Part) {
  const ref = useRef<HTMLVideoElement>(null);
  const [plays, setPlays] = useState(false);
  const end = useRef(part.toMs);
  end.current = part.toMs;
  useEffect(() => {
    const element = ref.current;
    const look = () => {
      if (element && 1000 * element.currentTime >= end.current) {
        element.pause();
      }
    };
    const stop = () => setPlays(false);
    element?.addEventListener("timeupdate", look);
    element?.addEventListener("pause", stop);
    return () => {
      element?.removeEventListener("timeupdate", look);
      element?.removeEventListener("pause", stop);
    };
  }, []);
  return {
    ref,
    plays,
    show: (ms: number) => {
      if (ref.current) {
        ref.current.pause();
        ref.current.currentTime = ms / 1000;
      }
    },
    play: () => {
      const element = ref.current;
      if (element === null || plays) {
        element?.pause();
        return;
      }
      element.currentTime = part.fromMs / 1000;
      setPlays(true);
      void element.play().catch(() => setPlays(false));
    },
  };
}
