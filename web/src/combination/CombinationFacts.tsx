import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex } from "antd";
import { Link } from "react-router";
import type { Combination } from "../api/client";
import { CombinationSharing } from "../offers/CombinationSharing";
import { useProposals } from "../review/useReview";
import { day, dayAndTime, LEVELS, RULES } from "../ui/words";

/** Says what may be in the way of using a combination: that it is archived, or that proposals wait. */
export function CombinationNotices({ combination }: { combination: Combination }) {
  const proposals = useProposals("open", false, combination.id).data?.proposals ?? [];
  return (
    <>
      {combination.archivedAt && (
        <p className="archived-note">
          <Trans>Archived on {dayAndTime(combination.archivedAt)}. It is not in the list until it is restored.</Trans>
        </p>
      )}
      {proposals.length > 0 && (
        <p className="changed-meanwhile" role="note">
          <Trans>
            {proposals.length === 1 ? t`A proposal waits` : t`${proposals.length} proposals wait`} for a decision:{" "}
          </Trans>
          {proposals.map((row) => (
            <Link key={row.id} to={`/review/${row.id}`} className="tag">
              <Trans>
                {row.kind} by {row.author.name}
              </Trans>
            </Link>
          ))}
        </p>
      )}
    </>
  );
}

/** Shows the chain in words and numbers with its rules, level, author and themes. */
export function CombinationFacts({ combination, checkedLevel }: { combination: Combination; checkedLevel?: number }) {
  return (
    <>
      <Flex component="p" wrap align="baseline" gap="var(--space-1) var(--space-8)" className="combination-facts">
        <b>{combination.text}</b>
        <span>
          <Trans>
            {RULES.find((rule) => rule.value === combination.rules)?.label} rules · level{" "}
            {LEVELS.find((level) => level.value === combination.level)?.label}
            {combination.levelChosen && checkedLevel && checkedLevel !== combination.level
              ? t`, given by a coach (the check says ${checkedLevel})`
              : ""}{" "}
            · written for {combination.stance} · by {combination.author.name} ·{" "}
            {combination.drilledOn ? t`last drilled ${day(combination.drilledOn)}` : t`never drilled`} ·{" "}
            <Link to={`/reports/path?to=${combination.id}`}>path to it</Link>
          </Trans>
        </span>
        <span>
          {combination.themes.map((theme) => (
            <Link key={theme} className="tag" to={`/library?q=${encodeURIComponent(`theme ${theme}`)}`}>
              {theme}
            </Link>
          ))}
        </span>
        <CombinationSharing combination={combination} />
      </Flex>
      {combination.note && <p className="combination-note">{combination.note}</p>}
    </>
  );
}
