import { Button } from "antd";
import { Link } from "react-router";
import type { CombinationPage } from "../api/client";
import { useIsHeadCoach } from "../api/session";

/** Shown instead of an empty list: why it is empty, and what would fill it. */
export function NothingFound({
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
  const leads = useIsHeadCoach();
  return (
    <div className="panel empty">
      <h2>{filtered ? "Nothing fits all of these" : archived ? "Nothing is archived" : "The library is empty"}</h2>
      <p>
        {filtered
          ? without.some((clause) => clause.total > 0)
            ? "Without one of them there would be:"
            : "No single one is the reason; remove several."
          : archived
            ? "What you archive is kept here and can be restored."
            : "Write the first combination on the bench; every coach of the gym will see it here."}
      </p>
      {filtered && without.length > 1 && (
        <p>
          {without
            .filter((clause) => clause.total > 0)
            .map((clause) => (
              <button key={clause.text} type="button" className="chip" onClick={() => onWithout(clause.text)}>
                {clause.total} without “{clause.text}”
              </button>
            ))}
        </p>
      )}
      {filtered ? (
        <Button onClick={onClear}>Clear the filters</Button>
      ) : (
        !archived && (
          <p className="empty-ways">
            <Button type="primary" onClick={onNew}>
              Go to the bench
            </Button>{" "}
            {leads && (
              <>
                or <Link to="/exchange">import your list</Link>, or{" "}
                <Link to="/setup?step=library">add the starter library</Link>
              </>
            )}
          </p>
        )
      )}
    </div>
  );
}
