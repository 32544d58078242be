import { useSyncExternalStore } from "react";

/** How often an unreachable server is asked whether it is back, ms. */
const ASK = 2500;

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
    // Not back yet.
  }
  timer = setTimeout(ask, ASK);
}

/** Told by every request: whether the server answered it at all. While it does not, it is asked until it does. */
export function noteConnection(answered: boolean): void {
  if (answered) {
    set(true);
  } else {
    set(false);
    timer ??= setTimeout(ask, ASK);
  }
}

window.addEventListener("offline", () => noteConnection(false));
window.addEventListener("online", () => {
  clearTimeout(timer);
  void ask();
});

/** Calls back at every change; returns what ends that. */
export function onConnection(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export const isReachable = (): boolean => reachable;

/** Whether the server was reached when it was last asked for anything. */
export function useReachable(): boolean {
  return useSyncExternalStore(onConnection, isReachable);
}
