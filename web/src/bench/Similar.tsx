import { Trans } from "@lingui/react/macro";
import { memo } from "react";
import type { Matches } from "../api/client";
import { AlreadyThere } from "../family/AlreadyThere";

/** Lists the same or similar combinations of the library; says so when the library is unreachable. */
export const Similar = memo(function Similar({ similar }: { similar: Matches | null | undefined }) {
  return similar === null ? (
    <p className="panel block small" role="note">
      <Trans>Cannot say what is similar in the library: its database does not answer.</Trans>
    </p>
  ) : similar ? (
    <AlreadyThere matches={similar.matches} total={similar.total} />
  ) : null;
});
