import { get, set } from "idb-keyval";

/** Stores what a screen needs to continue without the server. */
export interface Store {
  read<T>(key: string): Promise<T | undefined>;
  write(key: string, value: unknown): Promise<void>;
}

/** Uses the browser's database; without it, a screen continues only until it is reloaded. */
export const browserStore: Store = {
  async read<T>(key: string): Promise<T | undefined> {
    try {
      return await get<T>(key);
    } catch {
      return undefined;
    }
  },
  async write(key, value) {
    try {
      await set(key, value);
    } catch {
      // Only a reload without the server would fail.
    }
  },
};
