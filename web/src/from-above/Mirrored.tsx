import { Trans } from "@lingui/react/macro";
import type { FromAbove, Stance } from "../api/client";
import { Floor } from "./Floor";
import { momentOf } from "./momentAt";

interface Props {
  drawing: FromAbove;
  /** The stance of the left picture; the right one has the other. */
  stance: Stance;
  opponent: Stance;
  /** The item that is shown. */
  at: number | null;
}

/** One item in both stances, side by side: what a mirror really changes. */
export function Mirrored({ drawing, stance, opponent, at }: Props) {
  const views = drawing.views
    .filter((view) => view.opponent === opponent)
    .sort((one, other) => Number(other.stance === stance) - Number(one.stance === stance));
  return (
    <div className="from-above-pair">
      {views.map((view) => (
        <figure key={view.stance}>
          <Floor {...{ drawing, view }} shown={momentOf(view.moments, at)} small />
          <figcaption>
            {view.isOpen ? <Trans>{view.stance}, open guard</Trans> : <Trans>{view.stance}, closed guard</Trans>}
          </figcaption>
        </figure>
      ))}
    </div>
  );
}
