import type { Programme, Screen, ScreenRun, Shown } from "../api/client";
import { newId } from "../api/newId";
import type { RoundTrip, ServerClock } from "./clock";
import { KeptRecordings } from "./keptRecordings";
import { after, type LocalCommand, positionAt, timeOf } from "./state";
import type { Store } from "./store";

/** How a screen learns of changes: pushed, by polling, or not at all. */
export type Reach = "told" | "asking" | "away";

/** The state of a screen; with the clock it determines everything that is shown. */
export interface ScreenView {
  screen: Screen | null;
  run: ScreenRun | null;
  programme: Programme | null;
  reach: Reach;
  /** The URL no longer works. */
  revoked: boolean;
  /** Number of commands that the server does not know yet. */
  waiting: number;
}

/** A command of this screen without an answer yet. */
interface Pending extends LocalCommand {
  run: number;
  seen: number;
}

interface Stored {
  screen: Screen;
  programme: Programme | null;
}

/** Polling intervals in ms, with and without a push connection. */
const POLL_MS_WHEN_PUSHED = 20_000;
const POLL_MS = 2000;
/** At most so many ms after a stream broke it is opened again: another web server may take it. A browser waits 3 s. */
const REOPEN_MS = 400;
/** Interval in ms between two checks of what is shown. */
const TICK_MS = 200;
/** Gap in real time, in ms, after which cues count as not shown: the device slept. */
const SLEEP_GAP_MS = 5000;
/** Interval in ms between measurements of the clock. */
const MEASURE_INTERVAL_MS = 60_000;
const ROUND_TRIPS = 6;
const BATCH_SIZE = 400;

interface Parts {
  key: string;
  clock: ServerClock;
  store: Store;
  /** The athlete's numbering; null for that of the plan. */
  numbering?: string | null;
  events?: (address: string) => EventSource;
  local?: () => number;
}

/**
 * The client of a screen: loads the whole programme once, receives or polls changes, handles its own keys even without
 * the server, and reports what was shown until the server has it.
 */
export class ScreenClient {
  view: ScreenView = { screen: null, run: null, programme: null, reach: "away", revoked: false, waiting: 0 };
  private pending: Pending[] = [];
  private shown: { run: number; shown: Shown[] }[] = [];
  private readonly listeners = new Set<() => void>();
  private timers: ReturnType<typeof setTimeout>[] = [];
  private source: EventSource | null = null;
  private polling: ReturnType<typeof setTimeout> | null = null;
  private measuring = false;
  private refreshing: Promise<void> | null = null;
  private seenUntil: { run: number; passage: string; position: number; at: number } | null = null;
  private reporting = false;
  private sending = false;
  private stopped = false;
  readonly clock: ServerClock;

  constructor(private readonly parts: Parts) {
    this.clock = parts.clock;
  }

  /** The storage key; another numbering has another programme. */
  private get place(): string {
    return `screen ${this.parts.key} ${this.parts.numbering ?? ""}`;
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  async start(): Promise<void> {
    const { key, store } = this.parts;
    this.stopped = false;
    const known = await store.read<Stored>(this.place);
    const off = await store.read<number>("clock");
    if (typeof off === "number") {
      this.clock.begin(off);
    }
    this.pending = (await store.read<Pending[]>(`commands ${key}`)) ?? [];
    this.shown = (await store.read<typeof this.shown>(`shown ${key}`)) ?? [];
    if (known && !this.view.screen && !this.stopped) {
      this.put({ screen: known.screen, run: known.screen.run, programme: known.programme });
    }
    if (this.stopped) {
      return;
    }
    void this.measure();
    await this.refresh();
    if (this.stopped) {
      return;
    }
    this.listen();
    this.timers.push(
      setInterval(() => this.look(), TICK_MS),
      setInterval(() => void this.measure(), MEASURE_INTERVAL_MS),
    );
    this.ask();
  }

  stop(): void {
    this.stopped = true;
    for (const timer of this.timers) {
      clearInterval(timer);
    }
    if (this.polling !== null) {
      clearTimeout(this.polling);
    }
    this.source?.close();
  }

  /** Returns the position in the programme in ms; null when nothing runs. */
  position(): number | null {
    const { run } = this.view;
    return run === null ? null : positionAt(run.state, this.clock.now());
  }

  /** Applies a command of this screen at once, and sends it when the server is reachable. */
  async press(kind: LocalCommand["kind"], toMs: number | null = null): Promise<void> {
    const { run, programme } = this.view;
    if (run === null || programme === null) {
      return;
    }
    const command: Pending = {
      id: newId(),
      kind,
      toMs,
      givenMs: Math.round(this.clock.now()),
      run: run.id,
      seen: this.view.screen?.run?.revision ?? run.revision,
    };
    this.pending.push(command);
    this.put({});
    await this.keep();
    await this.send();
  }

  /** Asks for the state of the screen and loads what is new. */
  refresh(): Promise<void> {
    this.refreshing ??= this.load().finally(() => {
      this.refreshing = null;
    });
    return this.refreshing;
  }

  private async load(): Promise<void> {
    const { key, store } = this.parts;
    try {
      const answer = await fetch(`/api/screens/${key}`, { cache: "no-store" });
      if (answer.status === 410) {
        this.source?.close();
        this.put({ revoked: true, screen: null, run: null, programme: null });
        await store.write(this.place, undefined);
        await new KeptRecordings(store, `screen ${key}`).keepOnly([]);
        return;
      }
      if (!answer.ok) {
        throw new Error(String(answer.status));
      }
      const screen = this.newest((await answer.json()) as Screen);
      const programme = await this.programmeOf(screen.run);
      this.put({
        screen,
        programme,
        revoked: false,
        reach: this.source?.readyState === 1 ? "told" : "asking",
      });
      await store.write(this.place, { screen, programme } satisfies Stored);
      await this.send();
      await this.report();
    } catch {
      this.put({ reach: "away" });
    }
  }

  /** Ignore a response that is older than the last push. */
  private newest(answer: Screen): Screen {
    const known = this.view.screen?.run;
    const isOlder = known && answer.run?.id === known.id && answer.run.revision < known.revision;
    return isOlder ? { ...answer, run: known } : answer;
  }

  private async programmeOf(run: ScreenRun | null): Promise<Programme | null> {
    const { programme, screen } = this.view;
    if (run === null) {
      return null;
    }
    if (programme !== null && screen?.run?.id === run.id && programme.version === run.programme) {
      return programme;
    }
    const { key, numbering } = this.parts;
    const answer = await fetch(
      `/api/screens/${key}/programmes/${run.id}/${run.programme}${numbering ? `?numbering=${encodeURIComponent(numbering)}` : ""}`,
    );
    if (!answer.ok) {
      throw new Error(String(answer.status));
    }
    return (await answer.json()) as Programme;
  }

  private listen(): void {
    const open = this.parts.events ?? ((address: string) => new EventSource(address));
    if (this.stopped || this.view.revoked) {
      return;
    }
    const source = open(`/api/screens/${this.parts.key}/events`);
    this.source = source;
    source.onopen = () => {
      // A push may have been missed before the stream was open.
      void this.refresh();
    };
    source.onmessage = (event) => void this.told(JSON.parse(event.data as string) as { run?: ScreenRun });
    source.onerror = () => {
      if (this.view.reach === "told") {
        this.put({ reach: "asking" });
        // Not all screens at the same moment.
        this.timers.push(setTimeout(() => this.reopen(source), Math.random() * REOPEN_MS));
      }
      this.ask();
    };
  }

  private reopen(broken: EventSource): void {
    if (this.source === broken && broken.readyState !== 1) {
      broken.close();
      this.listen();
    }
  }

  private async told(message: { run?: ScreenRun }): Promise<void> {
    const run = message.run;
    const { screen, programme } = this.view;
    if (run && screen?.run?.id === run.id && programme?.version === run.programme) {
      if (run.revision >= screen.run.revision) {
        const next = { ...screen, run };
        this.put({ screen: next, reach: "told" });
        await this.parts.store.write(this.place, { screen: next, programme } satisfies Stored);
      }
      return;
    }
    // What is being asked may be answered as it was before this push.
    await this.refreshing;
    await this.refresh();
  }

  /** Polls again after a while; a stream that was closed for good is reopened. */
  private ask(): void {
    if (this.polling !== null) {
      clearTimeout(this.polling);
    }
    if (this.stopped) {
      return;
    }
    this.polling = setTimeout(
      () => {
        void this.refresh().finally(() => {
          if (this.source?.readyState === 2 && !this.view.revoked && this.view.reach !== "away") {
            this.listen();
          }
          this.ask();
        });
      },
      this.view.reach === "told" ? POLL_MS_WHEN_PUSHED : POLL_MS,
    );
  }

  /** Sends commands in order. Refused ones are not repeated. */
  private async send(): Promise<void> {
    if (this.sending) {
      return;
    }
    this.sending = true;
    await this.sendAll().finally(() => {
      this.sending = false;
    });
  }

  private async sendAll(): Promise<void> {
    const { key } = this.parts;
    while (this.pending.length > 0) {
      const command = this.pending[0] as Pending;
      let answer: Response;
      try {
        answer = await fetch(`/api/screens/${key}/commands`, {
          method: "POST",
          headers: { "Content-Type": "application/json" },
          body: JSON.stringify(command),
        });
      } catch {
        return;
      }
      if (answer.status >= 500) {
        return;
      }
      this.pending = this.pending.filter((one) => one !== command);
      await this.keep();
      const { screen } = this.view;
      if (answer.ok && screen) {
        const run = (await answer.json()) as ScreenRun;
        // Later commands were given with this answer in view.
        this.pending = this.pending.map((one) => (one.seen === command.seen ? { ...one, seen: run.revision } : one));
        this.put({ screen: { ...screen, run: screen.run && screen.run.revision > run.revision ? screen.run : run } });
      } else {
        this.put({});
      }
    }
  }

  /** Records the cues since the last check. */
  private look(): void {
    if (this.clock.wake()) {
      void this.measure();
      void this.refresh();
    }
    const { run, programme, screen } = this.view;
    const local = this.parts.local?.() ?? performance.now();
    if (run === null || programme === null || screen?.kind !== "wall" || !this.clock.isSet()) {
      this.seenUntil = null;
      return;
    }
    const { state } = run;
    const now = this.clock.now();
    const position = positionAt(state, now);
    const before = this.seenUntil;
    this.seenUntil = { run: run.id, passage: state.passage, position, at: local };
    // A screen that joins later, or wakes, starts where it joins.
    const watched = before?.run === run.id && local - before.at < SLEEP_GAP_MS;
    const jumped = watched && before.passage !== state.passage;
    const from = jumped ? this.startOf(position) : watched ? before.position : position - 1;
    const shown: Shown[] = programme.cues
      .filter((cue) => from < cue.atMs && cue.atMs <= position)
      .map((cue) => {
        // What started before the target of a jump is shown from the jump on.
        const atMs = Math.round(jumped ? now : timeOf(state, cue.atMs));
        return { passage: state.passage, cue: cue.key, atMs };
      });
    if (shown.length > 0) {
      this.shown.push({ run: run.id, shown });
      void this.keep();
      void this.report();
    }
  }

  /** Returns the moment just before the stretch that a jump led into. */
  private startOf(position: number): number {
    return (this.view.programme?.stretches.filter((ms) => ms <= position).at(-1) ?? 0) - 1;
  }

  /** Reports what was shown until the server has it. */
  private async report(): Promise<void> {
    if (this.reporting || this.view.screen?.kind !== "wall") {
      return;
    }
    this.reporting = true;
    try {
      while (this.shown.length > 0) {
        const first = this.shown[0];
        if (!first) {
          break;
        }
        const same = this.shown.filter((one) => one.run === first.run);
        const batch: Shown[] = [];
        const sent = same.filter((one) => {
          const fits = batch.length === 0 || batch.length + one.shown.length <= BATCH_SIZE;
          if (fits) {
            batch.push(...one.shown);
          }
          return fits;
        });
        const answer = await fetch(`/api/screens/${this.parts.key}/shown`, {
          method: "POST",
          headers: { "Content-Type": "application/json" },
          body: JSON.stringify({ run: first.run, shown: batch.slice(0, 500) }),
        });
        // A 4xx will not succeed on retry, so drop the batch.
        if (answer.status >= 500) {
          break;
        }
        this.shown = this.shown.filter((one) => !sent.includes(one));
        await this.keep();
      }
    } catch {
      // Unreachable: it is sent with the next check or poll.
    } finally {
      this.reporting = false;
    }
  }

  private async keep(): Promise<void> {
    const { key, store } = this.parts;
    await Promise.all([store.write(`commands ${key}`, this.pending), store.write(`shown ${key}`, this.shown)]);
  }

  private async measure(): Promise<void> {
    if (this.measuring) {
      return;
    }
    this.measuring = true;
    const local = this.parts.local ?? (() => performance.now());
    const trips: RoundTrip[] = [];
    try {
      for (let trip = 0; trip < ROUND_TRIPS; trip += 1) {
        const sentMs = local();
        const answer = await fetch("/api/clock", { cache: "no-store" });
        const receivedMs = local();
        if (answer.ok) {
          trips.push({ sentMs, receivedMs, serverMs: 1000 * Number(await answer.text()) });
        }
      }
    } catch {
      // Measured again in a while; the previous measurement stays valid.
    } finally {
      this.clock.measure(trips);
      this.measuring = false;
      if (trips.length > 0) {
        void this.parts.store.write("clock", this.clock.fromDate());
      }
      this.put({});
    }
  }

  /** Updates the view with the server's answer and the pending commands that no newer command has replaced. */
  private put(values: Partial<ScreenView>): void {
    const next = { ...this.view, ...values };
    const said = next.screen?.run ?? null;
    let run = said;
    if (said !== null && next.programme !== null) {
      for (const command of this.pending) {
        if (command.run === said.id && command.seen === said.revision) {
          run = { ...said, state: after((run ?? said).state, command, next.programme.waits) };
        }
      }
    }
    this.view = { ...next, run, waiting: this.pending.length };
    for (const listener of this.listeners) {
      listener();
    }
  }
}
