import { Trans } from "@lingui/react/macro";
import type { FromAbove, Stance } from "../api/client";
import { FromAboveFigure } from "./FromAboveFigure";

interface Props {
  drawing: FromAbove;
  stance: Stance;
  /** The items in words. */
  names: readonly string[];
  at: () => number | null;
  plays: boolean;
}

/** A chain in one stance from above, against an orthodox and a southpaw opponent. */
export function BothOpponents({ drawing, stance, names, at, plays }: Props) {
  return (
    <div className="from-above-both">
      {drawing.views
        .filter((view) => view.stance === stance)
        .map((view) => (
          <div key={view.opponent}>
            <h3>
              <Trans>against {view.opponent}</Trans>
            </h3>
            <FromAboveFigure {...{ drawing, view, names, at, plays }} selected={null} />
          </div>
        ))}
    </div>
  );
}
