import { useCallback, useRef } from "react";

/**
 * Returns a function with a stable identity that calls the latest version, so that memoised components are not rendered
 * again. For event handlers only: during a render it may still be the previous version.
 *
 * @example const onPress = useStable((text: string) => write(draft, text));
 */
export function useStable<A extends unknown[], R>(act: (...args: A) => R): (...args: A) => R {
  const newest = useRef(act);
  newest.current = act;
  return useCallback((...args: A) => newest.current(...args), []);
}
