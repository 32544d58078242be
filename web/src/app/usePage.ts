import { t } from "@lingui/core/macro";
import { useEffect, useRef } from "react";
import { useLocation } from "react-router";

/** Time in ms within which a drawer that closes with its page returns the focus. */
const FOCUS_RETURN_MS = 300;

const headingNow = () => document.querySelector<HTMLElement>("#root h1");

function focus(heading: HTMLElement | null): void {
  if (heading) {
    heading.tabIndex = -1;
    heading.focus({ preventScroll: true });
  }
}

/**
 * Sets the window title from the heading and moves the focus there on a new page, so that screen readers and the
 * keyboard start at the top.
 */
export function usePage(): void {
  const { pathname } = useLocation();
  const before = useRef<string | null>(null);
  const arrives = useRef(false);
  /** The heading that received the focus last. */
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
      document.title = text ? t`${text} · Periplus` : t`Periplus`;
      // The focus may have been on the heading of the previous page, which stays until the next page is loaded.
      const isLost = given.current?.isConnected === false && document.activeElement === document.body;
      if (!heading || !(arrives.current || isLost)) {
        return;
      }
      arrives.current = false;
      given.current = heading;
      // A field that the page has focused keeps the focus.
      const within = document.getElementById("content")?.contains(document.activeElement);
      if (!within || document.activeElement?.tagName === "A") {
        focus(heading);
        // A drawer that closes with its page returns the focus to an element that no longer exists.
        clearTimeout(timer);
        timer = setTimeout(() => document.activeElement === document.body && focus(headingNow()), FOCUS_RETURN_MS);
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
