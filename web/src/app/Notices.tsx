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
          No connection to the gym’s server. What is shown may be old; what you type is kept and goes on when it is
          back.
        </p>
      )}
      {reachable && outdated && (
        <p className="notice">
          A new version of Periplus is here.{" "}
          <button type="button" className="link-button" onClick={() => window.location.reload()}>
            Reload the page
          </button>{" "}
          when it suits you; what stands on the bench stays.
        </p>
      )}
    </div>
  );
}
