import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useState } from "react";
import type { Mend } from "../api/client";
import { seconds, VERDICTS } from "../ui/words";
import "./check.css";

/** Number of mends shown at first. */
const SHOWN_AT_FIRST = 3;

interface Props {
  mends: Mend[];
  /** Length of the unchanged chain, in ms. */
  lengthMs: number;
  /** Whether all pairs of edits were tried. */
  complete?: boolean;
  /** The accessible name of the list. */
  name: string;
  onMend: (mend: Mend) => void;
  onCompare: (mend: Mend) => void;
}

/** Lists mends with their action and the duration before and after. */
export function MendList({ mends, lengthMs, complete = true, name, onMend, onCompare }: Props) {
  const [all, setAll] = useState(false);
  const shown = all ? mends : mends.slice(0, SHOWN_AT_FIRST);
  return (
    <ul className="mends" aria-label={name}>
      {shown.map((mend) => (
        <li key={mend.text}>
          <button type="button" className="mend" onClick={() => onMend(mend)} title={t`Apply: ${mend.text}`}>
            <span className={`mend-sign verdict-${mend.verdict}`} aria-hidden="true">
              {VERDICTS[mend.verdict].sign}
            </span>
            <span>
              {mend.words}
              <small>
                {" "}
                {seconds(lengthMs)} → {seconds(mend.lengthMs)}
                <span className="unseen">, {VERDICTS[mend.verdict].word}</span>
              </small>
            </span>
          </button>
          <button
            type="button"
            className="mend-compare"
            onClick={() => onCompare(mend)}
            aria-label={t`Compare: ${mend.words}`}
            title={t`Compare before and after`}
          >
            ⇅
          </button>
        </li>
      ))}
      {shown.length < mends.length && (
        <li className="mends-more">
          <button type="button" onClick={() => setAll(true)}>
            <Trans>{mends.length - shown.length} other ways</Trans>
          </button>
        </li>
      )}
      {!complete && (
        <li className="mends-more small">
          <Trans>The best found so far: this chain has too many pairs of changes to try them all.</Trans>
        </li>
      )}
    </ul>
  );
}
