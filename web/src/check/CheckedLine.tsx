import { useState } from "react";
import type { Check, Stance } from "../api/client";
import { CombinationLine } from "../combination-line/CombinationLine";
import { linkTo } from "../combination-line/geometry";
import { itemSentence } from "../combination-line/sentences";
import { Voices } from "../combination-line/Voices";

interface Props {
  check: Check;
  voices: NonNullable<Check["voices"]>;
  /** Whose feet are drawn. */
  voice: Stance;
  onVoice: (stance: Stance) => void;
  selected: number | null;
  onSelect: (at: number | null) => void;
}

/** The full drawing, the sentence of what is pointed at or selected, or else how the two face each other, and both voices under it. */
export function CheckedLine({ check, voices, voice, onVoice, selected, onSelect }: Props) {
  const [pointed, setPointed] = useState<string | null>(null);
  const picked = selected === null ? undefined : check.items[selected];
  const sentence = pointed ?? (picked ? itemSentence(picked, linkTo(check.links, selected ?? -1)) : null);
  return (
    <>
      <CombinationLine
        data={check}
        size="full"
        stances={voices[voice].stances}
        selected={selected}
        onSelect={onSelect}
        onPoint={setPointed}
        name={`Combination line: ${check.text}`}
      />
      <p className={sentence ? "sentence" : "sentence sentence-guard"} aria-live="polite">
        {sentence ?? voices[voice].guard.message}
      </p>
      <Voices voices={voices} voice={voice} onVoice={onVoice} selected={selected} onSelect={onSelect} />
    </>
  );
}
