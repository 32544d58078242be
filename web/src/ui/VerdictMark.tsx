import { Trans } from "@lingui/react/macro";
import type { Verdict } from "../api/client";
import { seconds, VERDICTS } from "./words";

/** A verdict as a shape, a word and a colour. */
export function VerdictMark({ verdict, waitMs }: { verdict: Verdict; waitMs?: number }) {
  const { sign, word } = VERDICTS[verdict];
  return (
    <span className={`verdict verdict-${verdict}`}>
      <span aria-hidden="true">{sign}</span> {word}
      {waitMs ? (
        <small>
          {" "}
          <Trans>{seconds(waitMs)} waiting</Trans>
        </small>
      ) : null}
    </span>
  );
}
