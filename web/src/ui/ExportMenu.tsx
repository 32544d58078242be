import { Trans } from "@lingui/react/macro";
import { useEffect, useRef } from "react";

export interface ExportItem {
  label: string;
  /** The URL; null with a sentence when it is unavailable now. */
  to: string | null;
}

/** A menu of exports of a page, as files and on paper. */
export function ExportMenu({ items }: { items: ExportItem[] }) {
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
    <details className="export-menu" ref={box}>
      <summary>
        <Trans>Export ▾</Trans>
      </summary>
      {/* A click beside the menu closes it and does nothing else. */}
      <div
        className="export-shade"
        aria-hidden="true"
        onClick={() => {
          if (box.current) {
            box.current.open = false;
          }
        }}
      />
      <ul>
        {items.map((item) => (
          <li key={item.label}>
            {item.to === null ? (
              <span className="export-item is-disabled">{item.label}</span>
            ) : (
              <a className="export-item" href={item.to}>
                {item.label}
              </a>
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}
