import { useEffect, useRef } from "react";

export interface Way {
  label: string;
  /** The URL; null with a sentence when it is unavailable now. */
  to: string | null;
}

/** A menu of exports of a page, as files and on paper. */
export function TakeOut({ ways }: { ways: Way[] }) {
  const box = useRef<HTMLDetailsElement>(null);
  useEffect(() => {
    const close = (event: Event) => {
      if ((event as KeyboardEvent).key === "Escape" && box.current) {
        box.current.open = false;
      }
    };
    document.addEventListener("keydown", close);
    return () => {
      document.removeEventListener("keydown", close);
    };
  }, []);
  return (
    <details className="take-out" ref={box}>
      <summary>Export ▾</summary>
      {/* A click beside the menu closes it and does nothing else. */}
      <div
        className="take-out-shade"
        aria-hidden="true"
        onClick={() => {
          if (box.current) {
            box.current.open = false;
          }
        }}
      />
      <ul>
        {ways.map((way) => (
          <li key={way.label}>
            {way.to === null ? (
              <span className="way-out way-shut">{way.label}</span>
            ) : (
              <a className="way-out" href={way.to}>
                {way.label}
              </a>
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}
