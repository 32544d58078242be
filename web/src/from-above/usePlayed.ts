import { useEffect, useState } from "react";
import type { MomentFromAbove } from "../api/client";
import { momentAt } from "./momentAt";

/** Returns the place of the moment that plays; null while nothing does. */
export function usePlayed(moments: readonly MomentFromAbove[], at: () => number | null, plays = true): number | null {
  const [played, setPlayed] = useState<number | null>(null);
  useEffect(() => {
    if (!plays) {
      setPlayed(null);
      return;
    }
    let frame = 0;
    const look = () => {
      const ms = at();
      setPlayed(ms === null ? null : momentAt(moments, ms));
      frame = requestAnimationFrame(look);
    };
    look();
    return () => cancelAnimationFrame(frame);
  }, [moments, at, plays]);
  return played;
}
