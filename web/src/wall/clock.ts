/** One request for the server's time: when it was sent and answered on the local clock, and the answer. */
export interface RoundTrip {
  sentMs: number;
  serverMs: number;
  receivedMs: number;
}

/** Maximum drift between two good clocks, as a share of the elapsed time. */
const MAX_DRIFT = 0.0001;
/** Maximum rate of correction, as a share of the elapsed time, so that no second is seen to jump. */
const MAX_SLEW = 0.02;
/** Difference in ms from which the clock is set at once: at the start, and after a sleep. */
const STEP_MS = 1000;

/**
 * The server's clock as this device knows it: the local clock plus an offset, from the fastest of several round
 * trips.
 */
export class ServerClock {
  private target: number | null = null;
  private applied = 0;
  private measuredAt = 0;
  private measuredBound = Number.POSITIVE_INFINITY;
  private askedAt = 0;
  private wallOffset: number;

  /**
   * @param local a clock of this device that never goes back, in ms
   * @param date its time of day, which continues while it sleeps
   */
  constructor(
    private readonly local: () => number,
    private readonly date: () => number,
  ) {
    this.wallOffset = date() - local();
    this.askedAt = local();
  }

  /** Uses the fastest of these round trips, unless an earlier one is still better. */
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

  /** Starts with a stored offset between the server's clock and the time of day. The first answer takes precedence. */
  begin(fromDate: number): void {
    if (this.target === null) {
      this.target = this.date() + fromDate - this.local();
      this.applied = this.target;
    }
  }

  /** Returns the offset between the server's clock and the time of day, to be stored for a reload. */
  fromDate(): number {
    return this.now() - this.date();
  }

  /** Returns the server's time, in ms since 1970. */
  now(): number {
    this.slew();
    return this.local() + this.applied;
  }

  /** Returns the maximum error, in ms. */
  bound(): number {
    return this.measuredBound + MAX_DRIFT * Math.max(0, this.local() - this.measuredAt);
  }

  /** Tells whether the server was ever asked. */
  isSet(): boolean {
    return this.target !== null;
  }

  /**
   * Detects whether the device slept: the time of day continued, the monotonic clock did not. Returns true if so, and
   * the server has to be asked again.
   */
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
    // The time of day may have been changed meanwhile, so that the next answer counts in any case.
    this.measuredBound = Number.POSITIVE_INFINITY;
    return true;
  }

  private slew(): void {
    const now = this.local();
    const passed = Math.max(0, now - this.askedAt);
    this.askedAt = now;
    const off = (this.target ?? this.applied) - this.applied;
    this.applied += Math.sign(off) * Math.min(Math.abs(off), MAX_SLEW * passed);
  }

  private step(): void {
    if (this.target !== null && Math.abs(this.target - this.applied) > STEP_MS) {
      this.applied = this.target;
    }
  }
}
