import { Trans } from "@lingui/react/macro";
import { useEffect, useRef } from "react";

/** A large field to tap; the space bar does the same. */
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
