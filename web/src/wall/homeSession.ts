import type { AthleteSession, Programme, RunState } from "../api/client";
import { newId } from "../api/newId";
import { KeptRecordings } from "./keptRecordings";
import { after, positionAt } from "./state";
import type { Store } from "./store";

/** Time before the first round, in ms. */
export const LEAD_IN_MS = 10_000;

/** The state of a session that an athlete does alone. */
export interface HomeView {
  session: AthleteSession | null;
  /** The numbering in which the session is there; null for that of the plan. */
  readIn: string | null;
  /** Null until it was begun. */
  run: { state: RunState } | null;
  /** The server's sentence when the link opens nothing any more. */
  refused: string | null;
  /** Whether the server could not be reached, and nothing is kept. */
  away: boolean;
}

interface Parts {
  key: string;
  store: Store;
  /** A clock that never goes back, in ms. */
  local?: () => number;
}

/**
 * A session that one athlete does alone: loaded once and kept, then run by the phone itself. That its end was reached
 * is told to the server, as soon as it can be reached.
 */
export class HomeSession {
  view: HomeView = { session: null, readIn: null, run: null, refused: null, away: false };
  readonly clock: { now: () => number };
  private readonly listeners = new Set<() => void>();
  private counted = false;
  private loads = 0;

  constructor(private readonly parts: Parts) {
    this.clock = { now: parts.local ?? (() => performance.now()) };
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /**
   * Shows what is kept on the phone, then what the server says. A session that runs goes on meanwhile.
   *
   * @param numbering the athlete's; null for that of the plan
   */
  async load(numbering: string | null): Promise<void> {
    const { key, store } = this.parts;
    this.loads += 1;
    const load = this.loads;
    // Another numbering may have been chosen while this one was on its way.
    const put = (values: Partial<HomeView>) => load === this.loads && this.put(values);
    const place = `at-home ${key} ${numbering ?? ""}`;
    const kept = await store.read<AthleteSession>(place);
    if (kept) {
      put({ session: kept, readIn: numbering });
    }
    void this.tellFinished();
    try {
      const query = numbering ? `?numbering=${encodeURIComponent(numbering)}` : "";
      const answer = await fetch(`/api/athlete-sessions/${key}${query}`, { cache: "no-store" });
      if (answer.status === 410) {
        await store.write(place, undefined);
        await new KeptRecordings(store, `at-home ${key}`).keepOnly([]);
        const { title } = (await answer.json()) as { title: string };
        put({ session: null, run: null, refused: title });
        return;
      }
      if (!answer.ok) {
        throw new Error(String(answer.status));
      }
      const session = (await answer.json()) as AthleteSession;
      await store.write(place, session);
      put({ session, readIn: numbering, away: false });
    } catch {
      put({ away: kept === undefined });
    }
  }

  /** Begins, or begins again from the start. */
  begin(): void {
    this.counted = false;
    const zeroMs = Math.round(this.clock.now()) + LEAD_IN_MS;
    this.put({
      run: { state: { zeroMs, passage: newId(), pausedMs: null, holdMs: null, endedMs: null, speed: 1 } },
    });
  }

  /** Returns where it is, in ms; before the first round it is negative. */
  position(): number {
    const { run } = this.view;
    return run === null ? -LEAD_IN_MS : positionAt(run.state, this.clock.now());
  }

  pause(): void {
    this.press("pause");
  }

  resume(): void {
    this.press("resume");
  }

  /** @param toMs moment of the programme */
  jump(toMs: number): void {
    this.press("jump", toMs);
  }

  /** Counts that the end was reached, once for each time it was begun. */
  async finish(): Promise<void> {
    if (this.counted || this.view.run === null) {
      return;
    }
    this.counted = true;
    const place = `at-home finished ${this.parts.key}`;
    await this.parts.store.write(place, ((await this.parts.store.read<number>(place)) ?? 0) + 1);
    await this.tellFinished();
  }

  /** Tells the server of every end that it does not know yet. */
  private async tellFinished(): Promise<void> {
    const { key, store } = this.parts;
    const place = `at-home finished ${key}`;
    for (let waiting = (await store.read<number>(place)) ?? 0; waiting > 0; waiting -= 1) {
      try {
        const answer = await fetch(`/api/athlete-sessions/${key}/finished`, { method: "POST" });
        if (answer.status >= 500) {
          return;
        }
      } catch {
        return;
      }
      await store.write(place, waiting - 1);
    }
  }

  private press(kind: "pause" | "resume" | "jump", toMs: number | null = null): void {
    const { run } = this.view;
    if (run !== null) {
      // Nobody is waited for.
      const command = { id: newId(), kind, toMs, givenMs: this.clock.now() };
      this.put({ run: { state: after(run.state, command, []) } });
    }
  }

  private put(values: Partial<HomeView>): void {
    this.view = { ...this.view, ...values };
    for (const listener of this.listeners) {
      listener();
    }
  }
}

/** Returns the programme of a session; null while there is none. */
export const programmeOf = (view: HomeView): Programme | null => view.session?.programme ?? null;
