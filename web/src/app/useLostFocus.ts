import { useEffect } from "react";

const canFocus = (element: Element) => element.isConnected && !element.matches(":disabled");

/** Returns the element and its ancestors below the page. */
function pathOf(element: Element): HTMLElement[] {
  const path: HTMLElement[] = [];
  for (let one: Element | null = element; one && one !== document.body; one = one.parentElement) {
    if (one instanceof HTMLElement) {
      path.push(one);
    }
  }
  return path;
}

/** Returns the element, or the section with the same name that replaced it; null when neither is on the page. */
function onPage(element: HTMLElement): HTMLElement | null {
  const name = element.tagName === "SECTION" ? element.getAttribute("aria-label") : null;
  if (element.isConnected || name === null) {
    return element.isConnected ? element : null;
  }
  return document.querySelector<HTMLElement>(`#content section[aria-label="${CSS.escape(name)}"]`);
}

/**
 * Returns where to continue when the focused element is gone: the element itself once it works again, the entry line
 * of the bench (`data-home`), the closest part of the page that is still there, or the heading.
 */
export function nearestPlace(path: HTMLElement[]): HTMLElement | null {
  const [lost] = path;
  if (lost && canFocus(lost)) {
    return lost;
  }
  const home = document.querySelector<HTMLElement>("#content [data-home]");
  const near = path
    .slice(1)
    .map(onPage)
    .find((one) => one?.closest("#content") && one.id !== "content");
  return home ?? (near && near.tagName !== "MAIN" ? near : document.querySelector<HTMLElement>("#root h1"));
}

/**
 * Keeps the focus on the page. When the focused element is removed or disabled, as after a decision, or when a dialog
 * closes whose opener is gone, browsers move the focus to the body, and the keyboard would start at the top again.
 */
export function useLostFocus(): void {
  useEffect(() => {
    /** The focused element of the page with its ancestors; empty after the coach has left it on purpose. */
    let path: HTMLElement[] = [];
    let frame = 0;
    const onFocus = (event: FocusEvent) => {
      const target = event.target as Element;
      // Dialogs and menus return the focus to the page.
      if (target.closest("#content")) {
        path = pathOf(target);
      }
    };
    const onPointer = (event: PointerEvent) => {
      // A press beside everything takes the focus away on purpose.
      if (!(event.target as Element).closest("button, a, input, textarea, select, [tabindex], label")) {
        path = [];
      }
    };
    const look = () => {
      cancelAnimationFrame(frame);
      frame = requestAnimationFrame(() => {
        const isLost = document.activeElement === document.body || document.activeElement === null;
        const isCovered = document.querySelector("#layers [role=dialog]") !== null;
        if (!isLost || isCovered || path.length === 0) {
          return;
        }
        const place = nearestPlace(path);
        if (place && place.tabIndex < 0) {
          place.tabIndex = -1;
        }
        place?.focus({ preventScroll: true });
      });
    };
    const watch = new MutationObserver(look);
    watch.observe(document.body, { childList: true, subtree: true, attributes: true, attributeFilter: ["disabled"] });
    document.addEventListener("focusin", onFocus);
    document.addEventListener("pointerdown", onPointer);
    return () => {
      cancelAnimationFrame(frame);
      watch.disconnect();
      document.removeEventListener("focusin", onFocus);
      document.removeEventListener("pointerdown", onPointer);
    };
  }, []);
}
