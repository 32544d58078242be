import type { Page } from "@playwright/test";

/**
 * Returns what is wrong with the layout of the page that is open: a page that scrolls sideways, labels that are cut,
 * controls that lie over each other, and on a touch screen controls that are too small for a finger.
 */
export async function layoutFaults(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    /** Least height of what is pressed with a finger, in px. */
    const FINGER = 44;
    const found: string[] = [];
    const isTouch = window.matchMedia("(pointer: coarse)").matches;
    /** The part of an element that is not hidden by what scrolls around it. */
    const shown = (element: Element) => {
      let { left, top, right, bottom } = element.getBoundingClientRect();
      for (let one = element.parentElement; one && one !== document.body; one = one.parentElement) {
        if (getComputedStyle(one).overflow !== "visible") {
          const box = one.getBoundingClientRect();
          left = Math.max(left, box.left);
          top = Math.max(top, box.top);
          right = Math.min(right, box.right);
          bottom = Math.min(bottom, box.bottom);
        }
      }
      return { left, top, right, bottom, width: right - left, height: bottom - top };
    };
    const visible = (element: Element) => {
      const { width, height } = shown(element);
      return width > 1 && height > 1 && element.checkVisibility({ opacityProperty: true, visibilityProperty: true });
    };
    const nameOf = (element: Element) =>
      `${element.tagName.toLowerCase()}.${String(element.getAttribute("class") ?? "")
        .split(" ")
        .slice(0, 2)
        .join(".")} “${(element.getAttribute("aria-label") ?? element.textContent ?? "").trim().slice(0, 40)}”`;
    /** Lies in a part that is scrolled on purpose, such as a wide table or a row of sub-pages. */
    const scrolls = (element: Element) => {
      for (let one = element.parentElement; one && one !== document.body; one = one.parentElement) {
        if (/auto|scroll/.test(getComputedStyle(one).overflowX) && one.scrollWidth > one.clientWidth + 1) {
          return true;
        }
      }
      return false;
    };

    const { scrollWidth } = document.documentElement;
    if (scrollWidth > window.innerWidth + 1) {
      const widest = [...document.querySelectorAll("main *")]
        .filter((one) => visible(one) && !scrolls(one))
        .sort((a, b) => b.getBoundingClientRect().right - a.getBoundingClientRect().right)[0];
      found.push(`scrolls sideways by ${scrollWidth - window.innerWidth} px: ${widest ? nameOf(widest) : ""}`);
    }

    for (const element of document.querySelectorAll<HTMLElement>("header *, main *")) {
      const style = getComputedStyle(element);
      const hasText = [...element.childNodes].some(
        (node) => node.nodeType === Node.TEXT_NODE && (node.textContent ?? "").trim() !== "",
      );
      const clips = style.overflowX === "hidden" || style.overflowX === "clip";
      if (
        hasText &&
        clips &&
        visible(element) &&
        element.scrollWidth > element.clientWidth + 1 &&
        style.clipPath === "none" &&
        !element.closest(".unseen")
      ) {
        found.push(`cut: ${nameOf(element)} (${element.scrollWidth} > ${element.clientWidth})`);
      }
    }

    const CONTROLS = "button, a[href], input, textarea, .ant-select, .ant-segmented, [role=button]";
    const controls = [...document.querySelectorAll<HTMLElement>(CONTROLS)].filter(
      (one) =>
        visible(one) && !one.closest("svg, .unseen, [aria-hidden=true]") && !one.parentElement?.closest(CONTROLS),
    );
    const layer = (one: Element): Element | null =>
      one.closest("nav[aria-label=Screens], .chosen-bar, .library-panel, .planner-side, .ruler, .ant-message");
    for (const [at, one] of controls.entries()) {
      const a = shown(one);
      for (const other of controls.slice(at + 1)) {
        const b = shown(other);
        const x = Math.min(a.right, b.right) - Math.max(a.left, b.left);
        const y = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
        if (x > 3 && y > 3 && layer(one) === layer(other) && !one.contains(other) && !other.contains(one)) {
          found.push(`overlap: ${nameOf(one)} and ${nameOf(other)}`);
        }
      }
      // A link is as high as its line where it is part of a text or a table; those that lead through the gym are not.
      const isInText = one.tagName === "A" && !one.closest("nav, header");
      const isHidden = one.matches(".skip");
      const row = one.closest("label, tr, .ant-checkbox-wrapper, .ant-input-affix-wrapper, .ant-input-number, .option");
      const height = Math.max(one.getBoundingClientRect().height, row?.getBoundingClientRect().height ?? 0);
      if (isTouch && !isInText && !isHidden && height < FINGER - 2) {
        found.push(`small: ${nameOf(one)} (${Math.round(height)} px)`);
      }
    }
    return [...new Set(found)];
  });
}
