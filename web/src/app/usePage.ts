import { useEffect, useRef } from "react";
import { useLocation } from "react-router";

/** By when a drawer that closes with the page before has given the focus back, ms. */
const RETURNS = 300;

const headingNow = () => document.querySelector<HTMLElement>("#root h1");

function focus(heading: HTMLElement | null): void {
  if (heading) {
    heading.tabIndex = -1;
    heading.focus({ preventScroll: true });
  }
}

/**
 * Names the window after the heading of the page that is shown, and moves the focus there when another page came, so that
 * a screen reader and the keyboard begin where it begins.
 */
export function usePage(): void {
  const { pathname } = useLocation();
  const before = useRef<string | null>(null);
  const arrives = useRef(false);
  /** The heading that was given the focus last. */
  const given = useRef<HTMLElement | null>(null);
  if (before.current !== pathname) {
    arrives.current = before.current !== null;
    before.current = pathname;
  }
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = () => {
      const heading = headingNow();
      const text = heading?.textContent?.trim();
      document.title = text ? `${text} · Periplus` : "Periplus";
      // It may have been the heading of the page before, which stands until the next one is here.
      const isLost = given.current?.isConnected === false && document.activeElement === document.body;
      if (!heading || !(arrives.current || isLost)) {
        return;
      }
      arrives.current = false;
      given.current = heading;
      // A field that the page has put the cursor into keeps it.
      const within = document.getElementById("content")?.contains(document.activeElement);
      if (!within || document.activeElement?.tagName === "A") {
        focus(heading);
        // A drawer that closes with the page before gives the focus back to what is gone by then.
        clearTimeout(timer);
        timer = setTimeout(() => document.activeElement === document.body && focus(headingNow()), RETURNS);
      }
    };
    look();
    const watch = new MutationObserver(look);
    watch.observe(document.getElementById("root") ?? document.body, {
      childList: true,
      subtree: true,
      characterData: true,
    });
    return () => {
      clearTimeout(timer);
      watch.disconnect();
    };
  }, []);
}
