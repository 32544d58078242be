import { useCallback } from "react";
import type { FromAbove, ProgrammeChain } from "../api/client";
import { CombinationLine } from "../combination-line/CombinationLine";
import { MovingMark } from "../combination-line/MovingMark";
import { Mirrored } from "../from-above/Mirrored";
import { usePlayed } from "../from-above/usePlayed";

/** Pause in ms before it starts again. */
const PAUSE_MS = 1400;
/** Minimum width in drawing units, so that a short chain is not drawn too large. */
const MIN_WIDTH = 1240;

/** Returns the moment of a chain at a time since its first repetition; null in the pause between repetitions. */
export function playedAt(since: number, lengthMs: number, slower: number, again: boolean): number | null {
  const whole = lengthMs * slower + PAUSE_MS;
  if (since < 0 || (!again && since > whole)) {
    return null;
  }
  const at = (since % whole) / slower;
  return at > lengthMs ? null : at;
}

/** The combination line with a moving mark, at its tempo or slowly. */
export function MovingLine({
  chain,
  slowly,
  again,
  fromAbove = false,
  since,
}: {
  chain: ProgrammeChain;
  /** At learning tempo. */
  slowly: boolean;
  /** Whether it is repeated. */
  again: boolean;
  /** Whether it is shown from above, too, where that is known. */
  fromAbove?: boolean;
  /** Returns the ms of the programme since its first repetition; called for every frame. */
  since: () => number;
}) {
  const slower = slowly ? chain.learningMs / Math.max(1, chain.line.lengthMs) : 1;
  const at = useCallback(() => playedAt(since(), chain.line.lengthMs, slower, again), [since, chain, slower, again]);
  const line = (
    <div className="wall-line">
      <CombinationLine
        drawing={chain.line}
        width={MIN_WIDTH}
        name={chain.line.words}
        overlay={(placed) => <MovingMark line={placed} at={at} />}
      />
    </div>
  );
  return chain.fromAbove && fromAbove ? (
    <div className="wall-line-and-floor">
      {line}
      <MovingFloors drawing={chain.fromAbove} at={at} />
    </div>
  ) : (
    line
  );
}

/** Both stances from above, moving with the line. */
function MovingFloors({ drawing, at }: { drawing: FromAbove; at: () => number | null }) {
  const shown = usePlayed(drawing.views[0]?.moments ?? [], at) ?? 0;
  return (
    <div className="wall-floors">
      <Mirrored {...{ drawing, shown }} stance="orthodox" opponent="orthodox" />
    </div>
  );
}
