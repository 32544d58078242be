import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import type { NumberDifference } from "../api/client";

/** Lists numbers that two numberings use differently. */
export function Differences({
  differences,
  one,
  other,
}: {
  differences: NumberDifference[];
  one: string;
  other: string;
}) {
  if (differences.length === 0) {
    return null;
  }
  return (
    <section className="panel block differences" aria-label={t`Numbers used differently`}>
      <h2>
        <Trans>Used differently</Trans>
      </h2>
      <ul>
        {differences.map((difference) => (
          <li key={difference.number}>
            <Trans>
              <b className="numbers">{difference.number}</b> is a {difference.one} in {one}, a {difference.other} in{" "}
              {other}.
            </Trans>
          </li>
        ))}
      </ul>
    </section>
  );
}
