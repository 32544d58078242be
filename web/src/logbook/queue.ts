import { type EntryRequest, isAway, refusal } from "../api/client";

/** A logbook entry, or a correction of one, that the server does not have yet. */
export interface WaitingEntry {
  /** Identifies it in the queue; the id of a new entry. */
  key: string;
  /** For a correction: the entry and the version that was corrected. */
  corrects: { id: number; version: number } | null;
  /** The account that wrote it; null in entries from older versions of the page. */
  writer: number | null;
  /** Shown to coaches, such as "Tuesday, 24 Nov". */
  title: string;
  body: EntryRequest;
  /** The reason of the server's refusal; the entry waits until the coach has seen it. */
  refused: string | null;
}

interface Store {
  getItem(key: string): string | null;
  setItem(key: string, value: string): void;
  removeItem(key: string): void;
}

const KEY = "periplus.logbook-waiting";

/**
 * Logbook entries that wait for the server, stored on this device for the account that wrote them. They are sent in
 * order; because each has an id, the server stores it once. Refused entries stay with their reason.
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

  /** Adds an entry, or replaces the one with the same key. */
  add(entry: Omit<WaitingEntry, "refused">): void {
    this.put([...this.waiting.filter(({ key }) => key !== entry.key), { ...entry, refused: null }]);
  }

  drop(key: string): void {
    this.put(this.waiting.filter((one) => one.key !== key));
  }

  /**
   * Sends the entries of that account one after the other until the server is unreachable.
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
