/** One question to the server's clock: when it went out and came back on the local clock, and what the server said. */
export interface RoundTrip {
  sentMs: number;
  serverMs: number;
  receivedMs: number;
}

/** How far two good clocks drift apart, as a part of the time that passes. */
const DRIFT = 0.0001;
/** At most this part of the time that passes is put right, so that nobody sees a second jump. */
const SLEW = 0.02;
/** From this difference on, in ms, it is put right at once: at the beginning, and after a sleep. */
const STEP = 1000;

/** The server's clock as this device knows it: its own clock and an offset, from the quickest of several round trips. */
export class ServerClock {
  private target: number | null = null;
  private applied = 0;
  private measuredAt = 0;
  private measuredBound = Number.POSITIVE_INFINITY;
  private askedAt = 0;
  private wallOffset: number;

  /**
   * @param local a clock of this device that never goes back, in ms
   * @param date its clock of the day, which goes on while it sleeps
   */
  constructor(
    private readonly local: () => number,
    private readonly date: () => number,
  ) {
    this.wallOffset = date() - local();
    this.askedAt = local();
  }

  /** Takes the quickest of these; an older one stays where it is still the better one. */
  measure(trips: RoundTrip[]): void {
    const best = trips.reduce<RoundTrip | null>(
      (quickest, trip) =>
        quickest === null || trip.receivedMs - trip.sentMs < quickest.receivedMs - quickest.sentMs ? trip : quickest,
      null,
    );
    if (best === null) {
      return;
    }
    const bound = (best.receivedMs - best.sentMs) / 2;
    if (this.target !== null && this.bound() < bound) {
      return;
    }
    this.slew();
    this.target = best.serverMs - (best.sentMs + best.receivedMs) / 2;
    this.measuredAt = best.receivedMs;
    this.measuredBound = bound;
    this.step();
  }

  /** Begins with what was known before: how far the server's clock was from the clock of the day. The first answer counts more. */
  begin(fromDate: number): void {
    if (this.target === null) {
      this.target = this.date() + fromDate - this.local();
      this.applied = this.target;
    }
  }

  /** How far the server's clock is from this device's clock of the day, to begin with after a reload. */
  fromDate(): number {
    return this.now() - this.date();
  }

  /** The server's time, ms since 1970. */
  now(): number {
    this.slew();
    return this.local() + this.applied;
  }

  /** How far off it is at most, ms. */
  bound(): number {
    return this.measuredBound + DRIFT * Math.max(0, this.local() - this.measuredAt);
  }

  /** Whether the server was ever asked. */
  isSet(): boolean {
    return this.target !== null;
  }

  /** Looks whether the device slept: its clock of the day went on, the other did not. Says so, as the server has to be asked anew. */
  wake(): boolean {
    const offset = this.date() - this.local();
    const slept = offset - this.wallOffset;
    this.wallOffset = offset;
    if (Math.abs(slept) < 250) {
      return false;
    }
    this.slew();
    this.applied += slept;
    this.target = this.target === null ? null : this.target + slept;
    // The clock of the day may have been set meanwhile, so that the next answer counts in any case.
    this.measuredBound = Number.POSITIVE_INFINITY;
    return true;
  }

  private slew(): void {
    const now = this.local();
    const passed = Math.max(0, now - this.askedAt);
    this.askedAt = now;
    const off = (this.target ?? this.applied) - this.applied;
    this.applied += Math.sign(off) * Math.min(Math.abs(off), SLEW * passed);
  }

  private step(): void {
    if (this.target !== null && Math.abs(this.target - this.applied) > STEP) {
      this.applied = this.target;
    }
  }
}
