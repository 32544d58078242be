import { t } from "@lingui/core/macro";
import type { CombinationPage } from "../api/client";

/** Shows how the search was understood, and which words were passed over. */
export default function Understood({ search }: { search: CombinationPage["search"] }) {
  return (
    <span className="understood" role="status">
      {search.clauses.map((clause) => (
        <span key={clause.text} className="tag">
          {clause.says}
        </span>
      ))}
      {search.passedOver.length > 0 && (
        <span className="small">{t`Passed over: ${search.passedOver.join(", ")}.`}</span>
      )}
    </span>
  );
}
