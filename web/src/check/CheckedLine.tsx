import { t } from "@lingui/core/macro";
import { Flex } from "antd";
import { memo, useState } from "react";
import type { Check, FromAbove, Stance } from "../api/client";
import { CombinationLine, type KeyedEdit } from "../combination-line/CombinationLine";
import { Legend } from "../combination-line/Legend";
import { MovingMark } from "../combination-line/MovingMark";
import { StanceWords } from "../combination-line/StanceWords";
import { FromAboveFigure } from "../from-above/FromAboveFigure";
import { PlayBar } from "../play/PlayBar";
import { usePlay } from "../play/usePlay";
import { useShortcut } from "../ui/useShortcut";
import { NumbersMeaning } from "./NumbersMeaning";
import "./check.css";

interface Props {
  check: Check;
  fromAbove: FromAbove | undefined;
  /** The opponent's stance in the picture from above. */
  opponent: Stance;
  stances: NonNullable<Check["stances"]>;
  /** The stance whose feet are drawn. */
  shownStance: Stance;
  onShownStance: (stance: Stance) => void;
  selected: number | null;
  onSelect: (at: number | null) => void;
  onOpen?: (at: number) => void;
  onEdit?: (what: KeyedEdit, at: number) => void;
  /** The tempo of the check. */
  tempo?: number;
}

/**
 * The full drawing with player. Below it the sentence of the item that is pointed at or selected, otherwise the guard,
 * and both stances in words.
 */
export const CheckedLine = memo(function CheckedLine({
  check,
  fromAbove,
  opponent,
  stances,
  shownStance,
  onShownStance,
  selected,
  onSelect,
  onOpen,
  onEdit,
  tempo = 1,
}: Props) {
  const [pointed, setPointed] = useState<string | null>(null);
  const [explains, setExplains] = useState(false);
  const play = usePlay(check, tempo);
  useShortcut("play", play.press);
  const drawing = check.drawings?.full;
  const view = fromAbove?.views.find((one) => one.stance === shownStance && one.opponent === opponent);
  const sentence = pointed ?? (selected === null ? null : (drawing?.items[selected]?.sentence ?? null));
  return (
    <>
      <div className="line-and-floor">
        <div className="line-beside">
          {drawing && (
            <CombinationLine
              drawing={drawing}
              stance={shownStance}
              selected={selected}
              onSelect={onSelect}
              onPoint={setPointed}
              onOpen={onOpen}
              onEdit={onEdit}
              name={t`Combination line: ${check.text ?? ""}`}
              overlay={play.plays ? (line) => <MovingMark line={line} stance={shownStance} at={play.at} /> : undefined}
            />
          )}
          <p className={sentence ? "sentence" : "sentence sentence-guard"} aria-live="polite">
            {sentence ?? stances[shownStance].guard.message}
          </p>
          <Flex wrap align="center" gap="var(--space-2) var(--space-8)" className="line-foot">
            <PlayBar play={play}>
              <button
                type="button"
                className="link-button"
                aria-expanded={explains}
                onClick={() => setExplains(!explains)}
              >
                {explains ? t`Hide the signs` : t`What the signs and numbers mean`}
              </button>
            </PlayBar>
            {explains && (
              <>
                <Legend />
                <NumbersMeaning />
              </>
            )}
          </Flex>
        </div>
        {fromAbove && view && (
          <FromAboveFigure
            drawing={fromAbove}
            {...{ view, selected }}
            names={stances[shownStance].words}
            at={play.at}
            plays={play.plays}
          />
        )}
      </div>
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
