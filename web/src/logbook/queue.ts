import { type EntryRequest, isAway, refusal } from "../api/client";

/** What a coach has logged and the server has not taken yet: a new entry, or a correction of one. */
export interface WaitingEntry {
  /** By which it is told here; the id of a new entry. */
  key: string;
  /** Of a correction: which entry, and which version was corrected. */
  corrects: { id: number; version: number } | null;
  /** The account of who wrote it; null where an older version of this page did not say. */
  writer: number | null;
  /** As a coach sees it: "Tuesday, 24 Nov". */
  title: string;
  body: EntryRequest;
  /** Why the server refused it; it waits until the coach has looked. */
  refused: string | null;
}

interface Store {
  getItem(key: string): string | null;
  setItem(key: string, value: string): void;
  removeItem(key: string): void;
}

const KEY = "periplus.logbook-waiting";

/**
 * Entries that wait for the server, kept on this device. Each waits for the account that wrote it. They are sent in the order in which they were written; what the
 * server has taken once is there once, since each has an id. What it refuses stays, with the reason.
 */
export class LogQueue {
  private waiting: WaitingEntry[];
  private listeners = new Set<() => void>();
  private sending: Promise<void> | null = null;

  constructor(
    private readonly store: Store,
    private readonly send: (entry: WaitingEntry) => Promise<unknown>,
  ) {
    this.waiting = this.read();
  }

  all = (): WaitingEntry[] => this.waiting;

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Keeps it, in place of one with the same key. */
  add(entry: Omit<WaitingEntry, "refused">): void {
    this.put([...this.waiting.filter(({ key }) => key !== entry.key), { ...entry, refused: null }]);
  }

  drop(key: string): void {
    this.put(this.waiting.filter((one) => one.key !== key));
  }

  /**
   * Sends what waits of that account, one after the other, until the server is away.
   *
   * @returns how many it took
   */
  async flush(writer: number): Promise<number> {
    if (this.sending) {
      await this.sending;
      return 0;
    }
    let taken = 0;
    const run = async () => {
      for (const entry of this.waiting.filter((one) => one.refused === null && one.writer === writer)) {
        try {
          await this.send(entry);
          taken += 1;
          this.drop(entry.key);
        } catch (error) {
          if (isAway(error) || refusal(error).status === 401) {
            return;
          }
          this.put(
            this.waiting.map((one) => (one.key === entry.key ? { ...one, refused: refusal(error).title } : one)),
          );
        }
      }
    };
    this.sending = run();
    try {
      await this.sending;
    } finally {
      this.sending = null;
    }
    return taken;
  }

  private read(): WaitingEntry[] {
    try {
      const kept: unknown = JSON.parse(this.store.getItem(KEY) ?? "[]");
      return Array.isArray(kept) ? (kept as WaitingEntry[]).map((one) => ({ ...one, writer: one.writer ?? null })) : [];
    } catch {
      return [];
    }
  }

  private put(waiting: WaitingEntry[]): void {
    this.waiting = waiting;
    if (waiting.length === 0) {
      this.store.removeItem(KEY);
    } else {
      this.store.setItem(KEY, JSON.stringify(waiting));
    }
    for (const listener of this.listeners) {
      listener();
    }
  }
}
