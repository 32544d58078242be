import { type HTMLAttributes, type KeyboardEvent, useLayoutEffect, useRef } from "react";

const PRESSED = "button:not(:disabled), [data-stop]";

interface Props extends HTMLAttributes<HTMLDivElement> {
  label: string;
}

/** Several buttons that Tab reaches as one: arrows go from one to the next, Home and End to the first and the last. */
export function Stops({ label, children, ...rest }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const all = () => [...(box.current?.querySelectorAll<HTMLElement>(PRESSED) ?? [])];
  const reach = (chosen: HTMLElement | undefined) => {
    for (const one of all()) {
      one.tabIndex = one === chosen ? 0 : -1;
    }
  };
  // What is shown may have changed with every drawing, and one of it can always be reached.
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
