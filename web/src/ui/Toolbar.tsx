import { type HTMLAttributes, type KeyboardEvent, useLayoutEffect, useRef } from "react";

const PRESSED = "button:not(:disabled), [data-stop]";

interface Props extends HTMLAttributes<HTMLDivElement> {
  label: string;
}

/**
 * A toolbar: several buttons with one tab stop. Arrow keys move between them, Home and End go to the first and last.
 */
export function Toolbar({ label, children, ...rest }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const all = () => [...(box.current?.querySelectorAll<HTMLElement>(PRESSED) ?? [])];
  const reach = (chosen: HTMLElement | undefined) => {
    for (const one of all()) {
      one.tabIndex = one === chosen ? 0 : -1;
    }
  };
  // The buttons may have changed with the last render; exactly one must be reachable by Tab.
  useLayoutEffect(() => {
    const now = all();
    reach(now.find((one) => one.tabIndex === 0 && one.dataset.reached === "yes") ?? now[0]);
  });
  const onKey = (event: KeyboardEvent) => {
    const now = all();
    const at = now.indexOf(document.activeElement as HTMLElement);
    const to = {
      ArrowRight: at + 1,
      ArrowDown: at + 1,
      ArrowLeft: at - 1,
      ArrowUp: at - 1,
      Home: 0,
      End: now.length - 1,
    };
    const next = now[to[event.key as keyof typeof to] ?? -1];
    if (at >= 0 && next && !event.altKey && !event.ctrlKey && !event.metaKey) {
      event.preventDefault();
      next.focus();
    }
  };
  return (
    <div
      {...rest}
      ref={box}
      role="toolbar"
      aria-label={label}
      onKeyDown={onKey}
      onFocus={(event) => {
        for (const one of all()) {
          one.dataset.reached = one === event.target ? "yes" : "no";
        }
        reach(event.target as HTMLElement);
      }}
    >
      {children}
    </div>
  );
}
