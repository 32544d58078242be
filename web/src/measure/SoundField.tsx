import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import { useRef, useState } from "react";
import { useVocabulary } from "../api/useVocabulary";
import { useNotice } from "../ui/useNotice";
import { recordingOf } from "./recordingOf";
import { useOnsets } from "./useMeasure";

interface SoundProps {
  /** When its strikes land, in ms. */
  contacts: number[];
  /** @param sample whether it is the sample recording that ships */
  onSound: (found: { onsets: number[]; peaks: number[]; lengthMs: number }, sample: boolean) => void;
  onProblem: (problem: string | null) => void;
}

/** Chooses a sound file, or the synthesised sample. */
export function SoundField({ contacts, onSound, onProblem }: SoundProps) {
  const onsets = useOnsets();
  const longest = useVocabulary()?.limits.recordingSeconds ?? 0;
  const notice = useNotice();
  const input = useRef<HTMLInputElement>(null);
  const [reads, setReads] = useState(false);
  const take = async (file: Blob, isSample = false) => {
    onProblem(null);
    setReads(true);
    try {
      const { wav, cut } = await recordingOf(file, longest);
      onSound(await onsets.mutateAsync(wav), isSample);
      if (cut) {
        notice.warn(t`Only the first minute was used.`);
      }
    } catch (failed) {
      onProblem(failed instanceof Error ? failed.message : t`This could not be read.`);
    } finally {
      setReads(false);
    }
  };
  const sample = async () => {
    const hits: number[] = [];
    const first = contacts[0] ?? 0;
    const long = (contacts[contacts.length - 1] ?? 0) - first;
    for (let time = 0; time < 5; time += 1) {
      for (const ms of contacts) {
        hits.push(Math.round(400 + time * (long + 1800) + (ms - first) + ((time * 37) % 50) - 25));
      }
    }
    const answer = await fetch(`/api/onsets/sample.wav?noise=0.15&hits=${hits.join(",")}`);
    await take(await answer.blob(), true);
  };
  return (
    <div className="sound-field">
      <input
        ref={input}
        type="file"
        accept="audio/*,video/*"
        className="sound-file"
        aria-label={t`A recording`}
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) {
            void take(file);
          }
          event.target.value = "";
        }}
      />
      <Button
        type="primary"
        size="large"
        loading={reads}
        disabled={longest === 0}
        onClick={() => input.current?.click()}
      >
        <Trans>Choose a recording</Trans>
      </Button>
      <Button size="large" disabled={reads || longest === 0 || contacts.length < 2} onClick={() => void sample()}>
        <Trans>Try a sample recording</Trans>
      </Button>
    </div>
  );
}
