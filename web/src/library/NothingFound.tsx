import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import { Link } from "react-router";
import type { CombinationPage } from "../api/client";
import { useMay } from "../api/session";

/** Shown instead of an empty list: why it is empty, and what would fill it. */
export default function NothingFound({
  filtered,
  archived,
  onClear,
  onNew,
  without,
  onWithout,
}: {
  filtered: boolean;
  archived: boolean;
  onClear: () => void;
  onNew: () => void;
  without: CombinationPage["without"];
  onWithout: (text: string) => void;
}) {
  const mayImport = useMay("EDIT_LIBRARY");
  return (
    <div className="panel empty">
      <h2>{filtered ? t`Nothing fits all of these` : archived ? t`Nothing is archived` : t`The library is empty`}</h2>
      <p>
        {filtered
          ? without.some((clause) => clause.total > 0)
            ? t`Results without one of them:`
            : t`No single filter is the reason; remove several.`
          : archived
            ? t`Archived combinations are kept here and can be restored.`
            : t`Write the first combination on the bench; every coach of the gym will see it here.`}
      </p>
      {filtered && without.length > 1 && (
        <p>
          {without
            .filter((clause) => clause.total > 0)
            .map((clause) => (
              <button key={clause.text} type="button" className="chip" onClick={() => onWithout(clause.text)}>
                <Trans>
                  {clause.total} without “{clause.text}”
                </Trans>
              </button>
            ))}
        </p>
      )}
      {filtered ? (
        <Button onClick={onClear}>
          <Trans>Clear the filters</Trans>
        </Button>
      ) : (
        !archived && (
          <p className="empty-ways">
            <Button type="primary" onClick={onNew}>
              <Trans>Go to the bench</Trans>
            </Button>{" "}
            {mayImport && (
              <Trans>
                or <Link to="/exchange">import your list</Link>, or{" "}
                <Link to="/setup?step=library">add the starter library</Link>
              </Trans>
            )}
          </p>
        )
      )}
    </div>
  );
}
