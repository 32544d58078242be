import { Trans } from "@lingui/react/macro";
import type { FromAbove, Stance } from "../api/client";
import { Floor } from "./Floor";

interface Props {
  drawing: FromAbove;
  /** The stance of the left picture; the right one has the other. */
  stance: Stance;
  opponent: Stance;
  /** Place of the moment in each view. */
  shown: number;
}

/** One item in both stances, side by side: what a mirror really changes. */
export function Mirrored({ drawing, stance, opponent, shown }: Props) {
  const views = drawing.views
    .filter((view) => view.opponent === opponent)
    .sort((one, other) => Number(other.stance === stance) - Number(one.stance === stance));
  return (
    <div className="from-above-pair">
      {views.map((view) => (
        <figure key={view.stance}>
          <Floor {...{ drawing, view, shown }} small />
          <figcaption>
            {view.isOpen ? <Trans>{view.stance}, open guard</Trans> : <Trans>{view.stance}, closed guard</Trans>}
          </figcaption>
        </figure>
      ))}
    </div>
  );
}
