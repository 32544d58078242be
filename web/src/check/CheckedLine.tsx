import { memo, useState } from "react";
import type { Check, Stance } from "../api/client";
import { CombinationLine } from "../combination-line/CombinationLine";
import { StanceWords } from "../combination-line/StanceWords";
import "./check.css";

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
export const CheckedLine = memo(function CheckedLine({
  check,
  stances,
  shownStance,
  onShownStance,
  selected,
  onSelect,
}: Props) {
  const [pointed, setPointed] = useState<string | null>(null);
  const drawing = check.drawings?.full;
  const sentence = pointed ?? (selected === null ? null : (drawing?.items[selected]?.sentence ?? null));
  return (
    <>
      {drawing && (
        <CombinationLine
          drawing={drawing}
          stance={shownStance}
          selected={selected}
          onSelect={onSelect}
          onPoint={setPointed}
          name={`Combination line: ${check.text}`}
        />
      )}
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
});
