import { Trans } from "@lingui/react/macro";
import { useEffect, useRef } from "react";

/** Tells whether the space bar means something else where the focus is. */
const takesSpace = (target: EventTarget | null) =>
  target instanceof Element && target.closest("button, a, input, textarea, select, summary, [role]") !== null;

/** A large field to tap; the space bar does the same, wherever the focus is beside other controls. */
export function TapField({ isEmpty, onTap }: { isEmpty: boolean; onTap: (ms: number) => void }) {
  const start = useRef<number | null>(null);
  useEffect(() => {
    if (isEmpty) {
      start.current = null;
    }
  }, [isEmpty]);
  const tap = (at: number) => {
    start.current ??= at;
    onTap(Math.round((at - start.current) * 10) / 10);
  };
  const newest = useRef(tap);
  newest.current = tap;
  useEffect(() => {
    const onKey = (event: globalThis.KeyboardEvent) => {
      if (event.key === " " && !event.repeat && !takesSpace(event.target)) {
        event.preventDefault();
        newest.current(event.timeStamp);
      }
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
  return (
    <button
      type="button"
      className="tap-field"
      onPointerDown={(event) => {
        event.preventDefault();
        event.currentTarget.focus();
        tap(event.timeStamp);
      }}
      onKeyDown={(event) => {
        if ((event.key === " " || event.key === "Enter") && !event.repeat) {
          event.preventDefault();
          tap(event.timeStamp);
        }
      }}
    >
      <b>
        <Trans>Tap</Trans>
      </b>
      <span>
        <Trans>once for each strike</Trans>
      </span>
    </button>
  );
}
