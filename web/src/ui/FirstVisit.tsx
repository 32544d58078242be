import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useState } from "react";
import { Link } from "react-router";
import { useMay, useSession } from "../api/session";

const KEPT = "periplus.first-visit";

/** Tells new visitors what to do first, until it is dismissed on this device. */
export function FirstVisit() {
  const session = useSession().data;
  const mayImport = useMay("EDIT_LIBRARY");
  const [isOver, setOver] = useState(() => localStorage.getItem(KEPT) === "over");
  if (mayImport && session?.gym?.isBeingSetUp) {
    return (
      <section className="panel first-visit" aria-label={t`Setup`}>
        <div>
          <h2>
            <Trans>{session.gym.name} is not set up yet</Trans>
          </h2>
          <p>
            <Trans>
              Name, numbers, what you train, and how the library begins: four short steps, each can be skipped.
            </Trans>
          </p>
        </div>
        <Link to="/setup" className="quiet">
          <Trans>Set up</Trans>
        </Link>
      </section>
    );
  }
  if (isOver) {
    return null;
  }
  return (
    <section className="panel first-visit" aria-label={t`First visit`}>
      <div>
        <h2>
          <Trans>New here?</Trans>
        </h2>
        <p>
          <Trans>
            Open a combination, or write one on the bench: type <b className="numbers">1 2 3b exit</b> and see where the
            weight goes. The <Link to="/guide">guide</Link> has seven short pages; <kbd>?</kbd> brings you there at any
            time.
          </Trans>
        </p>
        {mayImport && !session?.gym?.isDemo && (
          <p>
            <Trans>
              Then <Link to="/coaches">invite your coaches</Link>, <Link to="/sessions">plan a session</Link>, and{" "}
              <Link to="/run">put it on a wall</Link>.
            </Trans>
          </p>
        )}
      </div>
      <button
        type="button"
        className="quiet"
        onClick={() => {
          localStorage.setItem(KEPT, "over");
          setOver(true);
        }}
      >
        <Trans>Got it</Trans>
      </button>
    </section>
  );
}
