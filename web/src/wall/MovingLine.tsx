import { useCallback } from "react";
import type { ProgrammeChain } from "../api/client";
import { CombinationLine } from "../combination-line/CombinationLine";
import { MovingMark } from "../combination-line/MovingMark";

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
  since,
}: {
  chain: ProgrammeChain;
  /** At learning tempo. */
  slowly: boolean;
  /** Whether it is repeated. */
  again: boolean;
  /** Returns the ms of the programme since its first repetition; called for every frame. */
  since: () => number;
}) {
  const slower = slowly ? chain.learningMs / Math.max(1, chain.line.lengthMs) : 1;
  const at = useCallback(() => playedAt(since(), chain.line.lengthMs, slower, again), [since, chain, slower, again]);
  return (
    <div className="wall-line">
      <CombinationLine
        drawing={chain.line}
        width={MIN_WIDTH}
        name={chain.line.words}
        overlay={(line) => <MovingMark line={line} at={at} />}
      />
    </div>
  );
}
