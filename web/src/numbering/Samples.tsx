import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Link } from "react-router";
import type { NumberingPreview } from "../api/client";

/** Shows how combinations of the library read before and after. */
export function Samples({
  preview,
  stops,
  names,
}: {
  preview: NumberingPreview;
  stops: boolean;
  names: [string, string];
}) {
  if (stops) {
    return (
      <p className="entry-problem" role="status">
        <Trans>
          {preview.problems.find((problem) => problem.stops)?.message} The comparison comes back once that is fixed.
        </Trans>
      </p>
    );
  }
  return (
    <>
      <p className="small" role="status">
        {preview.changed === 0
          ? t`The first ${preview.lookedAt} combinations read the same in both.`
          : t`${preview.changed} of ${preview.lookedAt} combinations read differently.`}
      </p>
      <table className="plain-table">
        <thead>
          <tr>
            <th scope="col">
              <Trans>Combination</Trans>
            </th>
            <th scope="col">{names[0]}</th>
            <th scope="col">{names[1]}</th>
          </tr>
        </thead>
        <tbody>
          {preview.samples.map((sample) => (
            <tr key={sample.id} className={sample.before === sample.after ? "" : "sample-changed"}>
              <td>
                <Link to={`/combinations/${sample.id}`}>{sample.name}</Link>
              </td>
              <td className="numbers">{sample.before}</td>
              <td className="numbers">{sample.after}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
