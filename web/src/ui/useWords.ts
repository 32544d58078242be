import { useSyncExternalStore } from "react";

const KEPT = "periplus.words";
const told = new Set<() => void>();

function subscribe(listener: () => void): () => void {
  told.add(listener);
  return () => {
    told.delete(listener);
  };
}

/** Whether chains are shown in words beside their numbers, on this device; with a function to change it. */
export function useWords(): [boolean, (shown: boolean) => void] {
  const shown = useSyncExternalStore(subscribe, () => localStorage.getItem(KEPT) === "shown");
  return [
    shown,
    (next) => {
      localStorage.setItem(KEPT, next ? "shown" : "hidden");
      for (const listener of told) {
        listener();
      }
    },
  ];
}
