import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Link } from "react-router";
import type { Match } from "../api/client";
import "./family.css";

export const RELATIONS: Record<Match["relation"], string> = {
  same: t`the same chain`,
  mirror: t`the same limbs in the other stance`,
  "target-differs": t`another target`,
  "one-apart": t`one item apart`,
  "contained-in": t`contains it`,
  contains: t`is part of it`,
  alike: t`similar`,
};
const MAX_SHOWN = 5;

/** Lists similar combinations, each with its relation to this one. */
export function AlreadyThere({
  matches,
  total,
  title = t`Similar in the library`,
}: {
  matches: Match[];
  total: number;
  title?: string;
}) {
  if (matches.length === 0) {
    return null;
  }
  const close = matches.filter((match) => match.relation === "same" || match.relation === "mirror");
  const shown = [...close, ...matches.filter((match) => !close.includes(match))].slice(
    0,
    Math.max(MAX_SHOWN, close.length),
  );
  return (
    <section className="panel block similar" aria-label={title}>
      <h2>{title}</h2>
      <ul>
        {shown.map((match) => (
          <li key={match.id} className={`similar-${match.relation}`}>
            <Link to={`/combinations/${match.id}`}>{match.name}</Link> <span className="numbers">{match.text}</span>
            <small>{RELATIONS[match.relation]}</small>
          </li>
        ))}
      </ul>
      {total > shown.length && (
        <p className="small">
          <Trans>and {total - shown.length} more that are near.</Trans>
        </p>
      )}
    </section>
  );
}
