import { useEffect, useReducer, useRef } from "react";

/** Returns a value at once, but at most every so many ms; of several changes in that time, the last. */
export function useThrottled<T>(value: T, ms: number): T {
  const given = useRef({ value, at: Number.NEGATIVE_INFINITY });
  const [, look] = useReducer((count: number) => count + 1, 0);
  const now = performance.now();
  if (given.current.value !== value && now - given.current.at >= ms) {
    given.current = { value, at: now };
  }
  useEffect(() => {
    if (given.current.value === value) {
      return;
    }
    const timer = setTimeout(look, Math.max(0, given.current.at + ms - performance.now()));
    return () => clearTimeout(timer);
  }, [value, ms]);
  return given.current.value;
}
