import { useState } from "react";
import type { Check, Stance } from "../api/client";
import { CombinationLine } from "../combination-line/CombinationLine";
import { linkTo } from "../combination-line/geometry";
import { StanceWords } from "../combination-line/StanceWords";
import { itemSentence } from "../combination-line/sentences";

interface Props {
  check: Check;
  stances: NonNullable<Check["stances"]>;
  /** Whose feet are drawn. */
  shownStance: Stance;
  onShownStance: (stance: Stance) => void;
  selected: number | null;
  onSelect: (at: number | null) => void;
}

/** The full drawing, the sentence of what is pointed at or selected, or else how the two face each other, and both stances under it. */
export function CheckedLine({ check, stances, shownStance, onShownStance, selected, onSelect }: Props) {
  const [pointed, setPointed] = useState<string | null>(null);
  const picked = selected === null ? undefined : check.items[selected];
  const sentence = pointed ?? (picked ? itemSentence(picked, linkTo(check.links, selected ?? -1)) : null);
  return (
    <>
      <CombinationLine
        data={check}
        size="full"
        runningStances={stances[shownStance].runningStances}
        selected={selected}
        onSelect={onSelect}
        onPoint={setPointed}
        name={`Combination line: ${check.text}`}
      />
      <p className={sentence ? "sentence" : "sentence sentence-guard"} aria-live="polite">
        {sentence ?? stances[shownStance].guard.message}
      </p>
      <StanceWords
        stances={stances}
        shownStance={shownStance}
        onShownStance={onShownStance}
        selected={selected}
        onSelect={onSelect}
      />
    </>
  );
}
