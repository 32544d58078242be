import { useEffect, useState } from "react";

/**
 * Returns a value once it has not changed for a while, so that not every key makes a request.
 *
 * @param pause ms
 * @example const asked = useDebounced(JSON.stringify(request), 200);
 */
export function useDebounced(value: string, pause: number): string {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), pause);
    return () => clearTimeout(timer);
  }, [value, pause]);
  return settled;
}
