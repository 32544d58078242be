import { get, set } from "idb-keyval";

/** Where a screen keeps what it needs to go on without the server. */
export interface Store {
  read<T>(key: string): Promise<T | undefined>;
  write(key: string, value: unknown): Promise<void>;
}

/** The database of the browser; where there is none, a screen goes on as long as it is not reloaded. */
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
      // Nothing is lost but the way through a reload.
    }
  },
};
