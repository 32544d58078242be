import { useEffect, useRef } from "react";
import { useLocation } from "react-router";

/** By when a drawer that closes has given the focus back, ms. */
const RETURNS = 300;

/**
 * Names the window after the heading of the page that is shown, and moves the focus there when another page came, so that
 * a screen reader and the keyboard begin where it begins.
 */
export function usePage(): void {
  const { pathname } = useLocation();
  const before = useRef<string | null>(null);
  const arrives = useRef(false);
  if (before.current !== pathname) {
    arrives.current = before.current !== null;
    before.current = pathname;
  }
  useEffect(() => {
    const look = () => {
      const heading = document.querySelector<HTMLElement>("#root h1");
      const text = heading?.textContent?.trim();
      document.title = text ? `${text} · Periplus` : "Periplus";
      if (heading && arrives.current) {
        arrives.current = false;
        const within = document.getElementById("content")?.contains(document.activeElement);
        // A field that the page has put the cursor into keeps it.
        if (!within || document.activeElement?.tagName === "A") {
          heading.tabIndex = -1;
          heading.focus({ preventScroll: true });
          // A drawer that closes with the page before gives the focus back to what is gone by then.
          setTimeout(() => {
            if (document.activeElement === document.body) {
              heading.focus({ preventScroll: true });
            }
          }, RETURNS);
        }
      }
    };
    look();
    const watch = new MutationObserver(look);
    watch.observe(document.getElementById("root") ?? document.body, {
      childList: true,
      subtree: true,
      characterData: true,
    });
    return () => watch.disconnect();
  }, []);
}
