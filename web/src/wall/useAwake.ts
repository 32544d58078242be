import { useEffect } from "react";

/** Keeps the screen on while the page is shown, where the browser supports it. */
export function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let left = false;
    const ask = async () => {
      try {
        if (document.visibilityState === "visible" && "wakeLock" in navigator) {
          lock = await navigator.wakeLock.request("screen");
          if (left) {
            await lock.release();
          }
        }
      } catch {
        // Refused, for example with a low battery: the screen sleeps as its owner has set it.
      }
    };
    void ask();
    // The lock is lost whenever the page is hidden.
    document.addEventListener("visibilitychange", ask);
    return () => {
      left = true;
      document.removeEventListener("visibilitychange", ask);
      void lock?.release();
    };
  }, []);
}
