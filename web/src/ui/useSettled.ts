import { useEffect, useState } from "react";

/**
 * A value once it has not changed for a while, so that not every key is a question.
 *
 * @param pause ms
 * @param ready while it is not, the value before stays
 * @example const asked = useSettled(JSON.stringify(request), 200);
 */
export function useSettled(value: string, pause: number, ready = true, first = value): string {
  const [settled, setSettled] = useState(first);
  useEffect(() => {
    const timer = setTimeout(() => ready && setSettled(value), pause);
    return () => clearTimeout(timer);
  }, [value, pause, ready]);
  return settled;
}
