import { useCallback } from "react";
import type { ProgrammeChain } from "../api/client";
import { CombinationLine } from "../combination-line/CombinationLine";
import { MovingMark } from "../combination-line/MovingMark";

/** ms of stillness before it begins again */
const BREATH = 1400;
/** Drawing units that the line has at least, so that a short chain is not drawn larger than it is read. */
const ROOM = 1240;

/** The moment of a chain at a moment since it was first thrown; null while one waits for the next time. */
export function playedAt(since: number, lengthMs: number, slower: number, again: boolean): number | null {
  const whole = lengthMs * slower + BREATH;
  if (since < 0 || (!again && since > whole)) {
    return null;
  }
  const at = (since % whole) / slower;
  return at > lengthMs ? null : at;
}

/** The combination line with a mark that moves through it at its tempo, or slowly. */
export function MovingLine({
  chain,
  slowly,
  again,
  since,
}: {
  chain: ProgrammeChain;
  /** At learning tempo. */
  slowly: boolean;
  /** Whether it is thrown again and again. */
  again: boolean;
  /** ms of the programme since it was first thrown, asked anew at each picture */
  since: () => number;
}) {
  const slower = slowly ? chain.learningMs / Math.max(1, chain.line.lengthMs) : 1;
  const at = useCallback(() => playedAt(since(), chain.line.lengthMs, slower, again), [since, chain, slower, again]);
  return (
    <div className="wall-line">
      <CombinationLine
        drawing={chain.line}
        width={ROOM}
        name={chain.line.words}
        overlay={(line) => <MovingMark line={line} at={at} />}
      />
    </div>
  );
}
