import { Trans } from "@lingui/react/macro";
import { useReachable } from "../api/connection";
import { useOutdated } from "./version";

/** Page-wide notices: the server is unreachable, or has a newer version of the page. */
export function Notices() {
  const reachable = useReachable();
  const outdated = useOutdated();
  return (
    <div role="status">
      {!reachable && (
        <p className="notice notice-away">
          <Trans>
            No connection to the gym’s server. What is shown may be old; what you type is kept and sent when it is back.
          </Trans>
        </p>
      )}
      {reachable && outdated && (
        <p className="notice">
          <Trans>A new version of Periplus is here. </Trans>
          <button type="button" className="link-button" onClick={() => window.location.reload()}>
            <Trans>Reload the page</Trans>
          </button>
          <Trans> when it suits you; the bench keeps its line.</Trans>
        </p>
      )}
    </div>
  );
}
