import { useMemo } from "react";
import { useSession } from "../api/session";

/** Prefix of the storage keys for unsaved work of coaches. */
const PREFIX = "periplus.kept";

/** A coach's unsaved work, stored on this device until the server has it or the coach discards it. */
export interface Kept<T> {
  read(): T | null;
  write(value: T): void;
  forget(): void;
}

/** @param what such as "plan 12"; another account on the same device has its own */
export function keptFor<T>(user: number, what: string, store: Storage = window.localStorage): Kept<T> {
  const key = `${PREFIX}.${user}.${what}`;
  return {
    read: () => {
      try {
        return JSON.parse(store.getItem(key) ?? "null") as T | null;
      } catch {
        return null;
      }
    },
    write: (value) => {
      try {
        store.setItem(key, JSON.stringify(value));
      } catch {
        // The storage is full; the work on the screen is not affected.
      }
    },
    forget: () => store.removeItem(key),
  };
}

export function useKept<T>(what: string): Kept<T> {
  const user = useSession().data?.user?.id ?? 0;
  return useMemo(() => keptFor<T>(user, what), [user, what]);
}
