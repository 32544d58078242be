import { useSyncExternalStore } from "react";

/** Interval in ms at which an unreachable server is polled. */
const POLL_INTERVAL_MS = 2500;

let reachable = navigator.onLine;
let timer: ReturnType<typeof setTimeout> | undefined;
const listeners = new Set<() => void>();

function set(next: boolean): void {
  if (next !== reachable) {
    reachable = next;
    for (const listener of listeners) {
      listener();
    }
  }
}

async function ask(): Promise<void> {
  timer = undefined;
  try {
    const answer = await fetch("/api/ping", { cache: "no-store" });
    if (answer.ok) {
      set(true);
      return;
    }
  } catch {
    // Still unreachable.
  }
  timer = setTimeout(ask, POLL_INTERVAL_MS);
}

/** Called by every request with whether the server answered. While it does not, it is polled until it does. */
export function noteConnection(answered: boolean): void {
  if (answered) {
    set(true);
  } else {
    set(false);
    timer ??= setTimeout(ask, POLL_INTERVAL_MS);
  }
}

window.addEventListener("offline", () => noteConnection(false));
window.addEventListener("online", () => {
  clearTimeout(timer);
  void ask();
});

/** Calls back at every change; returns the function that unsubscribes. */
export function onConnection(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export const isReachable = (): boolean => reachable;

/** Tells whether the last request reached the server. */
export function useReachable(): boolean {
  return useSyncExternalStore(onConnection, isReachable);
}
