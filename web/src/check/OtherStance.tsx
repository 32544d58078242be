import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex } from "antd";
import { memo } from "react";
import { Link } from "react-router";
import type { Check, FromAbove, Stance } from "../api/client";
import { Mirrored } from "../from-above/Mirrored";
import { momentOf } from "../from-above/momentAt";
import "./check.css";

interface Props {
  check: Check;
  fromAbove: FromAbove | undefined;
  opponent: Stance;
  selected: number | null;
  onSelect?: (at: number | null) => void;
  /** Returns the URL of the comparison with the mirrored or carried chain. */
  compare: (text: string, stance: Stance, title: string) => string;
  /** Opens the carried chain on the bench. */
  onCarry: (text: string, stance: Stance) => void;
}

/** Shows what changes when the chain is mirrored, and the carried chain with the same limbs. */
export const OtherStance = memo(function OtherStance({
  check,
  fromAbove,
  opponent,
  selected,
  compare,
  onSelect,
  onCarry,
}: Props) {
  const { mirror, carry } = check;
  if (!mirror || !carry) {
    return null;
  }
  const differs = carry.notation !== mirror.notation;
  return (
    <section className="panel other-stance" aria-label={t`In the other stance`}>
      <h2>
        <Trans>
          For {mirror.stance === "southpaw" ? t`a southpaw` : t`an orthodox athlete`}
          <Link to={compare(mirror.notation, mirror.stance, "Mirrored")} className="other-compare">
            compare
          </Link>
        </Trans>
      </h2>
      <ul>
        {mirror.changes.map((change) => (
          <li
            key={`${change.id}-${change.at}`}
            className={change.id === "liver-lost" ? "change change-lost" : "change"}
          >
            <button type="button" disabled={change.at === null} onClick={() => onSelect?.(change.at)}>
              {change.message}
            </button>
            {change.id === "liver-lost" && differs && (
              <Button size="small" onClick={() => onCarry(carry.text, carry.stance)}>
                <Trans>Same hand instead</Trans>
              </Button>
            )}
          </li>
        ))}
      </ul>
      {fromAbove && (
        <Mirrored
          drawing={fromAbove}
          stance={mirror.stance === "southpaw" ? "orthodox" : "southpaw"}
          opponent={opponent}
          shown={momentOf(
            fromAbove.views[0]?.moments ?? [],
            selected ?? mirror.changes.find((change) => change.at !== null)?.at ?? null,
          )}
        />
      )}
      {differs && (
        <div className="carry">
          <b>
            <Trans>Keep the same limbs</Trans>
          </b>
          <span className="carry-line">{carry.text}</span>
          <span className="small">{carry.words}</span>
          {carry.changes
            .filter((change) => change.id === "replaced")
            .map((change) => (
              <span key={change.at} className="small">
                {change.message}
              </span>
            ))}
          <Flex component="span" align="center" gap="medium">
            <Button size="small" onClick={() => onCarry(carry.text, carry.stance)}>
              <Trans>Apply</Trans>
            </Button>
            <Link to={compare(carry.notation, carry.stance, "Keep the same limbs")}>
              <Trans>compare</Trans>
            </Link>
          </Flex>
        </div>
      )}
    </section>
  );
});
