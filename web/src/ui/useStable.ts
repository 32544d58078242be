import { useCallback, useRef } from "react";

/**
 * A function that stays the same from drawing to drawing, so that what it is handed to is not drawn anew, and does what
 * the newest one does. For events alone: while a component is drawn it may still be the one of before.
 *
 * @example const onPress = useStable((text: string) => write(draft, text));
 */
export function useStable<A extends unknown[], R>(act: (...args: A) => R): (...args: A) => R {
  const newest = useRef(act);
  newest.current = act;
  return useCallback((...args: A) => newest.current(...args), []);
}
