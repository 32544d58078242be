import { useCallback, useState } from "react";

interface History<T> {
  past: T[];
  now: T;
  future: T[];
  /** Time of the last change in ms; fast typing is one step. */
  at: number;
}

const ONE_STEP_MS = 700;
const MAX_STEPS = 200;

/** A value with undo and redo; the initial value may have an earlier one. */
export function useHistory<T>(initial: () => { now: T; before: T | null }) {
  const [history, setHistory] = useState<History<T>>(() => {
    const { now, before } = initial();
    return { past: before === null ? [] : [before], now, future: [], at: 0 };
  });

  const change = useCallback((next: (now: T) => T, typed = false) => {
    setHistory((h) => {
      const now = next(h.now);
      if (JSON.stringify(now) === JSON.stringify(h.now)) {
        return h;
      }
      const time = Date.now();
      const same = typed && h.past.length > 0 && time - h.at < ONE_STEP_MS;
      return { past: same ? h.past : [...h.past, h.now].slice(-MAX_STEPS), now, future: [], at: typed ? time : 0 };
    });
  }, []);
  const undo = useCallback(() => {
    setHistory((h) => {
      const now = h.past.at(-1);
      return now === undefined ? h : { past: h.past.slice(0, -1), now, future: [h.now, ...h.future], at: 0 };
    });
  }, []);
  const redo = useCallback(() => {
    setHistory((h) => {
      const now = h.future[0];
      return now === undefined ? h : { past: [...h.past, h.now], now, future: h.future.slice(1), at: 0 };
    });
  }, []);

  return {
    now: history.now,
    change,
    undo,
    redo,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
  };
}
