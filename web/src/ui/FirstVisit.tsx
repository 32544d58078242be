import { useState } from "react";
import { Link } from "react-router";
import { useIsHeadCoach, useSession } from "../api/session";

const KEPT = "periplus.first-visit";

/** Tells new visitors what to do first, until it is dismissed on this device. */
export function FirstVisit() {
  const session = useSession().data;
  const leads = useIsHeadCoach();
  const [isOver, setOver] = useState(() => localStorage.getItem(KEPT) === "over");
  if (leads && session?.gym?.isBeingSetUp) {
    return (
      <section className="panel first-visit" aria-label="Setup">
        <div>
          <h2>{session.gym.name} is not set up yet</h2>
          <p>Name, numbers, what you train, and how the library begins: four short steps, each can be skipped.</p>
        </div>
        <Link to="/setup" className="quiet">
          Set up
        </Link>
      </section>
    );
  }
  if (isOver) {
    return null;
  }
  return (
    <section className="panel first-visit" aria-label="First visit">
      <div>
        <h2>New here?</h2>
        <p>
          Open a combination, or write one on the bench: type <b className="numbers">1 2 3b exit</b> and see where the
          weight goes. The <Link to="/guide">guide</Link> has seven short pages; <kbd>?</kbd> brings you there at any
          time.
        </p>
        {leads && !session?.gym?.isDemo && (
          <p>
            Then <Link to="/coaches">invite your coaches</Link>, <Link to="/sessions">plan a session</Link>, and{" "}
            <Link to="/run">put it on a wall</Link>.
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
        Got it
      </button>
    </section>
  );
}
