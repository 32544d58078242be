import { type RefObject, useLayoutEffect, useRef, useState } from "react";

/** The width of an element in px, updated when it changes. */
export function useWidth(initial: number): [RefObject<HTMLDivElement | null>, number] {
  const element = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(initial);
  useLayoutEffect(() => {
    const held = element.current;
    if (!held) {
      return;
    }
    const observer = new ResizeObserver(() => setWidth(held.clientWidth));
    observer.observe(held);
    setWidth(held.clientWidth);
    return () => observer.disconnect();
  }, []);
  return [element, width];
}
