import { Link } from "react-router";
import type { Match } from "../api/client";
import "./family.css";

export const RELATIONS: Record<Match["relation"], string> = {
  same: "the same chain",
  mirror: "the same limbs in the other stance",
  "target-differs": "another target",
  "one-apart": "one item apart",
  "contained-in": "holds all of it",
  contains: "is part of it",
  alike: "much like it",
};
const MAX_SHOWN = 5;

/** Lists similar combinations, each with its relation to this one. */
export function AlreadyThere({
  matches,
  total,
  title = "Similar in the library",
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
      {total > shown.length && <p className="small">and {total - shown.length} more that are near.</p>}
    </section>
  );
}
