import { memo } from "react";
import type { Matches } from "../api/client";
import { AlreadyThere } from "../family/AlreadyThere";

/** What the library has already that is the same or near; says so when the library cannot be asked. */
export const Similar = memo(function Similar({ similar }: { similar: Matches | null | undefined }) {
  return similar === null ? (
    <p className="panel block small" role="note">
      Cannot say what is similar in the library: its database does not answer.
    </p>
  ) : similar ? (
    <AlreadyThere matches={similar.matches} total={similar.total} />
  ) : null;
});
