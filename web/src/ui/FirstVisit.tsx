import { useState } from "react";
import { Link } from "react-router";

const KEPT = "periplus.first-visit";

/** What to do first, for whoever has not been here on this device; gone for good once it is put away. */
export function FirstVisit() {
  const [isOver, setOver] = useState(() => localStorage.getItem(KEPT) === "over");
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
