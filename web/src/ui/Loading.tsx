import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useEffect, useState } from "react";
import { useReachable } from "../api/connection";

/** Time in ms after which a wait is unusually long. */
const LONG_WAIT_MS = 8000;

/** Shown while a screen loads, after a short delay, so that fast answers show nothing. A long wait says so. */
export function Loading({ what = t`Loading` }: { what?: string }) {
  const reachable = useReachable();
  const [long, setLong] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLong(true), LONG_WAIT_MS);
    return () => clearTimeout(timer);
  }, []);
  return (
    <div className="waiting" role="status">
      <p>{what} …</p>
      {(long || !reachable) && (
        <p>
          {reachable
            ? t`This takes longer than it should.`
            : t`There is no connection to the gym’s server; this continues when it is back.`}{" "}
          <button type="button" className="link-button" onClick={() => window.location.reload()}>
            <Trans>Try again</Trans>
          </button>
        </p>
      )}
    </div>
  );
}
