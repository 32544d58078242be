import { useEffect, useRef } from "react";

export interface Way {
  label: string;
  /** Where it leads; a sentence instead when it does not lead anywhere now. */
  to: string | null;
}

/** What can be taken out of a page, as files and on paper. */
export function TakeOut({ ways }: { ways: Way[] }) {
  const box = useRef<HTMLDetailsElement>(null);
  useEffect(() => {
    const close = (event: Event) => {
      const away =
        event instanceof KeyboardEvent ? event.key === "Escape" : !box.current?.contains(event.target as Node);
      if (away && box.current?.open) {
        box.current.open = false;
      }
    };
    document.addEventListener("pointerdown", close);
    document.addEventListener("keydown", close);
    return () => {
      document.removeEventListener("pointerdown", close);
      document.removeEventListener("keydown", close);
    };
  }, []);
  return (
    <details className="take-out" ref={box}>
      <summary>Take out ▾</summary>
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
