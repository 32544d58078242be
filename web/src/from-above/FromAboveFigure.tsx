import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex } from "antd";
import { useEffect, useState } from "react";
import type { FromAbove, ViewFromAbove } from "../api/client";
import { Floor } from "./Floor";
import { momentOf } from "./momentAt";
import { usePlayed } from "./usePlayed";

interface Props {
  drawing: FromAbove;
  view: ViewFromAbove;
  /** The items in words. */
  names: readonly string[];
  /** The selected item of the line. */
  selected: number | null;
  /** Returns the moment of the chain in ms, or null while it does not play. */
  at: () => number | null;
  plays: boolean;
}

/** The chain from above, beside its line: at the item that plays or is selected, or where its own keys went. */
export function FromAboveFigure({ drawing, view, names, selected, at, plays }: Props) {
  const { moments } = view;
  const played = usePlayed(moments, at, plays);
  const [stepped, setStepped] = useState<number | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another selection, or playing, takes the picture with it
  useEffect(() => setStepped(null), [selected, plays]);
  const shown = Math.min(played ?? stepped ?? momentOf(moments, selected), moments.length - 1);
  const moment = moments[shown];
  if (!moment) {
    return null;
  }
  return (
    <figure className="from-above" aria-label={t`From above`}>
      <Floor {...{ drawing, view, shown }} />
      <figcaption>
        <Flex align="center" gap="small">
          <Button
            size="small"
            disabled={shown === 0}
            aria-label={t`Before, from above`}
            onClick={() => setStepped(shown - 1)}
          >
            ‹
          </Button>
          <span className="from-above-where">
            <b>{moment.at === null ? <Trans>Start</Trans> : names[moment.at]}</b>
            <br />
            <Where moment={moment} isOpen={view.isOpen} />
          </span>
          <Button
            size="small"
            disabled={shown === moments.length - 1}
            aria-label={t`Next, from above`}
            onClick={() => setStepped(shown + 1)}
          >
            ›
          </Button>
        </Flex>
      </figcaption>
    </figure>
  );
}

function Where({ moment, isOpen }: { moment: ViewFromAbove["moments"][number]; isOpen: boolean }) {
  const apart = t`${moment.distanceCm} cm apart`;
  return (
    <>
      {moment.at === null && (isOpen ? <Trans>Open guard, </Trans> : <Trans>Closed guard, </Trans>)}
      {apart}
      <br />
      {moment.isReached ? <Trans>in reach of their rear hand</Trans> : <Trans>out of its reach</Trans>}
    </>
  );
}
